import type { RefObject } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { quietLink } from '../kit/Button';
import { listed, within } from '../kit/format';
import { OnwardLink, Presses, Question } from '../kit/Hands';
import { Soft } from '../kit/Sheet';
import { NotJudgedStamp, VerdictStamp } from '../kit/Stamp';
import type { Answered } from '../notes/answered';
import { useQueue } from '../notes/useQueue';
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
  steps: Step[];
  answers: Record<string, Answered>;
  onOpen: (key: string) => void;
};

/** What the round came to. */
export function RoundEnd({ heading, walk, steps, answers, onOpen }: Props) {
  const { waiting } = useQueue();
  const { verdict, notJudged } = roundOutcome(walk, steps, answers);
  const telling = steps.flatMap(({ key, kind, title }) => {
    const answer = answers[key];
    return kind === 'meter' || !answer || answer.verdict === 'fit' ? [] : [{ key, title, answer }];
  });
  const fine = steps.filter(({ key }) => answers[key]?.verdict === 'fit').length;
  return (
    <>
      <Question>
        <h2 ref={heading} tabIndex={-1}>
          {verdict === 'fit'
            ? `${walk.name} is fit for use`
            : verdict === 'stand_down'
              ? `${walk.name} stands down`
              : verdict === null
                ? `${walk.name} is not judged`
                : `${walk.name}, walked round`}
        </h2>
        <div>{verdict ? <VerdictStamp verdict={verdict} /> : <NotJudgedStamp />}</div>
        {verdict === null && (
          <p>Nobody can say from this round whether it may be used. Still to judge: {listed(notJudged.map(within))}.</p>
        )}
        <p>
          {fine} fine
          {telling.length > 0 ? `, ${telling.length} to tell of.` : verdict === 'fit' ? ', nothing wrong.' : '.'}
        </p>
        {verdict === 'stand_down' && (
          <p>Take the key out and leave a note on the seat: nobody may use it until a keeper or mechanic lifts this.</p>
        )}
        {telling.length > 0 && (
          <Told>
            {telling.map(({ key, title, answer }) => (
              <li key={key}>
                <strong>{title}</strong>
                {answer.verdict ? (
                  <VerdictStamp verdict={answer.verdict} />
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
