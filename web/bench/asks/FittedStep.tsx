import { useState } from 'react';
import { Field } from '../../kit/Field';
import { MainPress, Press, Presses, PressRow, Question } from '../../kit/Hands';
import type { Asking } from '../StepInHand';
import { useSpace } from '../useSpace';

/** Something is fitted or closed: with a new seal, or the old one used again; what was named, or another. */
export function FittedStep({ step, ready, onDone, onCannot }: Asking) {
  const [number, setNumber] = useState<string | null>(null);
  const isPart = step.act === 'fit' && step.part !== null;
  const done = (reused: boolean) =>
    onDone({ ...(reused ? { reused } : {}), ...(number?.trim() ? { number: number.trim() } : {}) });
  const usual = step.renewed?.usually_reused ?? false;
  useSpace(ready && number === null ? () => done(usual) : undefined);
  return (
    <>
      {number !== null && (
        <Question style={{ paddingTop: 0 }}>
          <Field label="The number on it" value={number} onChange={setNumber} />
        </Question>
      )}
      <Presses>
        <MainPress isDisabled={!ready} onPress={() => done(usual)}>
          {!ready ? 'Count and read first' : doneWith(step.renewed)}
        </MainPress>
        <PressRow>
          {step.renewed && (
            <Press isDisabled={!ready} onPress={() => done(!usual)}>
              {usual ? `New ${step.renewed.number || step.renewed.what}` : `Old ${step.renewed.what} again`}
            </Press>
          )}
          {isPart && number === null && <Press onPress={() => setNumber('')}>Another number</Press>}
          <Press onPress={onCannot}>Cannot do this</Press>
        </PressRow>
      </Presses>
    </>
  );
}

function doneWith(renewed: Asking['step']['renewed']): string {
  if (!renewed) return 'Done';
  return renewed.usually_reused ? `Done, old ${renewed.what} again` : `Done, new ${renewed.number || renewed.what}`;
}
