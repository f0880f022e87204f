import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import styled, { createGlobalStyle } from 'styled-components';
import { answer, api, type Schemas } from '../api/client';
import { chartQuery, walkQuery } from '../api/queries';
import type { paths } from '../api/schema';
import { usePerson } from '../api/usePerson';
import { useWrite } from '../api/useWrite';
import { Actions, MainButton, PlainButton, QuietActions, QuietButton, quietLink } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { now } from '../kit/clock';
import { Field, Fields, WrongText } from '../kit/Field';
import { within } from '../kit/format';
import { Empty, Lead, Page, Sheet, Soft, Title } from '../kit/Sheet';
import { sheetOf, YARD } from '../notes/touched';
import { useAfterWrite } from '../notes/useAfterWrite';
import { useDraft } from '../offline/drafts';
import { Reading, useKnownName } from '../trade/Reading';
import { Refusal } from '../trade/Refusal';
import { useMachine } from '../trade/useMachine';
import { KIND_WORDS } from '../trade/words';
import { ChartGrid } from './ChartGrid';
import { chartBody, chartDraft, type EditedRow, inOrder } from './chartDraft';
import { PasteChart, type TakenRow } from './PasteChart';
import { SharedRulebooks } from './SharedRulebooks';
import { AS_SUGGESTED, likeliest, spotOptions, useSpotSuggestions } from './spotChoice';
import { readChart, useChartReading } from './useChartReading';

const OnePage = createGlobalStyle`
  @media print { @page { size: A4 landscape; margin: 9mm; } header, nav, footer { display: none !important; } }
`;
const ActionLink = styled.a`${quietLink}`;
const BackLink = styled(Link)`${quietLink}`;
const Foot = styled.div`
  padding: 14px 20px 18px; display: flex; flex-direction: column; gap: 14px;
  @media print { padding: 4px 0; }
`;
const Add = styled.form`
  display: flex; flex-wrap: wrap; gap: 12px; align-items: end;
  > div { width: 220px; }
  @media print { display: none; }
`;
const OnScreen = styled.div`@media print { display: none; }`;
const Above = styled(OnScreen)`margin-bottom: 22px; &:empty { display: none; }`;
const Below = styled(OnScreen)`margin-top: 22px;`;
const Controls = styled(OnScreen)`display: flex; flex-direction: column; gap: 14px;`;

type ChartBody = paths['/machines/{machine}/chart']['put']['requestBody']['content']['application/json'];

/** A machine's rulebook as one column chart, edited by marks. */
export default function ChartPage() {
  const machine = useMachine();
  const known = useKnownName();
  const chart = useQuery({ ...chartQuery(machine.data?.id ?? 0), enabled: machine.data !== undefined });
  if (!machine.data || !chart.data) return <Reading title={known} error={machine.error ?? chart.error} />;
  const versions = chart.data.rows.map(({ rule_id, record }) => `${rule_id}.${record.version}`).join();
  return <Chart key={versions} sheet={machine.data} chart={chart.data} versions={versions} />;
}

