import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { Field } from '../../kit/Field';
import { ChoicePress, MainPress, Press, Presses, PressRow, Question } from '../../kit/Hands';
import { VerdictStamp, verdictColour } from '../../kit/Stamp';
import type { Asking } from '../StepInHand';
import { useSpace } from '../useSpace';

const DEGREES: readonly { verdict: Schemas['Verdict']; words: string }[] = [
  { verdict: 'watch', words: 'Not as it was' },
  { verdict: 'act', words: 'To be put right' },
  { verdict: 'stand_down', words: 'Not to be used' },
];

/** Something is looked over: fine, or how bad. */
export function JudgedStep({ ready, onDone, onCannot }: Asking) {
  const [notFine, setNotFine] = useState(false);
  const [words, setWords] = useState('');
  const fine = () => onDone({ verdict: 'fit' });
  useSpace(ready && !notFine ? fine : undefined);
  return notFine ? (
    <>
      <Question style={{ flex: 1, paddingTop: 0 }}>
        <Field label="What is it? (if you like)" value={words} onChange={setWords} lines />
        {DEGREES.map(({ verdict, words: label }) => (
          <ChoicePress
            key={verdict}
            $colour={verdictColour(verdict)}
            onPress={() => onDone({ verdict, words: words.trim() || label })}
          >
            {label}
            <VerdictStamp verdict={verdict} />
          </ChoicePress>
        ))}
      </Question>
      <Presses>
        <PressRow>
          <Press onPress={() => setNotFine(false)}>Fine after all</Press>
        </PressRow>
      </Presses>
    </>
  ) : (
    <Presses>
      <MainPress isDisabled={!ready} onPress={fine}>
        Fine
      </MainPress>
      <PressRow>
        <Press isDisabled={!ready} onPress={() => setNotFine(true)}>
          Not fine
        </Press>
        <Press onPress={onCannot}>Cannot do this</Press>
      </PressRow>
    </Presses>
  );
}
