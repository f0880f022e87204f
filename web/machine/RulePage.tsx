import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { useNavigate, useParams } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { yardQuery } from '../api/queries';
import { useWrite } from '../api/useWrite';
import { Actions, MainButton, PlainButton } from '../kit/Button';
import { Choice } from '../kit/Choice';
import DayPick from '../kit/DayPick';
import { Field, Fields, WrongText } from '../kit/Field';
import { Fold } from '../kit/Fold';
import { FormSheet } from '../kit/FormSheet';
import { Soft } from '../kit/Sheet';
import { Tick } from '../kit/Tick';
import { sheetOf, YARD } from '../notes/touched';
import { useAfterWrite } from '../notes/useAfterWrite';
import { useDraft } from '../offline/drafts';
import { Reading, useKnownName } from '../trade/Reading';
import { Refusal } from '../trade/Refusal';
import { useMachine } from '../trade/useMachine';
import { KIND_WORDS } from '../trade/words';
import { Consequences } from './Consequences';
import { SeasonFields, TogetherFields } from './RuleShapeFields';
import { RuleSpots } from './RuleSpots';
import { beginningOf, draftOf, EMPTY_RULE, type RuleDraft, ruleBody } from './ruleDraft';

const kinds = Object.entries(KIND_WORDS).map(([value, label]) => ({ value: value as Schemas['TaskKind'], label }));

/** Adds or changes one rule of a machine's rulebook. */
export default function RulePage() {
  const machine = useMachine();
  const known = useKnownName();
  const yard = useQuery(yardQuery);
  const ruleId = Number(useParams().rule);
  const rule = machine.data?.rules.find(({ id }) => id === ruleId);
  if (!machine.data || !yard.data) return <Reading title={known} error={machine.error ?? yard.error} />;
  return <RuleForm key={rule?.version} sheet={machine.data} rule={rule} distanceUnit={yard.data.distance_unit} />;
}

