import { useEffect, useEffectEvent } from 'react';
import type { Key } from './keys';

const TYPED_IN = 'input:not([type=radio]):not([type=checkbox]), textarea, select, [contenteditable]';

/** Where letters find one of many by its name. */
const SEARCHED = '[role=listbox], [role=menu]';

/** Listens for keys wherever nothing is typed and nothing is open. */
export function useKeys<K extends Key>(keys: readonly K[], act: (pressed: K) => unknown): void {
  const press = useEffectEvent((event: KeyboardEvent) => {
    if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
    const target = event.target as HTMLElement;
    if (target.matches(TYPED_IN) || target.closest('[role=dialog]')) return;
    if (/^\w$/.test(event.key) && target.closest(SEARCHED)) return;
    const pressed = keys.find(({ key }) => key === event.key);
    if (!pressed) return;
    event.preventDefault();
    act(pressed);
  });
  useEffect(() => {
    document.addEventListener('keydown', press);
    return () => document.removeEventListener('keydown', press);
  }, []);
}
