import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { findingQuery, trendsQuery } from '../api/queries';
import { usePerson } from '../api/usePerson';
import { compartmentsQuery } from '../fluids/queries';
import { Actions, MainButton, PlainButton, QuietActions, QuietButton, quietLink } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { Dialog } from '../kit/Dialog';
import { Field } from '../kit/Field';
import { instant, longDay } from '../kit/format';
import { Empty, Lead, Line, Margin, Page, Ruled, Sheet, SheetHeading, Soft, Title } from '../kit/Sheet';
import { useNote } from '../notes/useNote';
import { isFine, standsDown } from '../offline/states';
import { Photos } from '../trade/PhotoPick';
import { Reading, useKnownName } from '../trade/Reading';
import { Refusal } from '../trade/Refusal';
import { Stamp } from '../trade/Stamp';
import { WearChart } from '../trade/WearChart';

const BackLink = styled(Link)`${quietLink}`;

/** One thing on one machine through its whole history: what was found, how it went on, what put it right. */
export default function FindingPage() {
  const machine = Number(useParams().machine);
  const known = useKnownName();
  const check = String(useParams().check);
  const asked = useQuery(findingQuery(machine, check));
  const trends = useQuery(trendsQuery(machine));
  const person = usePerson();
  const [mending, setMending] = useState(false);
  const [accepting, setAccepting] = useState(false);
  if (!asked.data) return <Reading title={known} error={asked.error} />;
  const thing = asked.data;
  const wear = trends.data?.wear.find((line) => line.check === check);
  const open = thing.findings.find((finding) => finding.open);
  const mayService = person.role === 'keeper' || person.role === 'mechanic';
  return (
    <Page>
      <title>{`${thing.title}, ${thing.machine}`}</title>
      <Lead>
        <div>
          <Title>{thing.title}</Title>
          <Soft>
            <Link to={`/machines/${machine}`}>{thing.machine}</Link>, looked at {thing.looks_in_all}{' '}
            {thing.looks_in_all === 1 ? 'time' : 'times'}
          </Soft>
        </div>
        <QuietActions>
          {mayService && (open || wear) && (
            <QuietButton onPress={() => setMending(true)}>{open ? 'It is put right' : 'The part is new'}</QuietButton>
          )}
          {person.role === 'keeper' && open && !standsDown(open.verdict) && (
            <QuietButton onPress={() => setAccepting(true)}>It may stay as it is</QuietButton>
          )}
          {mayService && open && <BackLink to={`/machines/${machine}/service`}>Record service</BackLink>}
          {person.role !== 'reader' && <BackLink to={`/walkaround/${machine}`}>Walk round it</BackLink>}
        </QuietActions>
      </Lead>
      {wear && (
        <Sheet aria-label="Wear">
          <SheetHeading>Wear</SheetHeading>
          <WearChart wear={wear} />
        </Sheet>
      )}
      <Sheet aria-label="Findings">
        <SheetHeading>Found</SheetHeading>
        {thing.findings.map((finding) => (
          <FindingLine key={`${finding.since} ${finding.last_seen}`} finding={finding} />
        ))}
        {thing.findings.length === 0 && <Empty>Nothing was ever wrong with it.</Empty>}
      </Sheet>
      <Sheet aria-label="Every look">
        <SheetHeading>
          Every look{thing.looks_in_all > thing.looks.length && `, the last ${thing.looks.length}`}
        </SheetHeading>
        {thing.looks.map((look) => (
          <Ruled key={look.id}>
            <Line>
              <span>
                {look.outcome === 'accepted' ? (
                  'Accepted as it is'
                ) : look.verdict && !isFine(look.verdict) ? (
                  <Stamp state={look.verdict} />
                ) : look.outcome === 'put_right' ? (
                  'Put right'
                ) : (
                  'Fine'
                )}{' '}
                <Soft>{look.why}</Soft>
              </span>
              {look.note && <span>“{look.note}”</span>}
              <Photos ids={look.photos} of={thing.title} />
            </Line>
            <Margin>
              {look.by}, {instant(look.at, false)}
            </Margin>
          </Ruled>
        ))}
      </Sheet>
      {accepting && <AcceptDialog machine={machine} thing={thing} onClose={() => setAccepting(false)} />}
      {mending && <MendDialog machine={machine} thing={thing} onClose={() => setMending(false)} />}
    </Page>
  );
}

