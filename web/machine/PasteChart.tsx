import { useMemo, useState } from 'react';
import styled from 'styled-components';
import { Refused, type Schemas } from '../api/client';
import { Actions, MainButton, PlainButton } from '../kit/Button';
import { Choice, Field, Fields } from '../kit/Field';
import { Mark } from '../kit/Marks';
import { Sheet, SheetHeading, Soft } from '../kit/Sheet';
import { useDraft } from '../kit/useDraft';
import { KIND_WORDS } from '../kit/words';
import type { ChartReading, Understood } from './chartDraft';
import { readChart } from './useChartReading';

const Body = styled.div`padding: 16px 20px 20px; display: flex; flex-direction: column; gap: 16px; textarea { min-height: 150px; font-family: ui-monospace, monospace; font-size: 14px; white-space: pre; }`;
const Rows = styled.ul`columns: 2 340px; column-gap: 28px; li { padding: 4px 0; border-bottom: 1px solid var(--rule); break-inside: avoid; }`;

const NOTHING = { text: '', answers: {} as Record<string, string> };

type Props = {
  machine: number;
  unit: Schemas['MeterUnit'];
  busy: boolean;
  onTake: (rows: Understood[], whole: boolean) => void;
  onClose: () => void;
};

/** A table from a spreadsheet or a CSV file, understood before anything is saved; what is unclear is asked. */
export function PasteChart({ machine, unit, busy, onTake, onClose }: Props) {
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
  const suggested = Object.fromEntries((reading?.questions ?? []).map(({ id, suggested: likely, options }) => [id, likely ?? options[0]?.id ?? '']));
  return (
    <Sheet aria-labelledby="paste">
      <SheetHeading id="paste">Paste a table</SheetHeading>
      <Body>
        <Field
          label="From a spreadsheet, or CSV: the headings too"
          lines
          value={draft.text}
          onChange={(text) => {
            setDraft({ text, answers: {} });
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
                  onChange={(chosen) => setDraft((before) => ({ ...before, answers: { ...before.answers, [id]: chosen } }))}
                  options={options.map((option) => ({ value: option.id, label: option.label }))}
                />
              ))}
            </Fields>
          </>
        )}
        {reading && (
          <div role="status">
            <Rows aria-label="Understood">
              {reading.rows.map((row) => (
                <li key={`${row.task} ${row.kind}`}>
                  <Mark kind={row.kind} size={16} /> <strong>{row.task}</strong>, {KIND_WORDS[row.kind]} {row.in_words}
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
              <MainButton isDisabled={busy} onPress={() => onTake(reading.rows, false)}>
                Write these {reading.rows.length} rules
              </MainButton>
              <PlainButton isDisabled={busy} onPress={() => onTake(reading.rows, true)}>
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
