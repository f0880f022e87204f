import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { asksWhy, problemOf, type Schemas } from '../api/client';
import { walkQuery } from '../api/queries';
import { Actions, MainButton, PlainButton, QuietButton } from '../kit/Button';
import { DayField } from '../kit/DayField';
import { Field, WrongText } from '../kit/Field';
import { metered, sinceDay, within } from '../kit/format';
import { Caution, Lead, Page, Sheet, SheetHeading, Soft, Title } from '../kit/Sheet';
import { Tick, Ticks } from '../kit/Tick';
import { PHONE } from '../kit/theme';
import { useNote } from '../notes/useNote';
import { useDraft } from '../offline/drafts';
import { isComing, isFine, isUnknown } from '../offline/states';
import { Amount } from '../trade/Amount';
import { AskAgain, asksAgain } from '../trade/AskAgain';
import { Mark } from '../trade/Marks';
import { Reading, useKnownName } from '../trade/Reading';
import { Refusal } from '../trade/Refusal';
import { Stamp } from '../trade/Stamp';
import { useMachine } from '../trade/useMachine';
import { KIND_WORDS } from '../trade/words';
import { type Anchor, Consequences } from './Consequences';
import { type Other, OtherDone, toldOthers } from './OtherDone';

const Desk = styled.div`
  display: grid; grid-template-columns: minmax(0, 1fr) 420px; gap: 22px; align-items: start;
  && > section + section { margin-top: 0; }
  ${PHONE} { grid-template-columns: minmax(0, 1fr); }
`;
const Task = styled(Tick)`
  display: grid; grid-template-columns: 30px minmax(0, 1fr) auto; gap: 12px; align-items: center; padding: 12px 20px;
  cursor: pointer; min-height: 60px;
  ${PHONE} {
    padding: 12px 14px; grid-template-columns: 30px minmax(0, 1fr); row-gap: 6px;
    &::before { grid-row: 1 / 3; }
    > span { grid-column: 2; grid-row: 2; }
    > [data-stamp] { grid-row: 1; justify-self: start; }
  }
`;
const Item = styled.div`
  border-bottom: 1px solid var(--rule);
  &:has(> [data-selected]) { box-shadow: inset 5px 0 var(--hedge); }
`;
const Folded = styled.div`padding: 0 20px 12px 62px; font-size: 15px; ${PHONE} { padding: 0 14px 12px; }`;
const Marked = styled.span`color: var(--clay); font-weight: 600; font-size: 15px;`;
const Body = styled.div`padding: 16px 20px 20px; display: flex; flex-direction: column; gap: 16px;`;

const NOTHING = {
  chosen: null as number[] | null,
  anchors: {} as Record<number, Anchor>,
  hours: '',
  distance: '',
  at: '',
  note: '',
  reason: '',
  putsRight: [] as string[],
  missed: [] as string[],
  other: [] as Other[],
};

/** Records a service that was done: which tasks, at what the meters showed, when. */
export default function ServicePage() {
  const machine = useMachine();
  const known = useKnownName();
  if (!machine.data) return <Reading title={known} error={machine.error} />;
  return <ServiceForm sheet={machine.data} />;
}

