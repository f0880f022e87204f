import { useSyncExternalStore } from 'react';

const narrow = window.matchMedia('(max-width: 760px)');

const listen = (changed: () => void) => {
  narrow.addEventListener('change', changed);
  return () => narrow.removeEventListener('change', changed);
};

/** Whether the page is as narrow as a phone, where a sheet shows one thing at a time. */
export const usePhone = (): boolean => useSyncExternalStore(listen, () => narrow.matches);
