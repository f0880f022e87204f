import { useQuery } from '@tanstack/react-query';
import { useCallback, useEffect } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { answer, api, type Schemas } from '../api/client';
import { starterQuery, yardQuery } from '../api/queries';
import type { paths } from '../api/schema';
import { useWrite } from '../api/useWrite';
import { Actions, MainButton, PlainButton } from '../kit/Button';
import { Choice } from '../kit/Choice';
import DayPick from '../kit/DayPick';
import { Field, Fields, WrongText } from '../kit/Field';
import { Lead, Page, Sheet, SheetHeading, Soft, Title } from '../kit/Sheet';
import { Tick } from '../kit/Tick';
import { PHONE } from '../kit/theme';
import { YARD } from '../notes/touched';
import { useAfterWrite } from '../notes/useAfterWrite';
import { useDraft } from '../offline/drafts';
import { Amount } from '../trade/Amount';
import { Reading } from '../trade/Reading';
import { KIND_WORDS } from '../trade/words';
import { EMPTY_RECORD, type RecordDraft, RecordFields, recordBody } from './recordDraft';
import { beginningOf, draftOf, type RuleDraft, ruleBody } from './ruleDraft';

type History = 'new' | 'known' | 'unknown';
type StarterRule = RuleDraft & { wanted: boolean; inWords: string; goesWithRow: number | null };
type StarterRulebooks = paths['/starter-rulebooks']['get']['responses']['200']['content']['application/json'];
type Draft = {
  record: RecordDraft;
  history: History;
  beganOn: string;
  hasMeter: boolean;
  meters: Partial<Record<Schemas['MeterUnit'], string>>;
  rulesFor: string;
  starter: string;
  rules: StarterRule[];
};

const NOTHING: Draft = {
  record: EMPTY_RECORD,
  history: 'new',
  beganOn: '',
  hasMeter: true,
  meters: {},
  rulesFor: '',
  starter: '',
  rules: [],
};

const Body = styled.div`
  padding: 18px 20px; display: flex; flex-direction: column; gap: 16px; ${PHONE} { padding: 14px; }
`;
const Last = styled.div`display: grid; grid-template-columns: 1fr 1fr; gap: 10px;`;
const Named = styled.div`strong { display: block; }`;
const RuleRow = styled.div<{ $amounts: number }>`
  display: grid;
  grid-template-columns: 30px minmax(180px, 1.4fr) repeat(${({ $amounts }) => $amounts}, minmax(86px, 0.5fr)) minmax(0, 1.6fr);
  gap: 10px 14px; align-items: end; padding: 10px 20px; border-top: 1px solid var(--rule);
  > label { align-self: center; }
  ${PHONE} { grid-template-columns: 30px repeat(${({ $amounts }) => $amounts}, minmax(0, 1fr)); padding: 12px 14px; > ${Named}, > ${Last}, > span { grid-column: 2 / -1; } > label { align-self: start; } > :nth-child(3) { grid-column-start: 2; } }
`;

/** Enters a machine from scratch: what it is, what its meter shows, what is known of it, and a rulebook to begin with. */
export default function AddMachinePage() {
  const yard = useQuery(yardQuery);
  if (!yard.data) return <Reading title="A new machine" error={yard.error} />;
  return <AddMachine yard={yard.data} />;
}

