import { useState } from 'react';
import { Field } from '../../kit/Field';
import { MainPress, Press, Presses, PressRow, Question } from '../../kit/Hands';
import type { Asking } from '../StepInHand';
import { useSpace } from '../useSpace';

/** The new one beside the old: the same, or what was wrong with the old one. */
export function ComparedStep({ ready, onDone, onCannot }: Omit<Asking, 'asks'>) {
  const [found, setFound] = useState<string | null>(null);
  useSpace(ready && found === null ? () => onDone() : undefined);
  return (
    <>
      {found !== null && (
        <Question style={{ paddingTop: 0 }}>
          <Field
            label="What is wrong with the old one"
            value={found}
            onChange={setFound}
            placeholder="too small, its clamp too tight"
            autoFocus
          />
        </Question>
      )}
      <Presses>
        <MainPress
          isDisabled={!ready || found === ''}
          onPress={() => onDone(found?.trim() ? { found: found.trim() } : {})}
        >
          {found === null ? 'Done' : 'Write it down'}
        </MainPress>
        <PressRow>
          {found === null && <Press onPress={() => setFound('')}>The old one is not right</Press>}
          <Press onPress={onCannot}>Cannot do this</Press>
        </PressRow>
      </Presses>
    </>
  );
}
