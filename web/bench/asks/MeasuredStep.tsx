import { useState } from 'react';
import { MainPress, Press, Presses, PressRow, Question } from '../../kit/Hands';
import { Soft } from '../../kit/Sheet';
import { limitsInWords } from '../../trade/limitsInWords';
import { Stamp } from '../../trade/Stamp';
import { AskFields, type Entered, given } from '../../walkaround/AskFields';
import { useVerdict } from '../../walkaround/useVerdict';
import type { Asking } from '../StepInHand';

/** A check of the walkaround, before and after. */
export function MeasuredStep({ asks, job, told, step, ready, onDone, onCannot }: Asking) {
  const [values, setValues] = useState<Entered>({});
  const check = asks.check;
  const before = told.findLast(
    (one) => one.did === 'done' && one.step !== step.key && one.said.values !== undefined && one.step.includes(step.at),
  );
  if (!check) return null;
  return (
    <Measuring
      check={check}
      before={before?.said.values as Entered | undefined}
      {...{ asks, job, told, step, ready, onDone, onCannot, values, setValues }}
    />
  );
}

function Measuring({
  check,
  before,
  job,
  ready,
  onDone,
  onCannot,
  values,
  setValues,
}: Omit<Asking, 'onPoured' | 'at'> & {
  check: NonNullable<NonNullable<Asking['asks']>['check']>;
  before?: Entered;
  values: Entered;
  setValues: (values: Entered) => void;
}) {
  const asks = check.asks.filter(({ name }) => name !== 'put_back');
  const { judged, outOfReach, wrong } = useVerdict(job.machine_id, check, values);
  const entered = Object.keys(given(values)).length > 0;
  return (
    <>
      <Question style={{ flex: 1, paddingTop: 0 }}>
        <p>{check.how}</p>
        {Object.keys(check.limits).length > 0 && <Soft>{limitsInWords(check)}</Soft>}
        {before && <Soft>Before: {Object.values(before).join(', ')}</Soft>}
        <AskFields asks={asks} values={values} onChange={setValues} errors={wrong} />
        <div aria-live="polite">
          {judged && (
            <div style={{ display: 'grid', gridTemplateColumns: 'auto minmax(0, 1fr)', gap: 14 }}>
              {judged.verdict && <Stamp state={judged.verdict} />}
              <p>
                {judged.why} {judged.do}
              </p>
            </div>
          )}
          {outOfReach && !judged && <Soft>No signal: the verdict comes when this is sent.</Soft>}
        </div>
      </Question>
      <Presses>
        <MainPress
          isDisabled={!ready || !entered || (judged === null && !outOfReach)}
          onPress={() => onDone({ values: given(values) })}
        >
          Write it down
        </MainPress>
        <PressRow>
          <Press onPress={onCannot}>Cannot do this</Press>
        </PressRow>
      </Presses>
    </>
  );
}
