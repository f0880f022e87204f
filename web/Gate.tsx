import { useQuery } from '@tanstack/react-query';
import { Fragment, lazy, Suspense, useEffect, useState } from 'react';
import { Outlet, useMatch } from 'react-router';
import { keepAnswer, queries } from './api/kept';
import { sessionQuery } from './api/queries';
import { setZone } from './kit/clock';
import { becomes } from './offline/whose';
import { SignIn } from './people/SignIn';
import { Signboard } from './shell/Signboard';
import { Reading } from './trade/Reading';

const WelcomePage = lazy(() => import('./people/WelcomePage'));
const FirstKeeper = lazy(() => import('./people/FirstKeeper'));

/** Until the page that was asked for has come. */
export function Coming() {
  return (
    <>
      <Signboard />
      <Reading />
    </>
  );
}

/** The yard to whoever is signed in; otherwise where one signs in. */
export function Gate() {
  const session = useQuery(sessionQuery);
  const invited = useMatch('/welcome') !== null;
  const person = session.data?.person?.id;
  // What is kept and shown from here on is theirs, and by the yard's clock; those beneath ask for it at once.
  if (session.data) becomes(person ?? null);
  if (session.data?.time_zone) setZone(session.data.time_zone);
  const [shownTo, show] = useState(person);
  if (shownTo !== person) {
    // What one person read here is not shown to the next.
    queries.removeQueries({ predicate: ({ queryKey }) => queryKey[1] !== sessionQuery.queryKey[1] });
    show(person);
  }
  useEffect(() => {
    if (person) void keepAnswer(sessionQuery.queryKey);
  }, [person]);
  if (!session.data) {
    return (
      <>
        <Signboard />
        <Reading error={session.error} />
      </>
    );
  }
  const { first_visit: firstVisit, needs_code: needsCode, ended, yard } = session.data;
  if (person)
    return (
      <Fragment key={person}>
        <Outlet />
      </Fragment>
    );
  if (!firstVisit && !invited) return <SignIn yard={yard} ended={ended} />;
  return (
    <Suspense fallback={<Reading />}>
      {firstVisit ? <FirstKeeper needsCode={needsCode} /> : <WelcomePage yard={yard} />}
    </Suspense>
  );
}
