import { useState } from 'react';
import { Field } from '../../kit/Field';
import { MainPress, Press, Presses, PressRow, Question } from '../../kit/Hands';
import { Caution } from '../../kit/Sheet';
import { Ticks } from '../../kit/Tick';
import { shownMl } from '../../offline/amounts';
import { rowOf } from '../../offline/pour';
import { harderFirst, isPressing, standsDown } from '../../offline/states';
import { Stamp } from '../../trade/Stamp';
import { stateWords } from '../../trade/words';
import type { Asking } from '../StepInHand';
import { useSpace } from '../useSpace';
import { amountOf } from './PouredIn';

/** What ran out is looked at: what it means stands there at once. */
export function RanOutStep({ asks, ready, onDone, onCannot }: Asking) {
  const [seen, setSeen] = useState<string[]>([]);
  const [amount, setAmount] = useState('');
  const { amount: ml, wrong } = amountOf(amount, null);
  const told = (asks.seen ?? [])
    .filter(({ id }) => seen.includes(id))
    .sort((one, other) => harderFirst(one.verdict, other.verdict));
  const drained = ml === null ? undefined : rowOf(asks.amounts, ml);
  const [worst] = told;
  const may = ready && seen.length > 0 && wrong === undefined;
  const tell = () => onDone({ seen: seen as never, ...(ml === null ? {} : { amount }) });
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
            <Stamp state={verdict} />
            <p>
              {reading}. {advice}
            </p>
          </div>
        ))}
        {worst && isPressing(worst.verdict) && (
          <Caution>
            {standsDown(worst.verdict)
              ? 'Stop here: do not run it before somebody has found out why.'
              : `Told with the job as “${stateWords(worst.verdict)}”: it stays open until it is put right.`}
          </Caution>
        )}
        <Field
          label="How much ran out (if measured)"
          value={amount}
          onChange={setAmount}
          placeholder="1.7 L, 2 qt"
          error={wrong}
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
