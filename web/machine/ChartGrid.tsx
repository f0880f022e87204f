import { type KeyboardEvent, useRef, useState } from 'react';
import { Input, TextField } from 'react-aria-components';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { QuietButton } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { PHONE } from '../kit/theme';
import { CHART_KEYS } from '../trade/keys';
import { Mark } from '../trade/Marks';
import { KIND_WORDS } from '../trade/words';
import type { EditedRow, Understood } from './chartDraft';

const Wide = styled.div`overflow-x: auto; @media print { overflow: visible; }`;
const Table = styled.table`
  border-collapse: collapse; font-size: 15px; width: 100%;
  th, td { border: 1px solid var(--rule); padding: 0; text-align: center; height: 46px; }
  thead th { font-weight: 650; padding: 6px 5px; line-height: 1.15; min-width: 46px; vertical-align: bottom; }
  th:first-child, td:last-child, thead th:first-child, thead th:last-child { text-align: left; }
  thead th:first-child, thead th:last-child { padding: 6px 12px; }
  thead th[data-kind='first'] { color: var(--slate); }
  tbody tr:hover { background: color-mix(in srgb, var(--paper) 60%, transparent); }
  th:first-child { position: sticky; left: 0; background: var(--sheet); z-index: 1; min-width: 296px; }
  ${PHONE} { th:first-child { min-width: 152px; max-width: 152px; } }
  td[data-understood] { padding: 4px 12px; line-height: 1.25; min-width: 190px; }
  td button[aria-pressed] { width: 100%; height: 45px; border: 0; background: none; cursor: pointer; padding: 0; color: var(--ink); display: grid; place-items: center; }
  td button:focus-visible { outline-offset: -3px; }
  td button[data-follows='true'] { color: var(--soft); opacity: 0.72; }
  @media print { font-size: 9.5px; th, td { height: 20px; } td button[aria-pressed] { height: 20px; } svg { width: 12px; height: 12px; } th:first-child { min-width: 0; width: 22%; } thead th { min-width: 0; padding: 2px; } td[data-understood] { min-width: 0; padding: 1px 4px; } }
`;
const Name = styled.div`
  display: flex; align-items: center; gap: 6px; padding: 0 8px;
  .react-aria-TextField { flex: 1; min-width: 120px; }
  input { width: 100%; min-height: 40px; border: 0; background: none; font: 650 15px/1.2 var(--body); padding: 4px; }
  input:hover, input:focus { background: var(--paper); }
  [data-choice] { max-width: 112px; } [data-choice] button { border: 0; font-weight: 400; color: var(--soft); min-height: 40px; }
  ${PHONE} { display: grid; grid-template-columns: 18px minmax(0, 1fr); gap: 0 6px; padding: 4px 6px; > [data-choice] { grid-column: 2; max-width: none; } }
  @media print { padding: 0 3px; input, [data-choice] button { font-size: 9.5px; min-height: 0; padding: 0; } button span:last-child { display: none; } }
`;
const Means = styled.div`
  display: flex; justify-content: space-between; gap: 12px; align-items: baseline;
  button { white-space: nowrap; }
  @media print { button { display: none; } }
`;
const Stand = styled.span`color: var(--straw); font-weight: 600; white-space: nowrap;`;

const KINDS = (Object.keys(KIND_WORDS) as Schemas['TaskKind'][]).map((value) => ({ value, label: KIND_WORDS[value] }));

type Props = {
  headings: string[];
  rows: EditedRow[];
  understood: Map<string, Understood>;
  stands: Map<number, Schemas['ChartStand']>;
  words: Map<number, string>;
  mayEdit: boolean;
  onMark: (row: EditedRow, heading: string) => void;
  onChange: (row: EditedRow, part: Partial<EditedRow>) => void;
  onRemove: (row: EditedRow) => void;
};

