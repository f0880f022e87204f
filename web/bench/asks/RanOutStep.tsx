import { useState } from 'react';
import { Field } from '../../kit/Field';
import { MainPress, Press, Presses, PressRow, Question } from '../../kit/Hands';
import { Caution } from '../../kit/Sheet';
import { VerdictStamp } from '../../kit/Stamp';
import { Ticks } from '../../kit/Tick';
import { VERDICT_WORDS } from '../../kit/words';
import { readMl, shownMl } from '../amounts';
import type { Asking } from '../StepInHand';
import { useSpace } from '../useSpace';

const HARDEST = ['stand_down', 'act', 'watch', 'fit'] as const;

/** What ran out is looked at: what it means stands there at once. */
export function RanOutStep({ asks, ready, onDone, onCannot }: Asking) {
  const [seen, setSeen] = useState<string[]>([]);
  const [amount, setAmount] = useState('');
  const ml = amount.trim() === '' ? null : readMl(amount);
  const told = (asks.seen ?? [])
    .filter(({ id }) => seen.includes(id))
    .sort((one, other) => HARDEST.indexOf(one.verdict) - HARDEST.indexOf(other.verdict));
  const drained = ml === null ? undefined : asks.amounts?.findLast(({ from_ml: from }) => ml >= from);
  const [worst] = told;
  const isWrong = amount.trim() !== '' && ml === null;
  const may = ready && seen.length > 0 && !isWrong;
  const tell = () => onDone({ seen: seen as never, ...(ml === null ? {} : { amount: `${ml} mL` }) });
  useSpace(may ? tell : undefined);
  return (
    <>
      <Question style={{ flex: 1, paddingTop: 0 }}>
        <Ticks
          label="What does it look like, and what hangs on the magnet?"
          value={seen}
          onChange={setSeen}
          options={(asks.seen ?? []).map(({ id, label }) => ({ value: id as string, label }))}
          inLine
        />
        {told.map(({ id, reading, verdict, do: advice }) => (
          <div key={id} style={{ display: 'grid', gridTemplateColumns: 'auto minmax(0, 1fr)', gap: 14 }}>
            <VerdictStamp verdict={verdict} />
            <p>
              {reading}. {advice}
            </p>
          </div>
        ))}
        {worst && (worst.verdict === 'stand_down' || worst.verdict === 'act') && (
          <Caution>
            {worst.verdict === 'stand_down'
              ? 'Stop here: do not run it before somebody has found out why.'
              : `Told with the job as “${VERDICT_WORDS[worst.verdict]}”: it stays open until it is put right.`}
          </Caution>
        )}
        <Field
          label="How much ran out, in mL or L (if measured)"
          value={amount}
          onChange={setAmount}
          inputMode="decimal"
          error={isWrong ? 'Write it like 1700 or 1.7 L.' : undefined}
          help={drained && ml !== null ? `${shownMl(ml)}. ${drained.says}` : undefined}
        />
      </Question>
      <Presses>
        <MainPress isDisabled={!may} onPress={tell}>
          {seen.length === 0 ? 'Say what it looks like' : 'Write it down'}
        </MainPress>
        <PressRow>
          <Press onPress={onCannot}>Cannot do this</Press>
        </PressRow>
      </Presses>
    </>
  );
}
