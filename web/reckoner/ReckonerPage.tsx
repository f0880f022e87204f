import type { ReactNode } from 'react';
import styled from 'styled-components';
import { Choice } from '../kit/Choice';
import DayPick from '../kit/DayPick';
import { Field, Fields, WrongText } from '../kit/Field';
import { count } from '../kit/format';
import { Lead, Line, Margin, Page, Ruled, Sheet, SheetHeading, Soft, Title } from '../kit/Sheet';
import { useDraft } from '../kit/useDraft';
import { useReckon } from './useReckon';

const Large = styled.p`font-size: 24px; font-weight: 650; line-height: 1.25;`;

type Reckoned = { answer?: { why: string; sources: string[] }; fields: Record<string, string> };

/** The calculators: what is typed on the line, the answer and its reason in the margin. */
export default function ReckonerPage() {
  return (
    <Page>
      <title>Reckoner</title>
      <Lead>
        <Title>Reckoner</Title>
      </Lead>
      <Convert />
      <Countdown />
      <Reading />
      <Standing />
    </Page>
  );
}

function Calculator({
  title,
  reckoned,
  large,
  shown,
  children,
}: {
  title: string;
  reckoned: Reckoned;
  large?: ReactNode;
  shown: string[];
  children: ReactNode;
}) {
  const elsewhere = Object.entries(reckoned.fields).filter(([field]) => !shown.includes(field));
  return (
    <Sheet aria-label={title}>
      <SheetHeading>{title}</SheetHeading>
      <Ruled>
        <Line>{children}</Line>
        <Margin aria-live="polite">
          {reckoned.answer ? (
            <>
              <Large>{large}</Large>
              <p>{reckoned.answer.why}</p>
              <Soft>{reckoned.answer.sources.join(', ')}</Soft>
            </>
          ) : (
            <Soft>{elsewhere.length === 0 ? 'The answer comes as you type.' : null}</Soft>
          )}
          {elsewhere.map(([field, message]) => (
            <WrongText key={field}>{message}</WrongText>
          ))}
        </Margin>
      </Ruled>
    </Sheet>
  );
}

const UNITS = [
  'L',
  'mL',
  'us_gal',
  'us_qt',
  'us_pt',
  'us_floz',
  'imp_gal',
  'imp_qt',
  'imp_pt',
  'imp_floz',
  'mm',
  'cm',
  'm',
  'in',
  'ft',
  'km',
  'mi',
  'kPa',
  'bar',
  'psi',
  'N_m',
  'ft_lbf',
  'in_lbf',
  'kgf_m',
  'N',
  'lbf',
  'kgf',
  'degC',
  'degF',
  'g',
  'kg',
  'oz',
  'lb',
  'h',
  'min',
  's',
  'd',
] as const;
const spelt = (unit: string): string =>
  unit
    .replace('degC', '°C')
    .replace('degF', '°F')
    .replace('N_m', 'N·m')
    .replace('_lbf', '·lbf')
    .replace('kgf_m', 'kgf·m')
    .replace('us_', 'US ')
    .replace('imp_', 'imp ')
    .replace('floz', 'fl oz');

const CONVERT = { quantity: '', to: 'L' };

function Convert() {
  const [draft, setDraft] = useDraft('reckon.convert', CONVERT);
  const reckoned = useReckon<{ result: { display: string } }>('convert', draft.quantity.trim() ? draft : null);
  return (
    <Calculator
      title="One measure in another"
      reckoned={reckoned}
      large={reckoned.answer?.result.display}
      shown={['quantity']}
    >
      <Fields $columns={2}>
        <Field
          label="Amount with its unit"
          value={draft.quantity}
          placeholder="1 3/4 qt"
          onChange={(quantity) => setDraft({ ...draft, quantity })}
          error={reckoned.fields.quantity}
          help="qt, gal, pt and fl oz are US unless imp stands before them."
        />
        <Choice
          label="In"
          value={draft.to}
          onChange={(to) => setDraft({ ...draft, to })}
          options={UNITS.map((value) => ({ value: value as string, label: spelt(value) }))}
        />
      </Fields>
    </Calculator>
  );
}

const COUNTDOWN = { meter: '', next_due: '', step: '1' };

