import { useState } from 'react';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { Field } from '../kit/Field';
import { ChoicePress, MainPress, Press, Presses, PressRow, Question } from '../kit/Hands';
import { Caution } from '../kit/Sheet';
import { barredBy } from '../offline/job';
import type { Step, Told } from './told';

const List = styled.ul`padding-left: 20px; list-style: disc; li { padding: 1px 0; }`;

/** Why a step cannot be done, by what is done in it. */
const REASONS: Partial<Record<Step['act'], readonly string[]>> = {
  loosen: ['It will not turn.', 'It is rounded off.', 'The tool is missing.'],
  open: ['It will not turn.', 'It is rounded off.', 'The tool is missing.'],
  remove: ['It will not come off.', 'The tool is missing.'],
  compare: ['It is not the same: the wrong part lies here.', 'The new part is missing.'],
  fit: ['The new part is missing.', 'It does not fit.'],
  close: ['The seal is missing.', 'The thread is ruined.'],
  torque: ['The thread is ruined.', 'The wrench is missing.'],
  pour: ['The fluid is missing.'],
  run: ['It will not start.'],
};
const USUAL = ['Something is missing.', 'No time today.'] as const;

type Props = {
  step: Step;
  job: Schemas['Job'];
  told: Told[];
  at: number;
  onTell: (because: string) => void;
  onBack: () => void;
};

/** A step that cannot be done: why, what follows from it, and what can still be done. */
export function CannotStep({ step, job, told, at, onTell, onBack }: Props) {
  const [because, setBecause] = useState('');
  const barred = barredBy(step, job.steps, told, at);
  const isOpening = step.act === 'loosen' || step.act === 'open';
  return (
    <>
      <Question>
        <h2>Cannot: {step.title}</h2>
        {(REASONS[step.act] ?? USUAL).map((reason) => (
          <ChoicePress key={reason} onPress={() => onTell(reason)}>
            {reason}
          </ChoicePress>
        ))}
        <Field label="Or in your own words" value={because} onChange={setBecause} lines />
        {isOpening && barred.some(({ act }) => act === 'drain') && (
          <Caution>Do not drain: old oil beats no oil. Do not force it; the plug goes on the list.</Caution>
        )}
        {barred.length > 0 ? (
          <div>
            <p>Then this cannot be done either:</p>
            <List>
              {barred.map(({ key, title }) => (
                <li key={key}>{title}</li>
              ))}
            </List>
          </div>
        ) : (
          <p>Everything else can still be done.</p>
        )}
      </Question>
      <Presses>
        <MainPress isDisabled={because.trim() === ''} onPress={() => onTell(because.trim())}>
          Write it down
        </MainPress>
        <PressRow>
          <Press onPress={onBack}>It can be done</Press>
        </PressRow>
      </Presses>
    </>
  );
}
