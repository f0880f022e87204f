import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useParams } from 'react-router';
import styled from 'styled-components';
import { answer, api, type Schemas } from '../api/client';
import { walkQuery } from '../api/queries';
import { useWrite } from '../api/useWrite';
import { Actions, MainButton, PlainButton, QuietActions, QuietButton } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { DayOfYearField } from '../kit/DayOfYearField';
import { Dialog } from '../kit/Dialog';
import { Field, Fields } from '../kit/Field';
import { Lead, Line, Margin, Page, Ruled, Sheet, Soft, Title } from '../kit/Sheet';
import { Ticks } from '../kit/Tick';
import { sheetOf } from '../notes/touched';
import { useAfterWrite } from '../notes/useAfterWrite';
import { limitsInWords } from '../trade/limitsInWords';
import { Reading, useKnownName } from '../trade/Reading';
import { Refusal } from '../trade/Refusal';
import { ROUND_WORDS } from '../trade/words';

type Check = Schemas['Check'];
type Change = {
  for: 'machine' | 'class';
  dropped?: boolean;
  position?: number | null;
  values?: Schemas['CheckValues'];
};

const Number_ = styled.span`color: var(--soft); font-size: 15px; margin-right: 10px;`;
/** The keeper changes what is looked at on a machine, and in which order. */
export default function ChecksPage() {
  const machine = Number(useParams().machine);
  const known = useKnownName();
  const walk = useQuery(walkQuery(machine));
  const { refresh } = useAfterWrite(sheetOf(machine));
  const [changing, setChanging] = useState<Check | 'new' | null>(null);
  const write = useWrite(
    (_key, key: string, body: Change) =>
      answer(api.PUT('/machines/{machine}/checks/{check}', { params: { path: { machine, check: key } }, body })),
    refresh,
  );
  if (!walk.data) return <Reading title={known} error={walk.error} />;
  const { name, checks, class_label } = walk.data;
  const move = async (check: Check, to: number) => {
    const rest = checks.filter((other) => other !== check);
    const order = [...rest.slice(0, to), check, ...rest.slice(to)];
    for (const [position, moved] of order.entries())
      if (checks.indexOf(moved) !== position) await write.send(moved.key, { for: 'machine', position });
  };
  return (
    <Page>
      <title>{`${name}, check sheet`}</title>
      <Lead>
        <div>
          <Title>{name}, check sheet</Title>
          <Soft>
            In the order in which one walks round it. Changes hold for {name}, or for every {class_label} where you say
            so.
          </Soft>
        </div>
        <QuietActions>
          <QuietButton onPress={() => setChanging('new')}>Add a check</QuietButton>
          <QuietButton onPress={() => window.print()}>Print this sheet</QuietButton>
        </QuietActions>
      </Lead>
      <Refusal refused={write.refused} besides={[]} />
      <Sheet aria-label="Checks in walking order">
        {checks.map((check, index) => (
          <Ruled key={check.key}>
            <Line style={{ gap: 3 }}>
              <span>
                <Number_>{index + 1}</Number_>
                <strong>{check.title}</strong> <Soft>{check.place}</Soft>
              </span>
              <span>
                {check.how} {check.fine && <>Fine: {check.fine}</>}
              </span>
              <QuietActions>
                <QuietButton onPress={() => setChanging(check)} aria-label={`Change ${check.title}`}>
                  Change
                </QuietButton>
                {index > 0 && (
                  <QuietButton onPress={() => move(check, index - 1)} aria-label={`Earlier: ${check.title}`}>
                    Earlier
                  </QuietButton>
                )}
                {index < checks.length - 1 && (
                  <QuietButton onPress={() => move(check, index + 1)} aria-label={`Later: ${check.title}`}>
                    Later
                  </QuietButton>
                )}
                <QuietButton
                  onPress={() => write.send(check.key, { for: 'machine', dropped: true })}
                  aria-label={`Drop it here: ${check.title}`}
                >
                  Drop it here
                </QuietButton>
              </QuietActions>
            </Line>
            <Margin>
              <p>
                {check.rounds.map((round) => ROUND_WORDS[round]).join(', ')}
                {check.window && `, from ${check.window.from} to ${check.window.to}`}
                {check.after && `, after ${checks.find(({ key }) => key === check.after)?.title ?? check.after}`}
              </p>
              {Object.keys(check.limits).length > 0 && <Soft>{limitsInWords(check)}</Soft>}
            </Margin>
          </Ruled>
        ))}
      </Sheet>
      {changing && (
        <CheckDialog
          machine={machine}
          check={changing === 'new' ? null : changing}
          checks={checks}
          spots={walk.data.spots}
          classLabel={class_label}
          name={name}
          onClose={() => setChanging(null)}
        />
      )}
    </Page>
  );
}

const KINDS: Schemas['RoundKind'][] = ['daily', 'weekly', 'before_season', 'after_wash'];

type DialogProps = {
  machine: number;
  check: Check | null;
  checks: Check[];
  spots: Schemas['Walk']['spots'];
  classLabel: string;
  name: string;
  onClose: () => void;
};

