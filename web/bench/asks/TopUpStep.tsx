import { useState } from 'react';
import { MainPress, Press, Presses, PressRow, Question } from '../../kit/Hands';
import { Caution } from '../../kit/Sheet';
import { shownMl } from '../../offline/amounts';
import { pouredAt, toppingUp } from '../../offline/pour';
import { Stamp } from '../../trade/Stamp';
import type { Asking } from '../StepInHand';
import { useSpace } from '../useSpace';
import { rowAt } from './LevelStep';
import { amountOf, PouredIn, useContainer } from './PouredIn';
import { StickPicker } from './StickPicker';

/** The level is brought right: what the band takes goes in, and it is read again until it is right. */
export function TopUpStep({ step, asks, told, job, ready, onPoured, onDone, onCannot }: Asking) {
  const reading = job.steps.find(({ act, at }) => act === 'read' && at === step.at);
  const table = reading?.asks ?? null;
  const read = told.findLast((one) => one.step === reading?.key && one.did === 'done')?.said.level;
  const poured = pouredAt(told, step.key);
  const [level, setLevel] = useState<number | null>(null);
  const [typed, setTyped] = useState<string | null>(null);
  const container = useContainer(asks.containers ?? [], told);
  const now = level ?? (poured === 0 && typeof read === 'number' ? read : null);
  const row = table ? rowAt(table, now) : undefined;
  const { isRight, isOver, asksPour, proposed } = toppingUp(row, poured);
  const { amount, wrong } = amountOf(typed, proposed);
  const pour = async () => {
    if (amount === null || amount <= 0) return;
    await onPoured({ ml: amount, ...(container.chosen === null ? {} : { container: container.chosen }) });
    setTyped(null);
    setLevel(null);
  };
  const right = () => onDone(now === null ? {} : { level: now });
  useSpace(ready && isRight ? right : undefined);
  return (
    <>
      <Question style={{ flex: 1, paddingTop: 0 }}>
        {poured > 0 && <p>{shownMl(poured)} went in since it was read. Wait a moment, and read again.</p>}
        {table && <StickPicker asks={table} level={now} onPick={setLevel} />}
        <div aria-live="polite">
          {row && (
            <div style={{ display: 'grid', gridTemplateColumns: 'auto minmax(0, 1fr)', gap: 14 }}>
              <Stamp state={row.verdict} />
              <p>{row.says}</p>
            </div>
          )}
        </div>
        {isOver && <Caution>Do not run it far over full. What is drawn off goes to the collection point.</Caution>}
        {(asksPour || typed !== null) && (
          <PouredIn
            of={asks}
            container={container}
            amount={amount}
            wrong={wrong}
            typed={typed}
            onType={setTyped}
            isAsked={proposed === null}
          />
        )}
      </Question>
      <Presses>
        {isRight && typed === null ? (
          <MainPress isDisabled={!ready} onPress={right}>
            It is right, and shut
          </MainPress>
        ) : (
          <MainPress isDisabled={!ready || amount === null || amount <= 0} onPress={pour}>
            {amount !== null && amount > 0 ? `Poured ${shownMl(amount)}` : row ? 'Say how much' : 'Say where it stands'}
          </MainPress>
        )}
        <PressRow>
          {typed === null ? (
            <Press onPress={() => setTyped('')}>Another amount</Press>
          ) : (
            <Press onPress={() => setTyped(null)}>As proposed</Press>
          )}
          {!isRight && row && <Press onPress={right}>Leave it so</Press>}
          <Press onPress={onCannot}>Cannot do this</Press>
        </PressRow>
      </Presses>
    </>
  );
}