function Chart({
  sheet,
  chart,
  versions,
}: {
  sheet: Schemas['MachinePage'];
  chart: Schemas['Chart'];
  versions: string;
}) {
  const person = usePerson();
  const keeper = person.role === 'keeper';
  const { toldWith } = useAfterWrite(sheet.shared_rulebook ? YARD : sheetOf(sheet.id));
  const [draft, setDraft, clear] = useDraft(
    `chart.${sheet.id}.${versions}`,
    useMemo(() => chartDraft(chart), [chart]),
  );
  const [pasting, setPasting] = useState(false);
  const [heading, setHeading] = useState('');
  const [because, setBecause] = useState('');
  const { understood, reading, wrong, settled } = useChartReading(draft, chart.unit);
  const touched = draft.rows.filter((row) => row.touched);
  const changed = touched.length > 0 || draft.removed.length > 0;
  const changeRow = (row: EditedRow, part: Partial<EditedRow>) =>
    setDraft((before) => ({
      ...before,
      rows: before.rows.map((one) => (one.key === row.key ? { ...one, ...part, touched: true } : one)),
    }));
  const mark = (row: EditedRow, under: string) => {
    const marks = row.marks.includes(under) ? row.marks.filter((one) => one !== under) : [...row.marks, under];
    const points = marks.filter((one) => draft.points.includes(one));
    changeRow(row, {
      marks,
      recurs: points.length === 1 && points[0] === under && !row.marks.some((one) => draft.points.includes(one)),
    });
  };
  const addColumn = async (column: string) => {
    setDraft((before) => ({ ...before, headings: [...before.headings, column] }));
    const all = [...draft.headings, column];
    // Marked everywhere, a row says of each heading what it is.
    const rows = [{ task: column, cells: all.map(() => 'inspect') }];
    const told = await readChart({ unit: chart.unit, headings: all, rows }).catch(() => null);
    if (told) setDraft((before) => inOrder(before, told));
  };
  const addRow = () =>
    setDraft((before) => ({
      ...before,
      rows: [
        ...before.rows,
        {
          key: `new-${before.rows.length}-${now().getTime()}`,
          ruleId: null,
          task: '',
          kind: 'replace',
          marks: [],
          recurs: false,
          touched: true,
          spot: AS_SUGGESTED,
        },
      ],
    }));
  const put = (body: ChartBody) => (header: { 'Idempotency-Key'?: string }) =>
    answer(api.PUT('/machines/{machine}/chart', { params: { path: { machine: sheet.id }, header }, body }));
  const save = useWrite(
    (header, body: ChartBody) => put(body)(header),
    async (after) => {
      clear();
      setPasting(false);
      await toldWith(`${sheet.name}: the chart is written.`, () => put(backTo(chart, after))({}));
    },
  );
  const added = draft.rows.filter((row) => row.ruleId === null && row.task.trim() !== '');
  const suggestions = useSpotSuggestions(
    sheet.id,
    added.map(({ task, kind }) => ({ words: task, kind })),
  );
  const suggested = new Map(
    added.flatMap(({ key }, index) => (suggestions[index] ? [[key, suggestions[index]] as const] : [])),
  );
  const ready =
    settled &&
    touched.every(({ key }) => understood.has(key)) &&
    added.every(({ key }) => suggested.has(key)) &&
    (reading?.questions.length ?? 0) === 0;
  const spots = useQuery(walkQuery(sheet.id)).data?.spots ?? [];
  const take = (rows: TakenRow[], whole: boolean) => {
    const taken = new Set(rows.map((row) => `${row.task.toLowerCase()} ${row.kind}`));
    save.send({
      rows,
      remove: whole
        ? chart.rows.filter((row) => !taken.has(`${row.task.toLowerCase()} ${row.kind}`)).map(({ rule_id }) => rule_id)
        : [],
      loosened_because: because || null,
    });
  };
  const loose = Object.entries(save.fields).find(([field]) => field.endsWith('loosened_because'))?.[1];
  return (
    <Page>
      <OnePage />
      <title>{`${sheet.name}: the chart`}</title>
      <Lead>
        <div>
          <Title>{sheet.name}: the chart</Title>
          <Soft>
            {sheet.class_label}, {sheet.place}. Each mark falls due where its column stands, in {chart.unit}; what
            divides a column falls due there together.
          </Soft>
        </div>
        <QuietActions>
          <BackLink to={`/machines/${sheet.id}/rulebook`}>Back to {sheet.name}</BackLink>
          {keeper && <QuietButton onPress={() => setPasting(true)}>Paste a table</QuietButton>}
          <ActionLink href={`/api/machines/${sheet.id}/chart.csv`} download>
            Take it along as CSV
          </ActionLink>
          <QuietButton onPress={() => window.print()}>Print on one page</QuietButton>
        </QuietActions>
      </Lead>
      <Above>
        {pasting && (
          <PasteChart
            machine={sheet.id}
            unit={chart.unit}
            busy={save.busy}
            known={chart.rows}
            spots={spots}
            onTake={take}
            onClose={() => setPasting(false)}
          />
        )}
      </Above>
      <Sheet aria-label="Chart">
        {draft.rows.length === 0 ? (
          <Empty>
            <p>
              No rule with columns is written down yet. Add a row and set its marks, or paste the table from the manual.
            </p>
          </Empty>
        ) : (
          <ChartGrid
            headings={draft.headings}
            rows={draft.rows}
            understood={understood}
            stands={new Map(chart.rows.map((row) => [row.rule_id, row.shared]))}
            words={new Map(chart.rows.map((row) => [row.rule_id, row.in_words]))}
            mayEdit={keeper}
            onMark={mark}
            onChange={changeRow}
            onRemove={(row) =>
              setDraft((before) => ({
                ...before,
                rows: before.rows.filter(({ key }) => key !== row.key),
                removed: row.ruleId === null ? before.removed : [...before.removed, row.ruleId],
              }))
            }
          />
        )}
        <Foot>
          {chart.beside.length > 0 && (
            <Soft>
              No column shows:{' '}
              {chart.beside.map((rule) => `${rule.task} (${KIND_WORDS[rule.kind]}, ${rule.in_words})`).join('; ')}.
            </Soft>
          )}
          {keeper && (
            <Controls>
              {added.map((row) => {
                const suggestion = suggested.get(row.key);
                return (
                  <Fields key={row.key} $columns={2}>
                    <Choice
                      label={`Where ${within(row.task.trim())} is done`}
                      value={row.spot || likeliest(suggestion)}
                      onChange={(spot) => changeRow(row, { spot })}
                      options={spotOptions(suggestion, spots)}
                    />
                  </Fields>
                );
              })}
              {(reading?.questions ?? []).map(({ id, ask, options }) => (
                <Fields key={id} $columns={2}>
                  <Choice
                    label={ask}
                    value={draft.answers[id] ?? ''}
                    onChange={(chosen) =>
                      setDraft((before) => ({ ...before, answers: { ...before.answers, [id]: chosen } }))
                    }
                    options={[
                      { value: '', label: 'say which' },
                      ...options.map((option) => ({ value: option.id, label: option.label })),
                    ]}
                  />
                </Fields>
              ))}
              {wrong && <WrongText role="alert">{wrong}</WrongText>}
              {(loose || because) && (
                <Field label="Why it is looser than the book" value={because} onChange={setBecause} error={loose} />
              )}
              <Refusal refused={loose ? null : save.refused} besides={[]} />
              <Add
                onSubmit={(event) => {
                  event.preventDefault();
                  const column = heading.trim();
                  if (column && !draft.headings.includes(column)) void addColumn(column);
                  setHeading('');
                }}
              >
                <PlainButton onPress={addRow}>Add a row</PlainButton>
                <Field label="Add a column: 250, first 50, yearly, spring" value={heading} onChange={setHeading} />
                <PlainButton type="submit">Add the column</PlainButton>
              </Add>
              <Soft>
                Arrows walk the crossings, space sets or takes a mark; r, i, c, a, g, l, s say replace, inspect, clean,
                adjust, grease, check level, sample.
              </Soft>
              {changed && (
                <Actions>
                  <MainButton
                    isDisabled={!ready || save.busy}
                    onPress={() =>
                      save.send({ ...chartBody(draft, understood, suggested), loosened_because: because || null })
                    }
                  >
                    Write{' '}
                    {touched.length + draft.removed.length === 1
                      ? 'the change'
                      : `${touched.length + draft.removed.length} changes`}
                  </MainButton>
                  <PlainButton onPress={clear}>Leave it as it was</PlainButton>
                </Actions>
              )}
            </Controls>
          )}
        </Foot>
      </Sheet>
      <Below>{keeper && <SharedRulebooks sheet={sheet} />}</Below>
    </Page>
  );
}

/** What writes the chart back as it was: every rule as it read, and those that came since taken out. */
function backTo(before: Schemas['Chart'], after: Schemas['Chart']): ChartBody {
  const known = new Set(before.rows.map(({ rule_id }) => rule_id));
  return {
    rows: before.rows.map(({ rule_id, record }) => {
      const { task, kind, first, every, windows, anchor, source, book, loosened_because } = record;
      return { rule_id, task, kind, first, every, windows, anchor, source, book, loosened_because };
    }),
    remove: after.rows.map(({ rule_id }) => rule_id).filter((id) => !known.has(id)),
  };
}