function RuleForm({
  sheet,
  rule,
  distanceUnit,
}: {
  sheet: Schemas['MachinePage'];
  rule?: Schemas['Rule'];
  distanceUnit: 'km' | 'mi';
}) {
  const navigate = useNavigate();
  const { toldWith } = useAfterWrite(sheet.shared_rulebook ? YARD : sheetOf(sheet.id));
  const [draft, setDraft, clear] = useDraft<RuleDraft>(
    rule ? `rule.${rule.id}.${rule.version}` : `rule.new.${sheet.id}`,
    useMemo(() => (rule ? draftOf(rule) : EMPTY_RULE), [rule]),
  );
  const change = (part: Partial<RuleDraft>) => setDraft((before) => ({ ...before, ...part }));
  const hours = sheet.line.meters.some(({ unit }) => unit === 'h');
  const odometer = sheet.line.meters.find(({ unit }) => unit !== 'h');
  const unit = (odometer?.unit ?? distanceUnit) as 'km' | 'mi';
  const back = () => navigate(`/machines/${sheet.id}/rulebook`);
  const save = useWrite(
    (header, given: RuleDraft, forAll: boolean = false) =>
      rule
        ? answer(
            api.PATCH('/rules/{rule}', {
              params: { path: { rule: rule.id }, header: { 'If-Match': `"${rule.version}"` } },
              body: { ...ruleBody(given, unit), for_all: forAll },
            }),
          )
        : answer(
            api.POST('/machines/{machine}/rules', {
              params: { path: { machine: sheet.id }, header },
              body: { ...ruleBody(given, unit), ...beginningOf(given) },
            }),
          ),
    async (saved) => {
      clear();
      back();
      const undo = rule ? ruleBody(draftOf(rule), unit) : { retired: true };
      await toldWith(rule ? `${saved.task} changed.` : `${saved.task} added.`, () => patchRule(saved, undo));
    },
  );
  const takeOut = useWrite(
    (_key) => (rule ? patchRule(rule, { retired: true }) : Promise.reject(new Error('No rule'))),
    async (gone) => {
      back();
      await toldWith(`${gone.task} taken out of the rulebook.`, () => patchRule(gone, { retired: false }));
    },
  );
  const { fields } = save;
  return (
    <FormSheet
      title={rule ? `${rule.task}: change the rule` : `A new rule for ${sheet.name}`}
      lead={rule?.standing.why}
    >
      <Fields $columns={2}>
        <Field
          label="Task (named after its spots if left empty)"
          value={draft.task}
          onChange={(task) => change({ task })}
          error={fields.task}
          autoFocus={!rule}
          placeholder="Engine oil and filter"
        />
        <Choice
          label="What is done"
          value={draft.kind}
          onChange={(kind) => change({ kind })}
          options={kinds}
          error={fields.kind}
        />
      </Fields>
      <RuleSpots machine={sheet.id} draft={draft} change={change} fields={fields} />
      <Soft>
        Every so many, whichever comes first. Leave it empty where it comes by the season, by a check or with another
        task.
      </Soft>
      <Fields $columns={3}>
        {hours && (
          <Field
            label="Hours"
            inputMode="decimal"
            value={draft.hours}
            onChange={(value) => change({ hours: value })}
            error={fields['every.hours']}
          />
        )}
        {odometer && (
          <Field
            label={`Distance, ${unit}`}
            inputMode="decimal"
            value={draft.distance}
            onChange={(distance) => change({ distance })}
            error={fields[`every.${unit}`]}
          />
        )}
        <Field
          label="Months"
          inputMode="numeric"
          value={draft.months}
          onChange={(months) => change({ months })}
          error={fields['every.months']}
        />
      </Fields>
      {fields.every && (
        <Refusal refused={save.refused} besides={Object.keys(fields).filter((field) => field !== 'every')} />
      )}
      <Fields $columns={3}>
        {hours && (
          <Field
            label="First at, hours"
            inputMode="decimal"
            value={draft.firstHours}
            onChange={(firstHours) => change({ firstHours })}
            error={fields['first.0.hours']}
            help="The break-in service, if any."
          />
        )}
        {odometer && (
          <Field
            label={`First at, ${unit}`}
            inputMode="decimal"
            value={draft.firstDistance}
            onChange={(firstDistance) => change({ firstDistance })}
            error={fields[`first.0.${unit}`]}
          />
        )}
      </Fields>
      <Fields $columns={3}>
        <Field
          label="May be early by, %"
          inputMode="decimal"
          value={draft.early}
          onChange={(early) => change({ early })}
          error={fields.early}
        />
        <Field
          label="May be late by, %"
          inputMode="decimal"
          value={draft.late}
          onChange={(late) => change({ late })}
          error={fields.late}
        />
      </Fields>
      <Fold
        label="By the season, or when a check says so"
        open={
          draft.windows.length > 0 ||
          draft.condition !== '' ||
          Object.keys(fields).some((field) => /^(windows|condition)/.test(field))
        }
      >
        <SeasonFields draft={draft} change={change} fields={fields} />
      </Fold>
      <Consequences
        legend="The next is counted"
        rule={rule?.standing.limiting && !rule.windows.length ? rule.id : undefined}
        value={draft.anchor}
        onChange={(anchor) => change({ anchor })}
      />
      <Fold
        label="With another task, what is poured back"
        open={Boolean(draft.goesWith || draft.topUp || fields.goes_with || fields.top_up)}
      >
        <TogetherFields
          draft={draft}
          change={change}
          fields={fields}
          others={sheet.rules.filter((other) => other.id !== rule?.id)}
        />
      </Fold>
      <Choice
        label="Whose rule"
        value={draft.source}
        onChange={(source) => change({ source, commonPractice: false })}
        options={[
          { value: 'keeper', label: "the keeper's own" },
          { value: 'book', label: "the maker's book" },
        ]}
      />
      {draft.source === 'keeper' && (
        <>
          <Soft>What the maker's book says, if it says otherwise:</Soft>
          <Fields $columns={3}>
            {hours && (
              <Field
                label="Book, hours"
                inputMode="decimal"
                value={draft.bookHours}
                onChange={(bookHours) => change({ bookHours })}
                error={fields['book.hours']}
              />
            )}
            {odometer && (
              <Field
                label={`Book, ${unit}`}
                inputMode="decimal"
                value={draft.bookDistance}
                onChange={(bookDistance) => change({ bookDistance })}
                error={fields[`book.${unit}`]}
              />
            )}
            <Field
              label="Book, months"
              inputMode="numeric"
              value={draft.bookMonths}
              onChange={(bookMonths) => change({ bookMonths })}
              error={fields['book.months']}
            />
          </Fields>
        </>
      )}
      {(draft.loosenedBecause || fields.loosened_because) && (
        <Field
          label="Why it is looser than the book"
          value={draft.loosenedBecause}
          onChange={(loosenedBecause) => change({ loosenedBecause })}
          error={fields.loosened_because}
        />
      )}
      {(sheet.extended_warranty.until || sheet.extended_warranty.hours) && (
        <Tick checked={draft.dealerOnly} onChange={(dealerOnly) => change({ dealerOnly })}>
          The dealer's while the extended warranty runs
        </Tick>
      )}
      {!rule && <Beginning draft={draft} change={change} sheet={sheet} fields={fields} />}
      <Field label="Note" value={draft.note} onChange={(note) => change({ note })} error={fields.note} />
      {takeOut.fields.retired && <WrongText role="alert">{takeOut.fields.retired}</WrongText>}
      {!fields.every && <Refusal refused={save.refused ?? takeOut.refused} besides={SHOWN} />}
      <Actions>
        <MainButton isDisabled={save.busy} onPress={() => save.send(draft)}>
          {rule ? 'Change the rule' : 'Add the rule'}
        </MainButton>
        {rule?.shared === 'shared' && sheet.shared_rulebook && sheet.shared_rulebook.machines.length > 1 && (
          <PlainButton isDisabled={save.busy} onPress={() => save.send(draft, true)}>
            Change it for all {sheet.shared_rulebook.machines.length} that share it
          </PlainButton>
        )}
        {rule && <PlainButton onPress={() => takeOut.send()}>Take it out</PlainButton>}
        <PlainButton onPress={back}>Leave it</PlainButton>
      </Actions>
    </FormSheet>
  );
}

