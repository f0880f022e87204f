import { useState } from 'react';
import { manyOf } from '../../kit/format';
import { MainPress, Press, Presses, PressRow, Question } from '../../kit/Hands';
import { Amount } from '../../trade/Amount';
import type { Asking } from '../StepInHand';
import { useSpace } from '../useSpace';

/** A nipple: so many strokes, or it did not go in. */
export function GreasedStep({ asks, ready, onDone, onCannot }: Asking) {
  const [strokes, setStrokes] = useState(`${asks.strokes ?? 1}`);
  const number = /^\d{1,3}$/.test(strokes.trim()) ? Number(strokes) : null;
  const greased = () => number !== null && onDone({ strokes: number });
  useSpace(ready && number ? greased : undefined);
  return (
    <>
      <Question style={{ flex: 1, paddingTop: 0 }}>
        <Amount
          label="Strokes"
          unit=""
          step="1"
          from={`${asks.strokes ?? 1}`}
          value={strokes}
          onChange={setStrokes}
          error={number === null ? 'Say how many strokes.' : undefined}
        />
      </Question>
      <Presses>
        <MainPress isDisabled={!ready || !number} onPress={greased}>
          Greased, {number ? manyOf(number, 'stroke') : '–'}
        </MainPress>
        <PressRow>
          <Press isDisabled={!ready} onPress={() => onDone({ went_in: false })}>
            Did not go in
          </Press>
          <Press onPress={onCannot}>Cannot do this</Press>
        </PressRow>
      </Presses>
    </>
  );
}
