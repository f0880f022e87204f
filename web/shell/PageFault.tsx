import { useEffect } from 'react';
import { Link, useRouteError } from 'react-router';
import styled from 'styled-components';
import { Actions, PlainButton, quietLink } from '../kit/Button';
import { Empty, Lead, Page, Sheet, Title } from '../kit/Sheet';

const Onward = styled(Link)`${quietLink}`;

/** Written where a lost script has made the page load anew, so that it does so once. */
const RELOADED = 'jardinier.reloaded';

/** As browsers call a script that did not come. */
const LOST = /dynamically imported module|importing a module script|loading chunk|unable to preload/i;

/** This program at this address. */
const here = () => `${__VERSION__} ${location.pathname}`;

const isLost = (fault: unknown): boolean => fault instanceof Error && LOST.test(fault.message);

/** Whether it was tried already, or this browser cannot say: then nothing is loaded again by itself. */
function wasTried(): boolean {
  try {
    return sessionStorage.getItem(RELOADED) === here();
  } catch {
    return true;
  }
}

/** Whatever breaks while a page comes or is drawn: the places stay in reach, and it is said. After an update a script may be gone: the page is loaded anew, once. */
export function PageFault() {
  const fault = useRouteError();
  const loadsAnew = isLost(fault) && navigator.onLine && !wasTried();
  useEffect(() => {
    if (!loadsAnew) return;
    sessionStorage.setItem(RELOADED, here());
    location.reload();
  }, [loadsAnew]);
  return (
    <Page aria-busy={loadsAnew}>
      <title>This page cannot be shown</title>
      <Lead>
        <Title>This page cannot be shown</Title>
      </Lead>
      <Sheet>
        <Empty>
          <p role="alert">
            {loadsAnew
              ? 'Loading it again …'
              : isLost(fault)
                ? 'A part of this program did not arrive. What was noted is kept.'
                : 'Something in this program broke. What was noted is kept.'}
          </p>
          <Actions>
            <PlainButton onPress={() => location.reload()}>Load it again</PlainButton>
            <Onward to="/yard">To the yard</Onward>
          </Actions>
        </Empty>
      </Sheet>
    </Page>
  );
}