type BeginningProps = {
  draft: RuleDraft;
  change: (part: Partial<RuleDraft>) => void;
  sheet: Schemas['MachinePage'];
  fields: Record<string, string>;
};

function Beginning({ draft, change, sheet, fields }: BeginningProps) {
  return (
    <>
      <Choice
        label="Last done"
        value={draft.countsFrom}
        onChange={(countsFrom) => change({ countsFrom })}
        options={[
          { value: 'last_done' as const, label: 'on a day that is known' },
          ...(sheet.history === 'new'
            ? [{ value: 'beginning' as const, label: "never: counted from the machine's beginning" }]
            : []),
          { value: 'unknown' as const, label: 'nobody knows' },
        ]}
        error={fields.counts_from}
      />
      {draft.countsFrom === 'last_done' && (
        <Fields $columns={3}>
          <DayPick
            label="On"
            max={sheet.line.rail.today}
            value={draft.lastDate}
            onChange={(lastDate) => change({ lastDate })}
            error={fields['last_done.date']}
          />
          {sheet.line.meters.map(({ unit, value }) =>
            unit === 'h' ? (
              <Field
                key={unit}
                label="At, hours"
                inputMode="decimal"
                placeholder={value}
                value={draft.lastHours}
                onChange={(lastHours) => change({ lastHours })}
                error={fields['last_done.hours']}
              />
            ) : (
              <Field
                key={unit}
                label={`At, ${unit}`}
                inputMode="decimal"
                placeholder={value}
                value={draft.lastDistance}
                onChange={(lastDistance) => change({ lastDistance })}
                error={fields['last_done.distance']}
              />
            ),
          )}
        </Fields>
      )}
    </>
  );
}

const SHOWN = [
  ...['condition', 'goes_with', 'top_up', 'loosened_because', 'retired', 'spots', 'check'],
  'task',
  'kind',
  'early',
  'late',
  'note',
  'counts_from',
  ...['every', 'book', 'first.0', 'last_done'].flatMap((part) =>
    ['hours', 'km', 'mi', 'months', 'date', 'distance'].map((field) => `${part}.${field}`),
  ),
];

const patchRule = (rule: Schemas['RuleRecord'], body: Schemas['RuleChange']) =>
  answer(
    api.PATCH('/rules/{rule}', {
      params: { path: { rule: rule.id }, header: { 'If-Match': `"${rule.version}"` } },
      body,
    }),
  );