const ENDED: Partial<Record<Schemas['Finding']['course'], string>> = {
  mended: 'put right',
  gone: 'seen no more',
  accepted: 'accepted and watched',
};

function FindingLine({ finding }: { finding: Schemas['Finding'] }) {
  return (
    <Ruled>
      <Line style={{ gap: 6 }}>
        <span>
          <Stamp state={finding.verdict} /> {finding.open ? '' : ENDED[finding.course]}
        </span>
        <span>
          {finding.why} {finding.do}
        </span>
        {finding.note && <span>“{finding.note}”</span>}
        <Photos ids={finding.photos} of={finding.title} />
      </Line>
      <Margin>
        <p>
          First seen by {finding.by} on {longDay(finding.since)}
          {finding.seen > 1 && `, ${finding.seen} times until ${longDay(finding.last_seen)}`}.{' '}
          {finding.course_in_words.charAt(0).toUpperCase() + finding.course_in_words.slice(1)}.
        </p>
      </Margin>
    </Ruled>
  );
}

function MendDialog({
  machine,
  thing,
  onClose,
}: {
  machine: number;
  thing: { check: string; title: string; machine: string };
  onClose: () => void;
}) {
  const [note, setNote] = useState('');
  const [error, setError] = useState<string>();
  const write = useNote(() => `${thing.title}: put right.`, onClose);
  const mend = async () => {
    if (note.trim() === '') {
      setError('Say what was done about it.');
      return;
    }
    await write.tell(
      { kind: 'mended', machine_id: machine, check: thing.check, note },
      `${thing.machine}: ${thing.title} put right`,
    );
  };
  return (
    <Dialog title={`${thing.title}, put right`} isOpen onClose={onClose}>
      <p>
        The finding ends, and where a part was replaced its wear begins a new line. If a service did it, record it there
        instead.
      </p>
      <Field label="What was done" lines value={note} onChange={setNote} error={error ?? write.fields.note} autoFocus />
      <Refusal refused={write.refused} besides={['note']} />
      <Actions>
        <MainButton isDisabled={write.busy} onPress={mend}>
          It is put right
        </MainButton>
        <PlainButton onPress={onClose}>Leave it</PlainButton>
      </Actions>
    </Dialog>
  );
}

function AcceptDialog({ machine, thing, onClose }: Parameters<typeof MendDialog>[0]) {
  const [note, setNote] = useState('');
  const [loses, setLoses] = useState('');
  const [of, setOf] = useState('');
  const compartments = useQuery(compartmentsQuery(machine)).data?.compartments ?? [];
  const write = useNote(() => `${thing.title}: accepted as it is.`, onClose);
  return (
    <Dialog title={`${thing.title}: it may stay as it is`} isOpen onClose={onClose}>
      <p>It is watched on, and speaks again only when it is worse than now. Your name stands beside it.</p>
      <Field label="Why it may stay" lines value={note} onChange={setNote} error={write.fields.note} autoFocus />
      <Field
        label="What it usually loses a year"
        value={loses}
        onChange={setLoses}
        error={write.fields.loses ?? write.fields.check}
        placeholder="0.5 qt"
      />
      {loses.trim() !== '' && (
        <Choice
          label="Of which fluid"
          value={of}
          onChange={setOf}
          options={[
            { value: '', label: 'of the one it is found at, if any' },
            ...compartments.map(({ key, name }) => ({ value: key, label: name })),
          ]}
          error={write.fields.of}
        />
      )}
      <Refusal refused={write.refused} besides={['note', 'loses', 'check', 'of']} />
      <Actions>
        <MainButton
          isDisabled={write.busy}
          onPress={() =>
            write.tell(
              {
                kind: 'accept',
                machine_id: machine,
                check: thing.check,
                note,
                loses: loses || null,
                ...(of !== '' && { of }),
              },
              `${thing.machine}: ${thing.title} accepted as it is`,
            )
          }
        >
          It may stay
        </MainButton>
        <PlainButton onPress={onClose}>Leave it</PlainButton>
      </Actions>
    </Dialog>
  );
}
