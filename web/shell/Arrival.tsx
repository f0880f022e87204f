import { useEffect, useRef, useState } from 'react';
import { useLocation } from 'react-router';
import { Unseen } from '../kit/Unseen';

/** How long a page may take until what it is called stands there, in milliseconds. */
const PATIENCE = 10_000;

const HEADING = 'main h1, main h2';

/** After each move to another page its heading has the focus, and its title is told to those who listen. */
export function Arrival() {
  const { pathname } = useLocation();
  const before = useRef(pathname);
  const [told, setTold] = useState('');
  useEffect(() => {
    const isMove = before.current !== pathname && before.current !== '/';
    before.current = pathname;
    if (!isMove) return;
    const arrive = () => {
      const heading = document.querySelector<HTMLElement>(HEADING);
      if (!heading || heading.closest('[aria-busy=true]')) return false;
      // A page that asks something at once has put the focus there itself.
      if (!document.activeElement?.closest('main, [role=dialog]')) {
        heading.tabIndex = -1;
        heading.focus({ preventScroll: true });
      }
      setTold(document.title);
      return true;
    };
    if (arrive()) return;
    const watcher = new MutationObserver(() => arrive() && watcher.disconnect());
    watcher.observe(document.body, { childList: true, subtree: true, attributeFilter: ['aria-busy'] });
    const giveUp = setTimeout(() => watcher.disconnect(), PATIENCE);
    return () => {
      watcher.disconnect();
      clearTimeout(giveUp);
    };
  }, [pathname]);
  return (
    <Unseen role="status" aria-live="polite">
      {told}
    </Unseen>
  );
}
