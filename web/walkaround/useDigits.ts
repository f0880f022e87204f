import { useEffect, useEffectEvent } from 'react';

/** Keys `1`, `2`, `3` for what can be pressed, wherever nothing is typed. */
export function useDigits(...presses: ((() => void) | undefined)[]): void {
  const press = useEffectEvent((event: KeyboardEvent) => {
    const target = event.target as HTMLElement;
    if (
      event.ctrlKey ||
      event.metaKey ||
      event.altKey ||
      event.repeat ||
      target.matches('input:not([type=radio]):not([type=checkbox]), textarea, select') ||
      target.closest('[role=dialog]')
    )
      return;
    const chosen = presses[Number(event.key) - 1];
    if (/^[1-9]$/.test(event.key) && chosen) {
      event.preventDefault();
      chosen();
    }
  });
  useEffect(() => {
    document.addEventListener('keydown', press);
    return () => document.removeEventListener('keydown', press);
  }, []);
}
