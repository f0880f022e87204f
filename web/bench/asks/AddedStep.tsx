import { useState } from 'react';
import { MainPress, Press, Presses, PressRow, Question } from '../../kit/Hands';
import { shownMl } from '../../offline/amounts';
import { pouredAt } from '../../offline/pour';
import type { Asking } from '../StepInHand';
import { amountOf, PouredIn, useContainer } from './PouredIn';

/** Air goes out, and what is missing goes in meanwhile: how much, as often as it does. */
export function AddedStep({ step, asks, told, ready, onPoured, onDone, onCannot }: Asking) {
  const [typed, setTyped] = useState('');
  const container = useContainer(asks.containers ?? [], told);
  const inside = pouredAt(told, step.key);
  const { amount, wrong } = amountOf(typed, null);
  const pours = amount !== null && amount > 0;
  const pour = async () => {
    await onPoured({ ml: amount, ...(container.chosen === null ? {} : { container: container.chosen }) });
    setTyped('');
  };
  return (
    <>
      <Question style={{ flex: 1, paddingTop: 0 }}>
        {inside > 0 && <p>{shownMl(inside)} went in meanwhile.</p>}
        <PouredIn
          of={asks}
          container={container}
          amount={amount}
          wrong={wrong}
          typed={typed}
          onType={setTyped}
          isAsked
        />
      </Question>
      <Presses>
        {pours ? (
          <MainPress isDisabled={!ready} onPress={pour}>
            Poured {shownMl(amount)}
          </MainPress>
        ) : (
          <MainPress isDisabled={!ready || typed.trim() !== ''} onPress={() => onDone()}>
            {ready ? 'No more bubbles, engine off' : 'Read what can hurt first'}
          </MainPress>
        )}
        <PressRow>
          <Press onPress={onCannot}>Cannot do this</Press>
        </PressRow>
      </Presses>
    </>
  );
}