function ServiceForm({ sheet }: { sheet: Schemas['MachinePage'] }) {
  const navigate = useNavigate();
  const [search] = useSearchParams();
  const [draft, setDraft, clear] = useDraft(`service.${sheet.id}`, NOTHING);
  const [all, showAll] = useState(false);
  const [comparing, setComparing] = useState<number | null>(null);
  const change = (part: Partial<typeof NOTHING>) => setDraft((before) => ({ ...before, ...part }));
  const asked = search.get('rules')?.split(',').map(Number);
  const pressing = sheet.rules.filter(({ standing }) => isComing(standing.state));
  // Nothing is ticked by itself but the one task that somebody came from.
  const chosen = draft.chosen ?? (asked?.length === 1 ? asked : []);
  const shown = sheet.rules.filter(
    (rule) =>
      all ||
      pressing.includes(rule) ||
      chosen.includes(rule.id) ||
      asked?.includes(rule.id) ||
      isUnknown(rule.standing.state),
  );
  const cautions = [...new Set(sheet.rules.filter(({ id }) => chosen.includes(id)).flatMap((rule) => rule.cautions))];
  const hourMeter = sheet.line.meters.find(({ unit }) => unit === 'h');
  const odometer = sheet.line.meters.find(({ unit }) => unit !== 'h');
  useEffect(() => {
    if (shown.length === 0) showAll(true);
  }, [shown.length]);
  const record = useNote(
    () => `${sheet.name}: service recorded.`,
    () => {
      clear();
      navigate(`/machines/${sheet.id}${sheet.reminder || sheet.reset_note ? '?reminder' : ''}`);
    },
  );
  const walk = useQuery(walkQuery(sheet.id)).data;
  const open = walk?.findings ?? [];
  const pointsOf = (rule: Schemas['Rule']) => walk?.grease.points.filter(({ rule_id }) => rule_id === rule.id) ?? [];
  // Whoever came from a spot finds it named.
  const from = search.get('spot');
  const other = draft.other.length === 0 && from ? [{ spot: from, act: '' as const, more: '' }] : draft.other;
  const others = other.filter(({ spot, act }) => spot !== '' && (act !== '' || spot !== from));
  const count = chosen.length + others.length + draft.putsRight.length;
  const send = (part: Partial<typeof NOTHING> = {}, reason: string | null = null) => {
    const { hours, distance, at, note } = { ...draft, ...part };
    const done = {
      kind: 'service' as const,
      machine_id: sheet.id,
      tasks: sheet.rules.filter(({ id }) => chosen.includes(id)).map(({ task_id }) => task_id),
      ...(others.length > 0 && { other: toldOthers(others, walk?.spots ?? []) }),
      ...(draft.missed.length > 0 && { greased: draft.missed.map((spot) => ({ spot, did_not_go_in: true })) }),
      anchors: chosen.flatMap((id) => {
        const anchor = draft.anchors[id];
        return anchor ? [{ rule_id: id, anchor }] : [];
      }),
      ...(hourMeter && { hours: hours || null }),
      ...(odometer && { distance: distance || null }),
      ...(draft.putsRight.length > 0 && { puts_right: draft.putsRight }),
      on: at || null,
      note: note || null,
      confirmed_because: reason,
    };
    return record.tell(done, `${sheet.name}: service`);
  };
  const doubted = asksAgain(record.refused) ? record.refused : null;
  const doubtedField = doubted && 'distance' in doubted.fields ? 'distance' : 'hours';
  const last = (meter: Schemas['Meter']) =>
    meter.read_on
      ? `Last reading ${metered(meter.value, meter.unit)}, ${sinceDay(meter.read_on, sheet.line.rail.today)}; it stands if nothing is typed.`
      : undefined;
  const toggle = (id: number) => change({ chosen: toggled(chosen, id) });
  return (
    <Page>
      <title>{`Record a service of ${sheet.name}`}</title>
      <Lead>
        <div>
          <Title>Record a service of {sheet.name}</Title>
          <Soft>Tick what was done. What falls due next is counted from here.</Soft>
        </div>
      </Lead>
      <Desk>
        <Sheet aria-labelledby="done">
          <SheetHeading id="done">What was done</SheetHeading>
          {shown.map((rule) => (
            <Item key={rule.id}>
              <Task checked={chosen.includes(rule.id)} onChange={() => toggle(rule.id)}>
                <span>
                  <Mark kind={rule.kind} /> {rule.task}, {KIND_WORDS[rule.kind]}
                  <br />
                  <Soft>{rule.standing.why}</Soft>
                  {rule.warranty && (
                    <>
                      <br />
                      <Marked>{rule.warranty}</Marked>
                    </>
                  )}
                </span>
                {!isFine(rule.standing.state) && <Stamp state={rule.standing.state} />}
              </Task>
              {chosen.includes(rule.id) && rule.kind === 'lubricate' && (
                <Points points={pointsOf(rule)} missed={draft.missed} onChange={(missed) => change({ missed })} />
              )}
              {chosen.includes(rule.id) && <Along rule={rule} rules={sheet.rules} chosen={chosen} onAdd={toggle} />}
              {chosen.includes(rule.id) &&
                countsByMeter(rule) &&
                (comparing === rule.id ? (
                  <Folded>
                    <Consequences
                      legend={`The next ${within(rule.task)} is counted`}
                      rule={rule.id}
                      at={{
                        hours: hourMeter && (draft.hours || hourMeter.value),
                        distance: odometer && (draft.distance || odometer.value),
                        at: draft.at || undefined,
                      }}
                      value={draft.anchors[rule.id] ?? rule.anchor}
                      onChange={(anchor) => change({ anchors: { ...draft.anchors, [rule.id]: anchor } })}
                    />
                  </Folded>
                ) : (
                  <Folded>
                    <QuietButton
                      aria-label={`Compare the two ways of counting on: ${rule.task}`}
                      onPress={() => setComparing(rule.id)}
                    >
                      Compare the two ways of counting on
                    </QuietButton>
                  </Folded>
                ))}
            </Item>
          ))}
          {open.map((finding) => (
            <Item key={finding.check}>
              <Task
                checked={draft.putsRight.includes(finding.check)}
                onChange={() => change({ putsRight: toggled(draft.putsRight, finding.check) })}
              >
                <span>
                  Puts right: {finding.title}
                  <br />
                  <Soft>{finding.why || finding.note}</Soft>
                </span>
                <Stamp state={finding.verdict} />
              </Task>
            </Item>
          ))}
          <OtherDone
            spots={walk?.spots ?? []}
            done={other}
            errors={record.fields}
            onChange={(other) => change({ other })}
          />
          <Body>
            {!all && shown.length < sheet.rules.length && (
              <QuietButton onPress={() => showAll(true)}>
                Show the {sheet.rules.length - shown.length} that are fresh
              </QuietButton>
            )}
            <div>
              <Caution>{sheet.before_any_work}</Caution>
              {cautions.map((caution) => (
                <Caution key={caution}>{caution}</Caution>
              ))}
            </div>
            {record.fields.tasks && <WrongText role="alert">{record.fields.tasks}</WrongText>}
          </Body>
        </Sheet>
        <Sheet aria-labelledby="when">
          <SheetHeading id="when">When, and what the meter showed</SheetHeading>
          <Body>
            {hourMeter && (
              <Amount
                label="Hour meter"
                unit="h"
                value={draft.hours}
                from={hourMeter.value}
                step="0.1"
                onChange={(hours) => change({ hours })}
                help={last(hourMeter)}
                error={doubted ? undefined : record.fields.hours}
              />
            )}
            {odometer && (
              <Amount
                label="Odometer"
                unit={odometer.unit}
                value={draft.distance}
                from={odometer.value}
                step="1"
                onChange={(distance) => change({ distance })}
                help={last(odometer)}
                error={doubted ? undefined : record.fields.distance}
              />
            )}
            {doubted && (
              <AskAgain
                refused={doubted}
                typed={problemOf(doubted).typed ?? draft[doubtedField]}
                reason={draft.reason}
                onReason={(reason) => change({ reason })}
                onSuggestion={(value) => {
                  change({ [doubtedField]: value });
                  send({ [doubtedField]: value });
                }}
                onConfirm={() => send({}, draft.reason)}
                onReplaceMeter={() => navigate(`/machines/${sheet.id}/meter?meter=${doubtedField}`)}
              />
            )}
            <DayField
              today={sheet.line.rail.today}
              value={draft.at}
              onChange={(at) => change({ at })}
              error={record.fields.on}
            />
            <Field
              label="Note: fluid, parts, what the oil looked like"
              lines
              value={draft.note}
              onChange={(note) => change({ note })}
              error={record.fields.note}
            />
            {!doubted && asksWhy(record.refused?.problem) && (
              <>
                <Field
                  label="Why it is right all the same (if it is)"
                  value={draft.reason}
                  onChange={(reason) => change({ reason })}
                />
                <PlainButton isDisabled={draft.reason.trim() === ''} onPress={() => send({}, draft.reason)}>
                  Record it with this reason
                </PlainButton>
              </>
            )}
            <Refusal
              refused={doubted ? null : record.refused}
              besides={[
                'tasks',
                'hours',
                'distance',
                'on',
                'note',
                ...Object.keys(record.fields).filter((field) => field.startsWith('other.')),
              ]}
            />
            <Actions>
              <MainButton isDisabled={record.busy || count === 0} onPress={() => send()}>
                {count === 0 ? 'Tick what was done' : recordWords(count, count === chosen.length)}
              </MainButton>
              <PlainButton onPress={() => navigate(`/machines/${sheet.id}`)}>Leave it</PlainButton>
            </Actions>
          </Body>
        </Sheet>
      </Desk>
    </Page>
  );
}

