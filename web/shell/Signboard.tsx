import type { ReactNode } from 'react';
import { Button, Menu, MenuItem, MenuTrigger, Popover } from 'react-aria-components';
import { Link, NavLink, useLocation, useNavigate } from 'react-router';
import styled from 'styled-components';
import { PHONE } from '../kit/theme';
import { usePhone } from '../kit/usePhone';
import { PLACES } from '../trade/keys';

const Head = styled.header`
  display: grid; grid-template-columns: auto 1fr auto auto; align-items: end; column-gap: 36px; padding: 16px 32px 0;
  border-bottom: 2px solid var(--ink);
  ${PHONE} { grid-template-columns: 1fr auto; padding: 10px 14px 10px; row-gap: 10px; align-items: center; }
  ${PHONE} { &[data-hands-busy='true'] { display: block; padding: 0; border: 0; > :not(nav) { display: none; } } }
  @media print { display: none; }
`;
const Name = styled(Link)`
  font: 600 25px/1.15 var(--slab); text-decoration: none; display: block; white-space: nowrap; overflow: hidden;
  text-overflow: ellipsis; max-width: 40vw; ${PHONE} { max-width: 62vw; font-size: 22px; }
`;
const Day = styled.div`font-size: 15px; color: var(--soft); padding-bottom: 10px; ${PHONE} { padding: 0; }`;
const Places = styled.nav`
  display: flex; gap: 24px;
  a { position: relative; padding: 0 0 12px; text-decoration: none; white-space: nowrap; }
  a sup { font-size: 11px; color: var(--soft); margin-left: 3px; }
  a.active { font-weight: 700; }
  a.active::after { content: ''; position: absolute; left: 50%; bottom: -9px; width: 14px; height: 14px; background: var(--paper); border: solid var(--ink); border-width: 2px 0 0 2px; transform: translateX(-50%) rotate(45deg); }
  ${PHONE} {
    position: fixed; z-index: 10; left: 0; right: 0; bottom: 0; background: var(--paper);
    border-top: 2px solid var(--ink); gap: 0; justify-content: space-around;
    padding-bottom: env(safe-area-inset-bottom);
    a { flex: 1; text-align: center; padding: 16px 0 15px; font-size: 15px; }
    a sup { display: none; }
    a.active::after { left: 25%; right: 25%; width: auto; top: -2px; bottom: auto; height: 5px; background: var(--ink); border: 0; transform: none; }
  }
`;

const MoreButton = styled(Button)`
  position: relative; flex: 1; border: 0; background: none; padding: 16px 0 15px; font-size: 15px; cursor: pointer;
  &.active { font-weight: 700; }
  &.active::after { content: ''; position: absolute; left: 25%; right: 25%; top: -2px; height: 5px; background: var(--ink); }
`;
const Leaf = styled(
  Popover,
)`background: var(--sheet); border: 2px solid var(--ink); border-radius: 3px; min-width: 180px;`;
const Items = styled(Menu)`
  outline: none; padding: 6px 0;
  .react-aria-MenuItem { padding: 14px 18px; cursor: pointer; outline: none; }
  .react-aria-MenuItem[data-focused] { background: var(--paper); box-shadow: inset 4px 0 var(--hedge); }
`;

/** So many places lie within reach of a thumb; the rest under one more. */
const WITHIN_REACH = 4;

type Props = {
  yard?: string;
  /** The day in words. */
  day?: string;
  handsBusy?: boolean;
  children?: ReactNode;
};

/** What stands over every place: the yard's name, the day, the places; and what the signed-in person has beside them. */
export function Signboard({ yard = 'Jardinier', day = '\u00a0', handsBusy = false, children }: Props) {
  const phone = usePhone();
  const shown = phone ? PLACES.slice(0, WITHIN_REACH) : PLACES;
  return (
    <Head data-hands-busy={handsBusy}>
      <div>
        <Name to="/yard">{yard}</Name>
        <Day>{day}</Day>
      </div>
      <Places aria-label="Places">
        {shown.map(({ to, does, key }) => (
          <NavLink key={to} to={to} aria-keyshortcuts={key}>
            {does}
            <sup aria-hidden="true">{key}</sup>
          </NavLink>
        ))}
        {phone && <More />}
      </Places>
      {children}
    </Head>
  );
}

/** The places that a thumb seldom wants. */
function More() {
  const navigate = useNavigate();
  const path = useLocation().pathname;
  const rest = PLACES.slice(WITHIN_REACH);
  const here = rest.find(({ to }) => path.startsWith(to));
  return (
    <MenuTrigger>
      <MoreButton className={here ? 'active' : undefined}>{here?.does ?? 'More'}</MoreButton>
      <Leaf placement="top end">
        <Items>
          {rest.map(({ to, does }) => (
            <MenuItem key={to} onAction={() => navigate(to)}>
              {does}
            </MenuItem>
          ))}
        </Items>
      </Leaf>
    </MenuTrigger>
  );
}
