import { Link } from 'react-router';
import styled from 'styled-components';
import { useOutbox } from '../kept/useOutbox';

const Strip = styled.div<{ $refused: boolean }>`
  display: flex; justify-content: center; gap: 18px; padding: 7px 16px; font-size: 15px; font-weight: 600;
  background: ${({ $refused }) => ($refused ? 'var(--clay)' : 'var(--slate)')}; color: var(--sheet);
  a { color: inherit; } @media print { display: none; }
`;

/** How much waits on this device to be sent, always in sight. */
export function Waiting() {
  const { waiting, refused, asked, inPageOnly } = useOutbox();
  if (waiting === 0 && refused.length === 0 && asked.length === 0) return null;
  return (
    <Strip $refused={refused.length > 0} role="status">
      {waiting > 0 && (
        <span>
          {waiting} {waiting === 1 ? 'note waits' : 'notes wait'} to be sent
          {inPageOnly && '. This browser keeps nothing: leave the page open until then'}
        </span>
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