function Countdown() {
  const [draft, setDraft] = useDraft('reckon.countdown', COUNTDOWN);
  const reckoned = useReckon<{ set: number }>('countdown', draft.meter && draft.next_due ? draft : null);
  return (
    <Calculator
      title="What to set on the machine's own countdown"
      reckoned={reckoned}
      large={reckoned.answer && `Set ${count(reckoned.answer.set)}`}
      shown={Object.keys(COUNTDOWN)}
    >
      <Fields $columns={3}>
        <Field
          label="Meter shows, h"
          inputMode="decimal"
          placeholder="31.2"
          value={draft.meter}
          onChange={(meter) => setDraft({ ...draft, meter })}
          error={reckoned.fields.meter}
        />
        <Field
          label="Next due at, h"
          inputMode="decimal"
          placeholder="50"
          value={draft.next_due}
          onChange={(next_due) => setDraft({ ...draft, next_due })}
          error={reckoned.fields.next_due}
        />
        <Field
          label="Its display goes in steps of"
          inputMode="decimal"
          value={draft.step}
          onChange={(step) => setDraft({ ...draft, step })}
          error={reckoned.fields.step}
        />
      </Fields>
    </Calculator>
  );
}

const READING = { before: '', beforeAt: '', now: '', nowAt: '' };

function Reading() {
  const [draft, setDraft] = useDraft('reckon.reading', READING);
  const complete = Object.values(draft).every(Boolean);
  const given = { previous: { value: draft.before, at: draft.beforeAt }, next: { value: draft.now, at: draft.nowAt } };
  const reckoned = useReckon<{ plausible: boolean; suggestion?: number }>('reading', complete ? given : null);
  const { answer } = reckoned;
  const verdict =
    answer &&
    (answer.plausible
      ? 'It can be right'
      : !answer.suggestion
        ? 'It can hardly be right'
        : `Perhaps ${count(answer.suggestion)}`);
  return (
    <Calculator
      title="Whether a reading can be right"
      reckoned={reckoned}
      large={verdict}
      shown={['previous.value', 'previous.at', 'next.value', 'next.at']}
    >
      <Fields $columns={2}>
        <Field
          label="It showed, h"
          inputMode="decimal"
          placeholder="24.6"
          value={draft.before}
          onChange={(before) => setDraft({ ...draft, before })}
          error={reckoned.fields['previous.value']}
        />
        <DayPick
          label="on"
          value={draft.beforeAt}
          onChange={(beforeAt) => setDraft({ ...draft, beforeAt })}
          error={reckoned.fields['previous.at']}
        />
        <Field
          label="Then it showed, h"
          inputMode="decimal"
          placeholder="412.6"
          value={draft.now}
          onChange={(now) => setDraft({ ...draft, now })}
          error={reckoned.fields['next.value']}
        />
        <DayPick
          label="on"
          value={draft.nowAt}
          onChange={(nowAt) => setDraft({ ...draft, nowAt })}
          error={reckoned.fields['next.at']}
        />
      </Fields>
    </Calculator>
  );
}

const STANDING = { every: '', done: '', now: '', anchor: 'from_done' };

function Standing() {
  const [draft, setDraft] = useDraft('reckon.standing', STANDING);
  const given = {
    rule: { every: { hours: draft.every }, anchor: draft.anchor },
    start: null,
    done: [{ hours: draft.done }],
    now: { hours: draft.now },
  };
  const reckoned = useReckon<{ state: string; due: { hours: number | null } }>(
    'standing',
    draft.every && draft.done && draft.now ? given : null,
  );
  const { answer } = reckoned;
  return (
    <Calculator
      title="When it comes next"
      reckoned={reckoned}
      large={answer && `${answer.state}, next at ${count(answer.due.hours ?? 0)} h`}
      shown={['rule.every.hours', 'done.0.hours', 'now.hours']}
    >
      <Fields $columns={2}>
        <Field
          label="Every, h"
          inputMode="decimal"
          placeholder="400"
          value={draft.every}
          onChange={(every) => setDraft({ ...draft, every })}
          error={reckoned.fields['rule.every.hours']}
        />
        <Choice
          label="The next is counted"
          value={draft.anchor}
          onChange={(anchor) => setDraft({ ...draft, anchor })}
          options={[
            { value: 'from_done', label: 'from the day it was done' },
            { value: 'chart', label: "by the chart's multiples" },
          ]}
        />
        <Field
          label="Last done at, h"
          inputMode="decimal"
          placeholder="362"
          value={draft.done}
          onChange={(done) => setDraft({ ...draft, done })}
          error={reckoned.fields['done.0.hours']}
        />
        <Field
          label="Meter shows, h"
          inputMode="decimal"
          placeholder="371"
          value={draft.now}
          onChange={(now) => setDraft({ ...draft, now })}
          error={reckoned.fields['now.hours']}
        />
      </Fields>
    </Calculator>
  );
}