/** Tasks down, hours across, marks at the crossings. Arrows walk, space marks, a letter says what is done. */
export function ChartGrid({ headings, rows, understood, stands, words, mayEdit, onMark, onChange, onRemove }: Props) {
  const table = useRef<HTMLTableElement>(null);
  const [at, setAt] = useState({ row: 0, column: 0 });
  const walk = (event: KeyboardEvent) => {
    if (!(event.target as HTMLElement).matches('[data-cell]')) return;
    const step = { ArrowRight: [0, 1], ArrowLeft: [0, -1], ArrowDown: [1, 0], ArrowUp: [-1, 0] }[event.key];
    const row = rows[at.row];
    const told = CHART_KEYS.find(({ key }) => key === event.key.toLowerCase());
    if (step) {
      event.preventDefault();
      const next = {
        row: clamp(at.row + (step[0] ?? 0), rows.length),
        column: clamp(at.column + (step[1] ?? 0), headings.length),
      };
      setAt(next);
      table.current?.querySelector<HTMLElement>(`[data-cell='${next.row}.${next.column}']`)?.focus();
    } else if (row && mayEdit && told && !event.ctrlKey && !event.metaKey) {
      event.preventDefault();
      onChange(row, { kind: told.kind });
    }
  };
  return (
    <Wide tabIndex={0} role="region" aria-label="The chart, which may be wider than the page">
      <Table ref={table} aria-label="Column chart" onKeyDown={walk}>
        <thead>
          <tr>
            <th scope="col">Task</th>
            {headings.map((heading) => (
              <th key={heading} scope="col" data-kind={heading.startsWith('first') ? 'first' : undefined}>
                {shown(heading)}
              </th>
            ))}
            <th scope="col">Which means</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row, index) => {
            const rule = understood.get(row.key);
            const marks = row.recurs && rule ? headings.filter((_, column) => rule.marks[column]) : row.marks;
            const stand = row.ruleId === null ? null : stands.get(row.ruleId);
            return (
              <tr key={row.key}>
                <th scope="row">
                  <Name onFocus={() => setAt({ row: index, column: at.column })}>
                    <Mark kind={row.kind} />
                    {mayEdit ? (
                      <>
                        <TextField
                          aria-label={`Task, row ${index + 1}`}
                          value={row.task}
                          autoFocus={row.ruleId === null && row.task === ''}
                          onChange={(task) => onChange(row, { task })}
                        >
                          <Input placeholder="A new task" />
                        </TextField>
                        <Choice
                          quiet
                          label={`What is done, row ${index + 1}`}
                          value={row.kind}
                          onChange={(kind) => onChange(row, { kind })}
                          options={KINDS}
                        />
                      </>
                    ) : (
                      <span>
                        {row.task}, {KIND_WORDS[row.kind]}
                      </span>
                    )}
                  </Name>
                </th>
                {headings.map((heading, column) => {
                  const marked = marks.includes(heading);
                  return (
                    <td key={heading}>
                      <button
                        type="button"
                        data-cell={`${index}.${column}`}
                        data-follows={marked && !row.marks.includes(heading)}
                        tabIndex={at.row === index && at.column === column ? 0 : -1}
                        aria-pressed={marked}
                        aria-label={`${row.task || 'New task'}, ${heading}`}
                        disabled={!mayEdit}
                        onFocus={() => setAt({ row: index, column })}
                        onClick={() => onMark({ ...row, marks }, heading)}
                      >
                        {marked && <Mark kind={row.kind} />}
                      </button>
                    </td>
                  );
                })}
                <td data-understood>
                  <Means>
                    <span>
                      {row.touched ? (rule?.in_words ?? '') : words.get(row.ruleId ?? 0)}
                      {stand === 'exception' && <Stand> exception</Stand>}
                      {stand === 'own' && <Stand> its own</Stand>}
                    </span>
                    {mayEdit && (
                      <QuietButton aria-label={`Take out: ${row.task || 'the row'}`} onPress={() => onRemove(row)}>
                        Take out
                      </QuietButton>
                    )}
                  </Means>
                </td>
              </tr>
            );
          })}
        </tbody>
      </Table>
    </Wide>
  );
}

const clamp = (index: number, length: number): number => Math.max(0, Math.min(length - 1, index));

/** Points stand by their bare numbers, as in a book; a part of the year by its name. */
const shown = (heading: string): string =>
  heading.replace(/^([\d.,]+) h$/, '$1').replace(/ \d\d-\d\d to \d\d-\d\d$/, '');
