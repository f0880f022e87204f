import { useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import styled from 'styled-components';
import { QuietButton } from '../kit/Button';
import { byYard, now } from '../kit/clock';
import { clockTime, dayOf, instant } from '../kit/format';
import { pocketIsRefused } from '../offline/pocket';
import { useAsked } from './asked';
import { type Age, useAge } from './useAge';
import { useQueue } from './useQueue';

const Strip = styled.div<{ $refused: boolean }>`
  display: flex; flex-wrap: wrap; justify-content: center; gap: 2px 18px; padding: 7px 16px; font-size: 15px; font-weight: 600;
  background: ${({ $refused }) => ($refused ? 'var(--clay)' : 'var(--slate)')}; color: var(--sheet);
  a, button { color: inherit; font-size: inherit; min-height: 0; padding: 0; } @media print { display: none; }
`;

/** How much waits on this device to be sent, and how old it is what is read here: always in sight. */
export function Waiting() {
  const { waiting, refused, inPageOnly } = useQueue();
  const asked = useAsked();
  const age = useAge();
  const keepsNothing = inPageOnly || pocketIsRefused();
  if (waiting + refused.length + asked.length === 0 && age === null && !keepsNothing) return null;
  return (
    <Strip $refused={refused.length > 0} role="status">
      {age && <AsOf age={age} />}
      {waiting > 0 && (
        <span>
          {waiting} {waiting === 1 ? 'note waits' : 'notes wait'} to be sent
          {inPageOnly && '. This browser keeps nothing: leave the page open until then'}
        </span>
      )}
      {waiting === 0 && keepsNothing && (
        <span>This browser keeps nothing: without signal nothing can be read here</span>
      )}
      {refused.length > 0 && (
        <Link to="/walkaround/waiting">
          {refused.length === 1 ? 'One note came back' : `${refused.length} notes came back`}
        </Link>
      )}
      {asked.length > 0 && (
        <Link to="/walkaround/waiting">
          {asked.length === 1 ? 'One note is asked about' : `${asked.length} notes are asked about`}
        </Link>
      )}
    </Strip>
  );
}

/** `As of 07:15`, and what is being done about it. */
function AsOf({ age: { asOf, isAnswered } }: { age: Age }) {
  const queries = useQueryClient();
  const at = byYard(asOf);
  return (
    <>
      <span>
        As of {dayOf(at) === dayOf(now()) ? clockTime(at.getTime()) : instant(at.toISOString(), false)}
        {isAnswered ? ', asking the yard …' : '. The yard does not answer'}
      </span>
      {!isAnswered && (
        <QuietButton onPress={() => queries.refetchQueries({ type: 'active', stale: true })}>Try again</QuietButton>
      )}
    </>
  );
}
