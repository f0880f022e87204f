import { useCallback, useLayoutEffect, useRef } from 'react';

/** How long what is shown takes no press, in milliseconds: it has to be seen before it can be answered. */
const UNSEEN = 400;

/** However long something takes, after so long it may be pressed again, in milliseconds. */
const AT_LONGEST = 5_000;

const later = (milliseconds: number) => new Promise((resolve) => setTimeout(resolve, milliseconds));

/** Since when what can be pressed is as it is. */
let shownAt = 0;
/** What was pressed is still being done. */
let busy = false;
let settled: ReturnType<typeof setTimeout> | undefined;

/** Something else is asked from here on, or was answered just now. */
function isShownNow(): void {
  shownAt = performance.now();
  const page = document.documentElement;
  page.dataset.unseen = '';
  clearTimeout(settled);
  settled = setTimeout(() => delete page.dataset.unseen, UNSEEN);
}

/** What lies under a hand is another as soon as this is. */
export function useShown(what: unknown): void {
  // biome-ignore lint/correctness/useExhaustiveDependencies: it changes with what is shown
  useLayoutEffect(isShownNow, [what]);
}

type Guard = {
  /** A finger, or a key, goes down. */
  begin: () => void;
  /** It is let go: what it does is done, unless it went down on something that nobody has seen yet, or the same is being done already. */
  end: (does?: () => unknown) => void;
};

/** Guards one thing that can be pressed with a glove, on wet glass. */
export function usePressGuard(): Guard {
  const began = useRef<number | null>(null);
  useLayoutEffect(isShownNow, []);
  const begin = useCallback(() => {
    began.current = performance.now();
  }, []);
  const end = useCallback((does?: () => unknown) => {
    const at = began.current ?? performance.now();
    began.current = null;
    if (busy || at < shownAt + UNSEEN) return;
    isShownNow();
    const doing = does?.();
    if (!(doing instanceof Promise)) return;
    busy = true;
    void Promise.race([doing, later(AT_LONGEST)]).finally(() => {
      busy = false;
    });
  }, []);
  return { begin, end };
}
