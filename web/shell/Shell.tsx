import { useQuery } from '@tanstack/react-query';
import { Suspense, useState } from 'react';
import { Button, Menu, MenuItem, MenuTrigger, Popover } from 'react-aria-components';
import { ErrorBoundary } from 'react-error-boundary';
import { Outlet, ScrollRestoration, useLocation, useNavigate } from 'react-router';
import styled from 'styled-components';
import { answer, api, type Schemas } from '../api/client';
import { sessionQuery, yardQuery } from '../api/queries';
import { forgetAnswers } from '../kept/kept';
import { countWaiting } from '../kept/outbox';
import { useSending } from '../kept/useOutbox';
import { headingDay } from '../kit/format';
import { Broken, Reading } from '../kit/Reading';
import { PHONE } from '../kit/theme';
import { Waiting } from '../walkaround/Waiting';
import { Keys } from './Keys';
import { LIST_KEY, PLACES } from './keys';
import { LogLine } from './LogLine';
import { Newer } from './Newer';
import { SchemeChoice } from './SchemeChoice';
import { Signboard } from './Signboard';
import { useKeys } from './useKeys';

const Line = styled.div`padding-bottom: 9px; ${PHONE} { grid-column: 1 / -1; padding: 0; order: 3; }`;
const Person = styled(Button)`
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

/** What stands round every place: the yard's name, the places, the log line, the person. */
export function Shell({ person, yardName }: { person: Schemas['Person']; yardName: string | null }) {
  const yard = useQuery(yardQuery);
  const path = useLocation().pathname;
  const handsBusy = /^\/walkaround\/\d+/.test(path);
  useSending(person.id);
  const navigate = useNavigate();
  const [keysShown, showKeys] = useState(false);
  const [schemesShown, showSchemes] = useState(false);
  useKeys(handsBusy ? [LIST_KEY] : [...PLACES, LIST_KEY], (pressed) =>
    'to' in pressed ? navigate(pressed.to) : showKeys(true),
  );
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
      <Signboard
        yard={yard.data?.name ?? yardName ?? undefined}
        day={yard.data && headingDay(yard.data.today)}
        handsBusy={handsBusy}
      >
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
              {person.role === 'keeper' && (
                <MenuItem onAction={() => navigate('/people')}>People and the yard</MenuItem>
              )}
              <MenuItem onAction={() => navigate('/account')}>Your account</MenuItem>
              <MenuItem onAction={() => showSchemes(true)}>Light and contrast</MenuItem>
              <MenuItem onAction={() => showKeys(true)}>Keys</MenuItem>
              <MenuItem onAction={signOut}>Sign out</MenuItem>
            </Items>
          </Leaf>
        </MenuTrigger>
      </Signboard>
      <ErrorBoundary FallbackComponent={Broken} resetKeys={[path]}>
        <Suspense fallback={<Reading />}>
          <Outlet />
        </Suspense>
      </ErrorBoundary>
      <ScrollRestoration />
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