const countsByMeter = (rule: Schemas['Rule']): boolean => Boolean(rule.every.hours ?? rule.every.km ?? rule.every.mi);

type AlongProps = { rule: Schemas['Rule']; rules: Schemas['Rule'][]; chosen: number[]; onAdd: (id: number) => void };

/** What is done in the course of a chosen task. */
function Along({ rule, rules, chosen, onAdd }: AlongProps) {
  const going = rules.filter(({ id, goes_with }) => goes_with === rule.id && !chosen.includes(id));
  if (going.length === 0) return null;
  return (
    <Folded>
      {going.map((one) => (
        <p key={one.id}>
          While you are at it: {within(one.task)}.{' '}
          <QuietButton onPress={() => onAdd(one.id)}>It was done too</QuietButton>
        </p>
      ))}
    </Folded>
  );
}

type PointsProps = { points: Schemas['Grease']['points']; missed: string[]; onChange: (missed: string[]) => void };

/** The points of a grease task: all of them got their strokes but those ticked. */
function Points({ points, missed, onChange }: PointsProps) {
  if (points.length === 0) return null;
  return (
    <Folded>
      {points.length === 1 ? 'It got its strokes, unless' : `All ${points.length} points got their strokes, but`} grease
      came out round the coupler at
      <Ticks
        label="Did not go in"
        quiet
        inLine
        value={missed}
        onChange={onChange}
        options={points.map(({ key, name }) => ({ value: key, label: name }))}
      />
    </Folded>
  );
}

/** Ticked, or no longer. */
const toggled = <T,>(ticked: T[], one: T): T[] =>
  ticked.includes(one) ? ticked.filter((other) => other !== one) : [...ticked, one];

const recordWords = (count: number, onlyTasks: boolean): string => {
  const one = onlyTasks ? 'task' : 'thing';
  return `Record ${count} ${count === 1 ? one : `${one}s`} done`;
};