function AddMachine({ yard }: { yard: Schemas['Yard'] }) {
  const navigate = useNavigate();
  const { toldWith } = useAfterWrite(YARD);
  const [draft, setDraft, clear] = useDraft('machine.new', NOTHING);
  const change = (part: Partial<Draft>) => setDraft((before) => ({ ...before, ...part }));
  const starter = useQuery(starterQuery(draft.record.class));
  const units = draft.hasMeter ? metersOf(yard, draft.record.class) : [];
  const begin = useCallback(
    (data: StarterRulebooks, index: number) => {
      const rulebook = data.rulebooks[index];
      const rules =
        rulebook?.rules.map((rule) => ({
          ...draftOf(rule),
          inWords: rule.in_words,
          wanted: true,
          goesWithRow: rule.goes_with_row,
        })) ?? [];
      setDraft((before) => ({ ...before, rulesFor: data.class, starter: rulebook?.name ?? '', rules }));
    },
    [setDraft],
  );
  useEffect(() => {
    if (starter.data && draft.rulesFor !== starter.data.class) begin(starter.data, 0);
  }, [starter.data, draft.rulesFor, begin]);
  const changeRule = (index: number, part: Partial<StarterRule>) =>
    change({ rules: draft.rules.map((rule, at) => (at === index ? { ...rule, ...part } : rule)) });
  // What is done in the course of another goes out with it.
  const wanted = draft.rules.filter(
    (rule) => rule.wanted && (rule.goesWithRow === null || draft.rules[rule.goesWithRow]?.wanted),
  );
  const rowOf = ({ goesWithRow }: StarterRule) => {
    const other = goesWithRow === null ? undefined : draft.rules[goesWithRow];
    return other ? { goes_with_row: wanted.indexOf(other) } : {};
  };
  const add = useWrite(
    (header, body: Schemas['NewMachine']) => answer(api.POST('/machines', { params: { header }, body })),
    async (machine) => {
      clear();
      navigate(`/machines/${machine.id}`);
      await toldWith(`${machine.name} is in the book.`, () =>
        answer(
          api.PATCH('/machines/{machine}', {
            params: { path: { machine: machine.id }, header: { 'If-Match': `"${machine.version}"` } },
            body: { retired: true },
          }),
        ),
      );
    },
  );
  const send = () =>
    add.send({
      ...recordBody(draft.record),
      history: draft.history,
      began_on: draft.history === 'new' ? draft.beganOn || null : null,
      meters: units.flatMap((unit) =>
        draft.meters[unit]?.trim() || unit === 'h' || units.length === 1
          ? [{ unit, value: draft.meters[unit]?.trim() || '0' }]
          : [],
      ),
      rules: wanted.map((rule) => ({
        ...ruleBody(rule, yard.distance_unit),
        ...rowOf(rule),
        ...beginningOf({ ...rule, countsFrom: countsFrom(draft.history, rule) }),
      })),
    });
  const { fields } = add;
  const fieldOf = (rule: StarterRule, name: string) => fields[`rules.${wanted.indexOf(rule)}.${name}`];
  return (
    <Page>
      <title>Add a machine</title>
      <Lead>
        <Title>Add a machine</Title>
      </Lead>
      <Sheet aria-labelledby="what">
        <SheetHeading id="what">What it is</SheetHeading>
        <Body>
          <RecordFields
            draft={draft.record}
            change={(part) => change({ record: { ...draft.record, ...part } })}
            fields={fields}
            yard={yard}
          />
        </Body>
      </Sheet>
      <Sheet aria-labelledby="shows">
        <SheetHeading id="shows">What its meter shows, and what is known of it</SheetHeading>
        <Body>
          <Fields $columns={3}>
            {units.map((unit, index) => (
              <Amount
                key={unit}
                label={unit === 'h' ? 'Hour meter' : 'Odometer'}
                unit={unit}
                value={draft.meters[unit] ?? ''}
                from="0"
                step={unit === 'h' ? '0.1' : '1'}
                onChange={(value) => change({ meters: { ...draft.meters, [unit]: value } })}
                error={fields[`meters.${index}.value`]}
              />
            ))}
            <Choice
              label="Does it count its own use"
              value={draft.hasMeter ? 'meter' : 'none'}
              onChange={(choice) => change({ hasMeter: choice === 'meter' })}
              options={[
                { value: 'meter', label: 'it has a meter' },
                { value: 'none', label: 'no meter: by date only' },
              ]}
            />
            <Choice
              label="Its history"
              value={draft.history}
              onChange={(history) => change({ history })}
              options={[
                { value: 'new', label: 'it came new' },
                { value: 'known', label: 'used, and known when things were done' },
                { value: 'unknown', label: 'used, nothing is known' },
              ]}
              error={fields.history}
            />
            {draft.history === 'new' && (
              <DayPick
                label="In use since"
                max={yard.today}
                value={draft.beganOn}
                onChange={(beganOn) => change({ beganOn })}
                error={fields.began_on}
                help="Leave it empty for today."
              />
            )}
          </Fields>
          {draft.history === 'unknown' && (
            <Soft>
              What was never recorded counts as unknown, not as fine: the rulebook will ask for it to be done now.
            </Soft>
          )}
        </Body>
      </Sheet>
      <Sheet aria-labelledby="rules">
        <SheetHeading id="rules">A rulebook to begin with</SheetHeading>
        <Body>
          <Soft>
            Common practice for a {yard.classes.find(({ class: value }) => value === draft.record.class)?.label}, no
            source. The maker's manual wins: change each figure to what it says.
          </Soft>
          {starter.data && starter.data.rulebooks.length > 1 && (
            <Fields $columns={3}>
              <Choice
                label="Keepers differ; which way"
                value={draft.starter}
                onChange={(name) =>
                  starter.data &&
                  begin(
                    starter.data,
                    starter.data.rulebooks.findIndex((one) => one.name === name),
                  )
                }
                options={starter.data.rulebooks.map((one) => ({ value: one.name, label: `${one.name}: ${one.for}` }))}
              />
            </Fields>
          )}
        </Body>
        {draft.rules.map((rule, index) => (
          <RuleRow key={`${rule.task} ${rule.kind} ${draft.starter}`} $amounts={units.length + 1}>
            <Tick
              label={`Take ${rule.task}, ${KIND_WORDS[rule.kind]}`}
              checked={rule.wanted}
              onChange={(wanted) => changeRule(index, { wanted })}
            />
            <Named>
              <strong>{rule.task}</strong>
              <Soft>
                {KIND_WORDS[rule.kind]}
                {rule.windows.length > 0 || rule.condition
                  ? `, ${rule.inWords}`
                  : rule.firstHours && `, first at ${rule.firstHours} h`}
              </Soft>
            </Named>
            {units.includes('h') && (
              <Field
                label="Hours"
                inputMode="decimal"
                value={rule.hours}
                onChange={(hours) => changeRule(index, { hours })}
                error={fieldOf(rule, 'every.hours') ?? fieldOf(rule, 'every')}
              />
            )}
            {units.some((unit) => unit !== 'h') && (
              <Field
                label={`Distance, ${yard.distance_unit}`}
                inputMode="decimal"
                value={rule.distance}
                onChange={(distance) => changeRule(index, { distance })}
                error={fieldOf(rule, `every.${yard.distance_unit}`)}
              />
            )}
            <Field
              label="Months"
              inputMode="numeric"
              value={rule.months}
              onChange={(months) => changeRule(index, { months })}
              error={fieldOf(rule, 'every.months')}
            />
            {draft.history === 'known' ? (
              <Last>
                <DayPick
                  label="Last done on"
                  max={yard.today}
                  value={rule.lastDate}
                  onChange={(lastDate) => changeRule(index, { lastDate })}
                  error={fieldOf(rule, 'last_done.date')}
                />
                {units.includes('h') ? (
                  <Field
                    label="at, hours"
                    inputMode="decimal"
                    value={rule.lastHours}
                    onChange={(lastHours) => changeRule(index, { lastHours })}
                    error={fieldOf(rule, 'last_done.hours')}
                  />
                ) : (
                  <Field
                    label={`at, ${yard.distance_unit}`}
                    inputMode="decimal"
                    value={rule.lastDistance}
                    onChange={(lastDistance) => changeRule(index, { lastDistance })}
                    error={fieldOf(rule, 'last_done.distance')}
                  />
                )}
              </Last>
            ) : (
              <Soft>{rule.note}</Soft>
            )}
          </RuleRow>
        ))}
        <Body>
          {add.refused && <WrongText role="alert">{add.refused.problem.detail}</WrongText>}
          <Actions>
            <MainButton isDisabled={add.busy} onPress={send}>
              {draft.record.name.trim()
                ? `Add ${draft.record.name.trim()} with ${wanted.length} rules`
                : 'Add the machine'}
            </MainButton>
            <PlainButton onPress={() => navigate('/yard')}>Leave it</PlainButton>
          </Actions>
        </Body>
      </Sheet>
    </Page>
  );
}

function metersOf(yard: Schemas['Yard'], machineClass: Schemas['MachineClass']): Schemas['MeterUnit'][] {
  const usual = yard.classes.find(({ class: value }) => value === machineClass)?.usual_meters ?? ['h'];
  return usual.map((unit) => (unit === 'h' ? 'h' : yard.distance_unit));
}

function countsFrom(history: History, rule: StarterRule): RuleDraft['countsFrom'] {
  if (history === 'new') return 'beginning';
  return history === 'known' && (rule.lastDate || rule.lastHours || rule.lastDistance) ? 'last_done' : 'unknown';
}
