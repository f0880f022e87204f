import type { ReactNode } from 'react';
import { Link, NavLink } from 'react-router';
import styled from 'styled-components';
import { PHONE } from '../kit/theme';
import { PLACES } from './keys';

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

type Props = {
  yard?: string;
  /** The day in words. */
  day?: string;
  handsBusy?: boolean;
  children?: ReactNode;
};

/** What stands over every place: the yard's name, the day, the places; and what the signed-in person has beside them. */
export function Signboard({ yard = 'Jardinier', day = '\u00a0', handsBusy = false, children }: Props) {
  return (
    <Head data-hands-busy={handsBusy}>
      <div>
        <Name to="/yard">{yard}</Name>
        <Day>{day}</Day>
      </div>
      <Places aria-label="Places">
        {PLACES.map(({ to, does, key }) => (
          <NavLink key={to} to={to} aria-keyshortcuts={key}>
            {does}
            <sup aria-hidden="true">{key}</sup>
          </NavLink>
        ))}
      </Places>
      {children}
    </Head>
  );
}
