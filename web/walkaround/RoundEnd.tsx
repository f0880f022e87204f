import type { RefObject } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { quietLink } from '../kit/Button';
import { listed, within } from '../kit/format';
import { OnwardLink, Presses, Question } from '../kit/Hands';
import { Soft } from '../kit/Sheet';
import { useQueue } from '../notes/useQueue';
import type { Answered } from '../offline/round';
import { isFine, type NameOf, of, standsDown } from '../offline/states';
import { NotJudgedStamp, Stamp } from '../trade/Stamp';
import { roundOutcome, type Step } from './roundSteps';

const Told = styled.ul`
  border-top: 1px solid var(--rule);
  li { border-bottom: 1px solid var(--rule); padding: 12px 0; display: grid; grid-template-columns: 1fr auto; gap: 4px 14px; align-items: start; }
  p { grid-column: 1 / -1; font-size: 16px; }
`;
const Beside = styled(Link)`${quietLink} justify-content: center; text-align: center;`;
const Again = styled.button`${quietLink}`;

type Props = {
  heading: RefObject<HTMLHeadingElement | null>;
  walk: Schemas['Walk'];
  kind: Schemas['RoundKind'];
  steps: Step[];
  answers: Record<string, Answered>;
  onOpen: (key: string) => void;
};

const CAME_TO: Record<NameOf<Schemas['Verdict']>, string> = {
  fit: ' is fit for use',
  watch: ', walked round',
  act: ', walked round',
  stand_down: ' stands down',
};

/** What the round came to. */
export function RoundEnd({ heading, walk, kind, steps, answers, onOpen }: Props) {
  const { waiting } = useQueue();
  const { verdict, notJudged } = roundOutcome(walk, kind, answers);
  const telling = steps.flatMap(({ key, kind: step, title }) => {
    const answer = answers[key];
    return step === 'meter' || !answer || isFine(answer.verdict) ? [] : [{ key, title, answer }];
  });
  const fine = steps.filter(({ key }) => isFine(answers[key]?.verdict)).length;
  return (
    <>
      <Question>
        <h2 ref={heading} tabIndex={-1}>
          {walk.name}
          {verdict ? of(verdict, CAME_TO) : ' is not judged'}
        </h2>
        <div>{verdict ? <Stamp state={verdict} /> : <NotJudgedStamp />}</div>
        {verdict === null && (
          <p>Nobody can say from this round whether it may be used. Still to judge: {listed(notJudged.map(within))}.</p>
        )}
        <p>
          {fine + telling.length === 0 ? 'Nothing was looked at.' : `${fine} fine`}
          {telling.length > 0
            ? `, ${telling.length} to tell of.`
            : isFine(verdict)
              ? ', nothing wrong.'
              : fine > 0 && '.'}
        </p>
        {standsDown(verdict) && (
          <p>Take the key out and leave a note on the seat: nobody may use it until a keeper or mechanic lifts this.</p>
        )}
        {telling.length > 0 && (
          <Told>
            {telling.map(({ key, title, answer }) => (
              <li key={key}>
                <strong>{title}</strong>
                {answer.verdict ? (
                  <Stamp state={answer.verdict} />
                ) : (
                  <Soft>{answer.said === 'measured' ? 'no verdict yet' : 'not looked at'}</Soft>
                )}
                {answer.words && answer.said !== 'not_looked' && <p>{answer.words}</p>}
                <Again type="button" onClick={() => onOpen(key)}>
                  Say otherwise
                </Again>
              </li>
            ))}
          </Told>
        )}
        <Soft>{waiting > 0 ? `Kept on this device; ${waiting} to send.` : 'Written in the book.'}</Soft>
      </Question>
      <Presses>
        <OnwardLink to="/walkaround">Next machine</OnwardLink>
        <Beside to={`/walkaround/${walk.id}/found`}>Something else is wrong with it</Beside>
      </Presses>
    </>
  );
}
