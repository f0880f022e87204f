import { useState } from 'react';
import { Radio, RadioGroup } from 'react-aria-components';
import styled from 'styled-components';
import { MainPress, Press, Presses, PressRow, Question } from '../../kit/Hands';
import { Soft } from '../../kit/Sheet';
import { Stamp } from '../../trade/Stamp';
import type { Asking } from '../StepInHand';
import type { Step } from '../told';
import { useSpace } from '../useSpace';
import { StickPicker } from './StickPicker';

const Choices = styled(RadioGroup)`
  display: grid; gap: 4px; > span { font-size: 15px; } > div { display: flex; flex-wrap: wrap; gap: 8px; }
  label { min-height: 52px; display: inline-flex; align-items: center; padding: 6px 14px; border: 2px solid var(--line); border-radius: 3px; background: var(--sheet); cursor: pointer; font-size: 16px; }
  label[data-selected] { border-color: var(--ink); box-shadow: inset 0 -5px 0 var(--hedge); font-weight: 650; }
  label[data-focus-visible] { outline: 3px solid var(--slate); outline-offset: 2px; }
`;
const Verdict = styled.div`display: grid; grid-template-columns: auto minmax(0, 1fr); gap: 14px; align-items: start; p { font-size: 17px; }`;

type Asks = NonNullable<Step['asks']>;

/** The row that a level stands in. */
export const rowAt = (asks: Asks, level: number | null) => asks.rows?.find((row) => row.level === level);

/** A level is read: how, then where it stands; what follows is said at once. */
export function LevelStep({ asks, ready, onDone, onCannot }: Asking) {
  const questions = asks.questions ?? [];
  const [answers, setAnswers] = useState<Record<string, string>>(() =>
    Object.fromEntries(
      questions.flatMap(({ name, options }) => (options.length === 1 ? [[name, options[0]?.value ?? '']] : [])),
    ),
  );
  const [level, setLevel] = useState<number | null>(null);
  const wrong = questions
    .map(({ name, options }) => options.find(({ value }) => value === answers[name])?.wrong)
    .find((words) => words);
  const open = questions.find(({ name }) => answers[name] === undefined);
  const row = rowAt(asks, level);
  const may = ready && !wrong && !open && row !== undefined;
  const tell = () => level !== null && onDone({ level, answers });
  useSpace(may ? tell : undefined);
  return (
    <>
      <Question style={{ flex: 1, paddingTop: 0 }}>
        {questions.map(({ name, asks: words, options }) => (
          <Choices
            key={name}
            aria-label={words}
            value={answers[name] ?? null}
            onChange={(value) => setAnswers({ ...answers, [name]: value })}
          >
            <span>{words}</span>
            <div>
              {options.map(({ value, label }) => (
                <Radio key={value} value={value}>
                  {label}
                </Radio>
              ))}
            </div>
          </Choices>
        ))}
        {wrong ? (
          <p role="alert">
            <strong>That is no reading.</strong> {wrong}
          </p>
        ) : (
          <StickPicker asks={asks} level={level} onPick={setLevel} />
        )}
        <div aria-live="polite">
          {row && !wrong && (
            <Verdict>
              <Stamp state={row.verdict} />
              <p>{row.says}</p>
            </Verdict>
          )}
        </div>
        {asks.latest_minutes != null && (
          <Soft>Read within {asks.latest_minutes} min of the run: later this one shows far above full.</Soft>
        )}
      </Question>
      <Presses>
        <MainPress isDisabled={!may} onPress={tell}>
          {wrong ? 'Not a reading' : open ? open.asks : row ? `It stands ${row.label}` : 'Say where it stands'}
        </MainPress>
        <PressRow>
          <Press onPress={onCannot}>Cannot do this</Press>
        </PressRow>
      </Presses>
    </>
  );
}
