import { useSyncExternalStore } from 'react';
import { queue, type Written } from './queue';

/** What the yard has to ask of a note beside which nobody waited for the answer. */
export type Asked = { id: string; label: string; asks: string[] };

let asked: Asked[] = [];
const watchers = new Set<() => void>();

function become(changed: Asked[]): void {
  asked = changed;
  for (const watcher of watchers) watcher();
}

queue.onSent((sent) => {
  const fresh = sent.flatMap((one) => {
    const asks = asksOf(one);
    return asks.length === 0 ? [] : { id: one.kept.note.id, label: one.kept.label, asks };
  });
  if (fresh.length > 0) become([...asked, ...fresh]);
});

function asksOf({ kept, result: { entry, others, asks = [] } }: Written): string[] {
  if (kept.attended) return [];
  const entries = [entry ?? [], others ?? []].flat();
  return [...asks, ...entries.flatMap(({ doubts }) => doubts.map((doubt) => doubt.asks))];
}

const watch = (watcher: () => void) => {
  watchers.add(watcher);
  return () => watchers.delete(watcher);
};

/** Until it is read: it stays with the entry too, and in the morning of whoever wrote it. */
export const useAsked = (): Asked[] => useSyncExternalStore(watch, () => asked);

export const hasRead = (id: string): void => become(asked.filter((one) => one.id !== id));
