import { type RefObject, useState } from 'react';
import { metered, sinceDay } from '../kit/format';
import { MainPress, Press, Presses, PressRow, Question } from '../kit/Hands';
import { readMeter, wrongNumber } from '../offline/numbers';
import { Amount } from '../trade/Amount';
import type { Step } from './roundSteps';
import { useDigits } from './useDigits';

type Props = {
  heading: RefObject<HTMLHeadingElement | null>;
  step: Extract<Step, { kind: 'meter' }>;
  today: string;
  onRead: (value: string | null) => void;
};

/** A round begins with the meter. */
export function MeterStep({ heading, step, today, onRead }: Props) {
  const { meter } = step;
  const [value, setValue] = useState('');
  const wrong = wrongNumber(value, readMeter);
  const log = () => value && !wrong && onRead(value);
  useDigits(value ? log : () => onRead(null));
  return (
    <>
      <Question>
        <h2 ref={heading} tabIndex={-1}>
          {step.title}
        </h2>
        <p>
          {meter.read_on
            ? `It showed ${metered(meter.value, meter.unit)} ${sinceDay(meter.read_on, today)}.`
            : 'Nobody has read it yet.'}{' '}
          What does it show now?
        </p>
        <form
          onSubmit={(event) => {
            event.preventDefault();
            log();
          }}
        >
          <Amount
            label="It shows"
            unit={meter.unit}
            step={meter.unit === 'h' ? '0.1' : '1'}
            from={meter.value}
            value={value}
            onChange={setValue}
            error={wrong}
          />
        </form>
      </Question>
      <Presses>
        {value ? (
          <MainPress isDisabled={wrong !== undefined} onPress={log}>
            {wrong ? 'No reading' : `Log ${value.trim()} ${meter.unit}, first check`}
          </MainPress>
        ) : (
          <MainPress onPress={() => onRead(null)}>
            Not run since<sup aria-hidden="true">1</sup>
          </MainPress>
        )}
        <PressRow>{value && <Press onPress={() => setValue('')}>Clear it</Press>}</PressRow>
      </Presses>
    </>
  );
}
