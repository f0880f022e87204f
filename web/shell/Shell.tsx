import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useEffect, useState } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { Outlet, ScrollRestoration, useLocation, useNavigate } from 'react-router';
import styled from 'styled-components';
import { yardQuery } from '../api/queries';
import { usePerson } from '../api/usePerson';
import { keepTold } from '../bench/useJob';
import { headingDay } from '../kit/format';
import { Opening } from '../kit/Opening';
import { PHONE } from '../kit/theme';
import { useIdle } from '../kit/useIdle';
import { usePhone } from '../kit/usePhone';
import { useSending } from '../notes/useQueue';
import { Waiting } from '../notes/Waiting';
import { LIST_KEY, PLACES } from '../trade/keys';
import { useKeys } from '../trade/useKeys';
import { Arrival } from './Arrival';
import { LogLine } from './LogLine';
import { Newer } from './Newer';
import { Signboard } from './Signboard';
import { useFetchedAhead } from './useFetchedAhead';

const Keys = lazy(() => import('./Keys'));
const SchemeChoice = lazy(() => import('./SchemeChoice'));
const SignOut = lazy(() => import('./SignOut'));
const PersonMenu = lazy(() => import('./PersonMenu'));

const Line = styled.div`padding-bottom: 9px; ${PHONE} { grid-column: 1 / -1; padding: 0; order: 3; }`;
const Name = styled.span`font-size: 15px; font-weight: 600; padding-bottom: 18px; ${PHONE} { padding: 12px 0; }`;

/** What stands round every place: the yard's name, the places, the log line, the person. */
export function Shell() {
  const person = usePerson();
  const yard = useQuery(yardQuery);
  const path = useLocation().pathname;
  const handsBusy = /^\/walkaround\/\d+|^\/bench\/[\da-f-]{36}\/(step|off)/.test(path);
  // In a glove only the places are wanted.
  const bare = usePhone() && handsBusy;
  const idle = useIdle();
  useSending(person.id);
  useFetchedAhead();
  useEffect(() => keepTold(person.name), [person.name]);
  const navigate = useNavigate();
  const [keysShown, showKeys] = useState(false);
  const [schemesShown, showSchemes] = useState(false);
  const [leaving, leave] = useState(false);
  useKeys(handsBusy ? [LIST_KEY] : [...PLACES, LIST_KEY], (pressed) =>
    'to' in pressed ? navigate(pressed.to) : showKeys(true),
  );
  return (
    <>
      {idle && <Newer />}
      <Waiting />
      <Signboard yard={yard.data?.name} day={yard.data && headingDay(yard.data.today)} handsBusy={handsBusy}>
        {!bare && (
          <>
            {person.role === 'reader' ? (
              <span />
            ) : (
              <Line>
                <LogLine />
              </Line>
            )}
            <ErrorBoundary fallback={<Name>{person.name}</Name>}>
              <Suspense fallback={<Name>{person.name}</Name>}>
                <PersonMenu
                  person={person}
                  onSchemes={() => showSchemes(true)}
                  onKeys={() => showKeys(true)}
                  onSignOut={() => leave(true)}
                />
              </Suspense>
            </ErrorBoundary>
          </>
        )}
      </Signboard>
      <Outlet />
      <Arrival />
      <ScrollRestoration />
      {keysShown && (
        <Opening onClose={() => showKeys(false)}>
          <Keys isOpen onClose={() => showKeys(false)} />
        </Opening>
      )}
      {leaving && (
        <Opening onClose={() => leave(false)}>
          <SignOut onClose={() => leave(false)} />
        </Opening>
      )}
      {schemesShown && (
        <Opening onClose={() => showSchemes(false)}>
          <SchemeChoice isOpen onClose={() => showSchemes(false)} />
        </Opening>
      )}
    </>
  );
}
