import { useState } from 'react';
import { Field } from '../../kit/Field';
import { ChoicePress, MainPress, Press, Presses, PressRow, Question } from '../../kit/Hands';
import { verdictSaid } from '../../offline/round';
import { colourOf, Stamp } from '../../trade/Stamp';
import type { Asking } from '../StepInHand';
import { useSpace } from '../useSpace';

/** Something is looked over: fine, or how bad. */
export function JudgedStep({ asks, ready, onDone, onCannot }: Asking) {
  const [notFine, setNotFine] = useState(false);
  const [words, setWords] = useState('');
  const fine = () => onDone({ verdict: verdictSaid({ said: 'fine' }) });
  useSpace(ready && !notFine ? fine : undefined);
  return notFine ? (
    <>
      <Question style={{ flex: 1, paddingTop: 0 }}>
        <Field label="What is it? (if you like)" value={words} onChange={setWords} lines />
        {asks.degrees?.map(({ verdict, words: label }) => (
          <ChoicePress
            key={label}
            $colour={colourOf(verdict)}
            onPress={() => onDone({ verdict, words: words.trim() || label })}
          >
            {label}
            <Stamp state={verdict} />
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