function CheckDialog({ machine, check, checks, spots, classLabel, name, onClose }: DialogProps) {
  const { refresh } = useAfterWrite(sheetOf(machine));
  const [draft, setDraft] = useState({
    spot: check?.spot ?? '',
    title: check?.title ?? '',
    place: check?.place ?? '',
    how: check?.how ?? '',
    fine: check?.fine ?? '',
    rounds: check?.rounds ?? (['daily'] as Schemas['RoundKind'][]),
    limits: { ...(check?.limits ?? {}) } as Record<string, string>,
    from: check?.window?.from ?? '',
    to: check?.window?.to ?? '',
    after: check?.after ?? '',
    whose: 'machine' as 'machine' | 'class',
  });
  const change = (part: Partial<typeof draft>) => setDraft((before) => ({ ...before, ...part }));
  const key =
    check?.key ??
    `own-${draft.title
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .slice(0, 32)}`;
  const done = async () => {
    await refresh();
    onClose();
  };
  const write = useWrite(
    (_key, body: Change) =>
      answer(api.PUT('/machines/{machine}/checks/{check}', { params: { path: { machine, check: key } }, body })),
    done,
  );
  const back = useWrite(
    (_key) =>
      answer(
        api.DELETE('/machines/{machine}/checks/{check}', {
          params: { path: { machine, check: key }, query: { for: draft.whose } },
        }),
      ),
    done,
  );
  const save = () => {
    const limits =
      check && Object.keys(draft.limits).some((limit) => draft.limits[limit] !== check.limits[limit])
        ? { limits: draft.limits }
        : {};
    return write.send({
      for: draft.whose,
      dropped: false,
      values: {
        ...(draft.spot && { spot: draft.spot }),
        title: draft.title,
        place: draft.place,
        how: draft.how,
        fine: draft.fine,
        rounds: draft.rounds,
        ...limits,
        window: draft.from && draft.to ? { from: draft.from, to: draft.to } : null,
        after: draft.after || null,
      },
    });
  };
  const text = (field: 'title' | 'place' | 'how' | 'fine', label: string, lines = false) => (
    <Field
      label={label}
      value={draft[field]}
      onChange={(value) => change({ [field]: value })}
      error={write.fields[`values.${field}`]}
      lines={lines}
    />
  );
  return (
    <Dialog title={check ? `Change ${check.title}` : 'Add a check'} isOpen onClose={onClose}>
      {text('title', 'What is looked at')}
      <Choice
        label="It looks at"
        value={draft.spot}
        onChange={(spot) => change({ spot })}
        options={[{ value: '', label: 'choose a spot' }, ...spots.map((one) => ({ value: one.key, label: one.name }))]}
        error={write.fields['values.spot']}
      />
      {text('place', 'Where on this machine')}
      {text('how', 'How', true)}
      {text('fine', 'What is fine')}
      <Ticks
        label="In which rounds"
        inLine
        value={draft.rounds}
        onChange={(rounds) => change({ rounds })}
        options={KINDS.map((kind) => ({ value: kind, label: ROUND_WORDS[kind] }))}
        error={write.fields['values.rounds']}
      />
      {check?.limit_asks.map((ask) =>
        ask.kind === 'choice' ? (
          <Choice
            key={ask.name}
            label={ask.label}
            value={draft.limits[ask.name] ?? ''}
            onChange={(value) => change({ limits: { ...draft.limits, [ask.name]: value } })}
            options={[...(ask.optional ? [{ value: '', label: 'does not matter' }] : []), ...ask.options]}
          />
        ) : (
          <Field
            key={ask.name}
            label={`${ask.label}${ask.optional ? ' (if any)' : ''}`}
            value={draft.limits[ask.name] ?? ''}
            onChange={(value) => change({ limits: { ...draft.limits, [ask.name]: value } })}
            error={write.fields[`values.limits.${ask.name}`]}
            help={ask.unit ? `With its unit, like 1 ${ask.unit}` : undefined}
          />
        ),
      )}
      <Fields $columns={2}>
        <Choice
          label="When"
          value={draft.from ? 'part' : 'all'}
          onChange={(when) => change(when === 'all' ? { from: '', to: '' } : { from: '10-01', to: '03-31' })}
          options={[
            { value: 'all', label: 'all year' },
            { value: 'part', label: 'in part of the year' },
          ]}
        />
      </Fields>
      <Fields $columns={2}>
        {draft.from && (
          <DayOfYearField
            label="From"
            value={draft.from}
            onChange={(from) => change({ from })}
            error={write.fields['values.window.from']}
          />
        )}
        {draft.from && (
          <DayOfYearField
            label="to"
            value={draft.to}
            onChange={(to) => change({ to })}
            error={write.fields['values.window.to']}
          />
        )}
      </Fields>
      <Choice
        label="Only where another was not fine"
        value={draft.after}
        onChange={(after) => change({ after })}
        options={[
          { value: '', label: 'always asked' },
          ...checks
            .filter((other) => other.key !== check?.key)
            .map((other) => ({ value: other.key, label: other.title })),
        ]}
      />
      <Choice
        label="It holds for"
        value={draft.whose}
        onChange={(whose) => change({ whose })}
        options={[
          { value: 'machine', label: `${name} alone` },
          { value: 'class', label: `every ${classLabel}` },
        ]}
      />
      <Refusal refused={write.refused ?? back.refused} besides={Object.keys(write.fields)} />
      <Actions>
        <MainButton isDisabled={write.busy} onPress={save}>
          {check ? 'Change this check' : 'Add this check'}
        </MainButton>
        {check && <PlainButton onPress={() => back.send()}>Take changes back</PlainButton>}
        <PlainButton onPress={onClose}>Leave it</PlainButton>
      </Actions>
    </Dialog>
  );
}
