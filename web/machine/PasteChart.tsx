import { useMemo, useState } from 'react';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { Actions, MainButton, PlainButton } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { Field, Fields } from '../kit/Field';
import { within } from '../kit/format';
import { Sheet, SheetHeading, Soft } from '../kit/Sheet';
import { useDraft } from '../offline/drafts';
import { Refused } from '../offline/refused';
import { Mark } from '../trade/Marks';
import { KIND_WORDS } from '../trade/words';
import type { ChartReading, Understood } from './chartDraft';
import { chosenSpots, likeliest, type SpotChoice, spotOptions, useSpotSuggestions } from './spotChoice';
import { readChart } from './useChartReading';

const Body = styled.div`
  padding: 16px 20px 20px; display: flex; flex-direction: column; gap: 16px;
  textarea { min-height: 150px; font-family: ui-monospace, monospace; font-size: 14px; white-space: pre; }
`;
const Rows = styled.ul`
  columns: 2 340px; column-gap: 28px;
  li { padding: 4px 0; border-bottom: 1px solid var(--rule); break-inside: avoid; }
`;

const NOTHING = { text: '', answers: {} as Record<string, string>, spots: {} as Record<string, SpotChoice> };

/** A row as the chart takes it. */
export type TakenRow = Omit<Understood, 'in_words' | 'line' | 'marks'> &
  Pick<Schemas['RuleChange'], 'spots' | 'new_spots'>;

type Props = {
  machine: number;
  unit: Schemas['MeterUnit'];
  busy: boolean;
  /** The rules there are: what is pasted for one of them changes it, where it is. */
  known: { task: string; kind: Schemas['TaskKind'] }[];
  spots: { key: string; name: string }[];
  onTake: (rows: TakenRow[], whole: boolean) => void;
  onClose: () => void;
};

/** A table from a spreadsheet or a CSV file, understood before anything is saved; what is unclear is asked. */
export function PasteChart({ machine, unit, busy, known, spots, onTake, onClose }: Props) {
  const [draft, setDraft, clear] = useDraft(
    `paste.${machine}`,
    useMemo(() => NOTHING, []),
  );
  const [reading, setReading] = useState<ChartReading | null>(null);
  const [error, setError] = useState<string>();
  const read = async (answers: Record<string, string>) => {
    try {
      const understood = await readChart({ text: draft.text, unit, answers });
      setReading(understood);
      setError(undefined);
    } catch (refused) {
      if (!(refused instanceof Refused)) throw refused;
      setReading(null);
      setError(refused.fields.text ?? refused.problem.detail);
    }
  };
  const rows = reading?.rows ?? [];
  const keyOf = ({ task, kind }: { task: string; kind: string }) => `${task.toLowerCase()} ${kind}`;
  const isKnown = (row: Understood) => known.some((rule) => keyOf(rule) === keyOf(row));
  const places = useSpotSuggestions(
    machine,
    rows.map(({ task, kind }) => ({ words: task, kind })),
  );
  const choiceOf = (row: Understood, index: number) => draft.spots[keyOf(row)] ?? likeliest(places[index]);
  const taken = rows.map((row, index): TakenRow => {
    const { in_words: _words, line: _line, marks: _marks, ...rule } = row;
    return isKnown(row) ? rule : { ...rule, ...chosenSpots(choiceOf(row, index), places[index]) };
  });
  const suggested = Object.fromEntries(
    (reading?.questions ?? []).map(({ id, suggested: likely, options }) => [id, likely ?? options[0]?.id ?? '']),
  );
  return (
    <Sheet aria-labelledby="paste">
      <SheetHeading id="paste">Paste a table</SheetHeading>
      <Body>
        <Field
          label="From a spreadsheet, or CSV: the headings too"
          lines
          value={draft.text}
          onChange={(text) => {
            setDraft({ text, answers: {}, spots: {} });
            setReading(null);
          }}
          error={error}
          help="Tasks down the side, hours across, a mark at each crossing: X, or words like replace, inspect, grease."
        />
        {reading && reading.questions.length > 0 && (
          <>
            <Soft>Not clear from the table:</Soft>
            <Fields $columns={2}>
              {reading.questions.map(({ id, ask, options }) => (
                <Choice
                  key={id}
                  label={ask}
                  value={draft.answers[id] ?? suggested[id] ?? ''}
                  onChange={(chosen) =>
                    setDraft((before) => ({ ...before, answers: { ...before.answers, [id]: chosen } }))
                  }
                  options={options.map((option) => ({ value: option.id, label: option.label }))}
                />
              ))}
            </Fields>
          </>
        )}
        {reading && (
          <div role="status">
            <Rows aria-label="Understood">
              {reading.rows.map((row, index) => (
                <li key={`${row.task} ${row.kind}`}>
                  <Mark kind={row.kind} size={16} /> <strong>{row.task}</strong>, {KIND_WORDS[row.kind]} {row.in_words}
                  {!isKnown(row) && (
                    <Choice
                      label={`Where ${within(row.task)} is done`}
                      value={choiceOf(row, index)}
                      onChange={(spot) =>
                        setDraft((before) => ({ ...before, spots: { ...before.spots, [keyOf(row)]: spot } }))
                      }
                      options={spotOptions(places[index], spots)}
                    />
                  )}
                </li>
              ))}
            </Rows>
            {reading.remarks.map((remark) => (
              <p key={remark}>
                <Soft>{remark}</Soft>
              </p>
            ))}
          </div>
        )}
        <Actions>
          {!reading && <MainButton onPress={() => read(draft.answers)}>Read it</MainButton>}
          {reading && reading.questions.length > 0 && (
            <MainButton
              onPress={() => {
                const answers = { ...suggested, ...draft.answers };
                setDraft((before) => ({ ...before, answers }));
                read(answers);
              }}
            >
              That is what is meant
            </MainButton>
          )}
          {reading && reading.questions.length === 0 && (
            <>
              <MainButton isDisabled={busy || places.length === 0} onPress={() => onTake(taken, false)}>
                Write these {reading.rows.length} rules
              </MainButton>
              <PlainButton isDisabled={busy || places.length === 0} onPress={() => onTake(taken, true)}>
                Make them the whole chart
              </PlainButton>
            </>
          )}
          <PlainButton
            onPress={() => {
              clear();
              onClose();
            }}
          >
            Leave it
          </PlainButton>
        </Actions>
      </Body>
    </Sheet>
  );
}
