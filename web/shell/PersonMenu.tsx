import { Button, Menu, MenuItem, MenuTrigger, Popover } from 'react-aria-components';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { PHONE } from '../kit/theme';

const Name = styled(Button)`
  border: 0; background: none; padding: 0 0 18px; cursor: pointer; font-size: 15px; font-weight: 600;
  text-decoration: underline; text-underline-offset: 4px; text-decoration-thickness: 1px; white-space: nowrap;
  ${PHONE} { padding: 12px 0; }
`;
const Leaf = styled(
  Popover,
)`background: var(--sheet); border: 2px solid var(--ink); border-radius: 3px; min-width: 220px;`;
const Items = styled(Menu)`
  outline: none; padding: 6px 0;
  .react-aria-MenuItem { padding: 11px 18px; cursor: pointer; outline: none; text-decoration: none; display: block; }
  .react-aria-MenuItem[data-focused] { background: var(--paper); box-shadow: inset 4px 0 var(--hedge); }
`;

type Props = { person: Schemas['Person']; onSchemes: () => void; onKeys: () => void; onSignOut: () => void };

/** What the signed-in person has to themselves. */
export default function PersonMenu({ person, onSchemes, onKeys, onSignOut }: Props) {
  const navigate = useNavigate();
  return (
    <MenuTrigger>
      <Name>{person.name}</Name>
      <Leaf>
        <Items>
          {person.role === 'keeper' && <MenuItem onAction={() => navigate('/people')}>People and the yard</MenuItem>}
          {person.role === 'keeper' && <MenuItem onAction={() => navigate('/computer')}>This computer</MenuItem>}
          <MenuItem onAction={() => navigate('/account')}>Your account</MenuItem>
          <MenuItem onAction={onSchemes}>Light and contrast</MenuItem>
          <MenuItem onAction={onKeys}>Keys</MenuItem>
          <MenuItem onAction={onSignOut}>Sign out</MenuItem>
        </Items>
      </Leaf>
    </MenuTrigger>
  );
}
