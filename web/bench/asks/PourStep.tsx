import { useState } from 'react';
import { MainPress, Press, Presses, PressRow, Question } from '../../kit/Hands';
import { Caution, Soft } from '../../kit/Sheet';
import { shownMl } from '../../offline/amounts';
import { fillingAt, isTooMuch, pouredAt, poursAt } from '../../offline/pour';
import { PourLadder } from '../PourLadder';
import type { Asking } from '../StepInHand';
import { useSpace } from '../useSpace';
import { amountOf, PouredIn, useContainer } from './PouredIn';

/** Fluid goes in by stages: how much now, how much is in, how much is left. */
export function PourStep({ step, asks, told, job, ready, onPoured, onDone, onCannot }: Asking) {
  const [typed, setTyped] = useState<string | null>(null);
  const container = useContainer(asks.containers ?? [], told);
  const prefills = job.steps.filter(({ act, asks: of }) => act === 'prefill' && of !== null).map(({ key }) => key);
  const here = pouredAt(told, step.key);
  const before = step.act === 'pour' ? pouredAt(told, ...prefills) : 0;
  const inside = before + here;
  const { stage, proposed, isFirstIn } = fillingAt(asks, inside);
  const { amount, wrong } = amountOf(typed, proposed);
  const tooMuch = isTooMuch(asks, inside, amount);
  const pour = async () => {
    if (amount === null || amount <= 0) return;
    await onPoured({ ml: amount, ...(container.chosen === null ? {} : { container: container.chosen }) });
    setTyped(null);
    // The first stage is poured: the rest is told by the level.
    if (typed === null && !isFirstIn) onDone();
  };
  const enough = here > 0;
  useSpace(ready && typed === null ? () => (isFirstIn ? onDone() : void pour()) : undefined);
  return (
    <>
      <Question style={{ flex: 1, paddingTop: 0 }}>
        {asks.most_ml != null && (
          <PourLadder
            total={asks.most_ml}
            pours={[before, ...poursAt(told, step.key)].filter((ml) => ml > 0)}
            now={isFirstIn && typed === null ? 0 : (amount ?? 0)}
            marks={[{ at: asks.most_ml, label: `book ${asks.book ?? shownMl(asks.most_ml)}` }]}
          />
        )}
        {asks.most_ml == null && <Soft>Nobody has written down how much it takes: write down what goes in.</Soft>}
        {stage?.then && !isFirstIn && <p>Then {stage.then}.</p>}
        <PouredIn
          of={asks}
          container={container}
          amount={amount}
          wrong={wrong}
          typed={typed}
          onType={setTyped}
          isAsked={proposed === null}
        />
        {tooMuch && (
          <Caution>
            That is well over what it holds ({shownMl(asks.holds_ml ?? 0)}). Look at the figure, and at whether the
            drain is shut.
          </Caution>
        )}
      </Question>
      <Presses>
        {isFirstIn && typed === null ? (
          <MainPress isDisabled={!ready} onPress={() => onDone()}>
            Done, {shownMl(inside)} is in
          </MainPress>
        ) : (
          <MainPress isDisabled={!ready || amount === null || amount <= 0 || tooMuch} onPress={pour}>
            {amount === null || amount <= 0
              ? 'Say how much'
              : ready
                ? `Poured ${shownMl(amount)}`
                : 'Read what can hurt first'}
          </MainPress>
        )}
        <PressRow>
          {typed === null ? (
            <Press onPress={() => setTyped('')}>Another amount</Press>
          ) : (
            <Press onPress={() => setTyped(null)}>As proposed</Press>
          )}
          {enough && !isFirstIn && <Press onPress={() => onDone()}>That is enough</Press>}
          <Press onPress={onCannot}>Cannot do this</Press>
        </PressRow>
      </Presses>
    </>
  );
}
