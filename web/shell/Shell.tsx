import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Button, Menu, MenuItem, MenuTrigger, Popover } from 'react-aria-components';
import { Link, NavLink, Outlet, useLocation, useNavigate } from 'react-router';
import styled from 'styled-components';
import { answer, api, type Schemas } from '../api/client';
import { sessionQuery, yardQuery } from '../api/queries';
import { forgetAnswers } from '../kept/kept';
import { countWaiting } from '../kept/outbox';
import { useSending } from '../kept/useOutbox';
import { headingDay } from '../kit/format';
import { PHONE } from '../kit/theme';
import { Waiting } from '../walkaround/Waiting';
import { Keys } from './Keys';
import { LogLine } from './LogLine';
import { Newer } from './Newer';
import { SchemeChoice } from './SchemeChoice';

/** The places that are built, each with its key. */
export const PLACES = [
  { to: '/yard', name: 'Yard', key: '1' },
  { to: '/walkaround', name: 'Walkaround', key: '2' },
  { to: '/logbook', name: 'Logbook', key: '6' },
  { to: '/reckoner', name: 'Reckoner', key: '7' },
] as const;

const Head = styled.header`
  display: grid; grid-template-columns: auto 1fr auto auto; align-items: end; column-gap: 36px; padding: 16px 32px 0; border-bottom: 2px solid var(--ink);
  ${PHONE} { grid-template-columns: 1fr auto; padding: 10px 14px 10px; row-gap: 10px; align-items: center; }
  ${PHONE} { &[data-hands-busy='true'] { display: block; padding: 0; border: 0; > :not(nav) { display: none; } } }
  @media print { display: none; }
`;
const Name = styled(
  Link,
)`font: 600 25px/1.15 var(--slab); text-decoration: none; display: block; white-space: nowrap; overflow: hidden; text-overflow: ellipsis; max-width: 40vw; ${PHONE} { max-width: 62vw; font-size: 22px; }`;
const Day = styled.div`font-size: 15px; color: var(--soft); padding-bottom: 10px; ${PHONE} { padding: 0; }`;
const Places = styled.nav`
  display: flex; gap: 24px;
  a { position: relative; padding: 0 0 12px; text-decoration: none; white-space: nowrap; }
  a sup { font-size: 11px; color: var(--soft); margin-left: 3px; }
  a.active { font-weight: 700; }
  a.active::after { content: ''; position: absolute; left: 50%; bottom: -9px; width: 14px; height: 14px; background: var(--paper); border: solid var(--ink); border-width: 2px 0 0 2px; transform: translateX(-50%) rotate(45deg); }
  ${PHONE} {
    position: fixed; z-index: 10; left: 0; right: 0; bottom: 0; background: var(--paper); border-top: 2px solid var(--ink); gap: 0; justify-content: space-around;
    padding-bottom: env(safe-area-inset-bottom);
    a { flex: 1; text-align: center; padding: 16px 0 15px; font-size: 15px; }
    a sup { display: none; }
    a.active::after { left: 25%; right: 25%; width: auto; top: -2px; bottom: auto; height: 5px; background: var(--ink); border: 0; transform: none; }
  }
`;
const Line = styled.div`padding-bottom: 9px; ${PHONE} { grid-column: 1 / -1; padding: 0; order: 3; }`;
const Person = styled(Button)`
  border: 0; background: none; padding: 0 0 18px; cursor: pointer; font-size: 15px; font-weight: 600; text-decoration: underline; text-underline-offset: 4px; text-decoration-thickness: 1px; white-space: nowrap;
  ${PHONE} { padding: 12px 0; }
`;
const Leaf = styled(Popover)`background: var(--sheet); border: 2px solid var(--ink); border-radius: 3px; min-width: 220px;`;
const Items = styled(
  Menu,
)`outline: none; padding: 6px 0; .react-aria-MenuItem { padding: 11px 18px; cursor: pointer; outline: none; text-decoration: none; display: block; } .react-aria-MenuItem[data-focused] { background: var(--paper); box-shadow: inset 4px 0 var(--hedge); }`;

/** What stands round every place: the yard's name, the places, the log line, the person. */
export function Shell({ person }: { person: Schemas['Person'] }) {
  const yard = useQuery(yardQuery);
  const handsBusy = /^\/walkaround\/\d+/.test(useLocation().pathname);
  useSending(person.id);
  const navigate = useNavigate();
  const [keysShown, showKeys] = useState(false);
  const [schemesShown, showSchemes] = useState(false);
  useEffect(() => {
    const go = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (event.ctrlKey || event.metaKey || event.altKey || target.matches('input, textarea, select') || target.closest('[role=dialog]')) return;
      const place = PLACES.find(({ key }) => key === event.key);
      if (place && !document.querySelector('[data-own-keys]')) navigate(place.to);
      if (event.key === '?') showKeys(true);
    };
    document.addEventListener('keydown', go);
    return () => document.removeEventListener('keydown', go);
  }, [navigate]);
  const signOut = async () => {
    const waiting = await countWaiting();
    if (
      waiting > 0 &&
      !window.confirm(
        `${waiting} ${waiting === 1 ? 'note waits' : 'notes wait'} to be sent. They stay on this device until you sign in here again. Sign out?`,
      )
    )
      return;
    await forgetAnswers();
    await answer(api.DELETE('/session'));
    location.assign('/');
  };
  return (
    <>
      <Newer />
      <Waiting />
      <Head data-hands-busy={handsBusy}>
        <div>
          <Name to="/yard">{yard.data?.name ?? 'Jardinier'}</Name>
          <Day>{yard.data ? `${headingDay(yard.data.today)}, week ${yard.data.week}` : ' '}</Day>
        </div>
        <Places aria-label="Places">
          {PLACES.map(({ to, name, key }) => (
            <NavLink key={to} to={to} aria-keyshortcuts={key}>
              {name}
              <sup aria-hidden="true">{key}</sup>
            </NavLink>
          ))}
        </Places>
        {person.role === 'reader' ? (
          <span />
        ) : (
          <Line>
            <LogLine />
          </Line>
        )}
        <MenuTrigger>
          <Person>{person.name}</Person>
          <Leaf>
            <Items>
              {person.role === 'keeper' && <MenuItem onAction={() => navigate('/people')}>People and the yard</MenuItem>}
              <MenuItem onAction={() => navigate('/account')}>Your account</MenuItem>
              <MenuItem onAction={() => showSchemes(true)}>Light and contrast</MenuItem>
              <MenuItem onAction={() => showKeys(true)}>Keys</MenuItem>
              <MenuItem onAction={signOut}>Sign out</MenuItem>
            </Items>
          </Leaf>
        </MenuTrigger>
      </Head>
      <Outlet />
      <Keys isOpen={keysShown} onClose={() => showKeys(false)} />
      <SchemeChoice isOpen={schemesShown} onClose={() => showSchemes(false)} />
    </>
  );
}

/** The signed-in person. */
export function usePerson(): Schemas['Person'] {
  const { data } = useQuery(sessionQuery);
  if (!data?.person) throw new Error('Nobody is signed in.');
  return data.person;
}
