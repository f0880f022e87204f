import { useCallback, useEffect, useState } from 'react';
import { withDevice } from './device';
import { deviceNow } from './deviceTime';

/** How far somebody has come with something on this device, begun on one day. */
export type Progress<A = unknown> = {
  started_at: string;
  day: string;
  answers: Record<string, A>;
  ended: boolean;
};

type Change<A> = (before: Progress<A>) => Progress<A>;

const watchers = new Set<(name: string) => unknown>();
const tabs = new BroadcastChannel('jardinier-rounds');
tabs.addEventListener('message', ({ data }: MessageEvent<string>) => tellHere(data));

function tellHere(name: string): void {
  for (const watcher of watchers) watcher(name);
}

function tell(name: string): void {
  tellHere(name);
  tabs.postMessage(name);
}

/** What is kept of a day, or a beginning. */
const of = (day: string, kept?: Progress): Progress =>
  kept?.day === day ? kept : { started_at: deviceNow().toISOString(), day, answers: {}, ended: false };

/** From what is kept at that moment, in one transaction: two presses, two tabs or an answer of the yard's do not undo each other. */
const changed = <A>(name: string, day: string, by: Change<A>): Promise<Progress<A>> =>
  withDevice((device) =>
    device.change('rounds', name, (kept) => by(of(day, kept) as Progress<A>) as Progress),
  ) as Promise<Progress<A>>;

/** How far it has come, kept on this device from press to press; null until that is read. */
export function useProgress<A>(name: string, day: string) {
  const [progress, setProgress] = useState<Progress<A> | null>(null);
  useEffect(() => {
    let isLeft = false;
    const look = async (of: string) => {
      const kept = of === name ? await changed<A>(name, day, (before) => before) : null;
      if (kept && !isLeft) setProgress(kept);
    };
    void look(name);
    watchers.add(look);
    return () => {
      isLeft = true;
      watchers.delete(look);
    };
  }, [name, day]);
  const change = useCallback(
    async (by: Change<A>) => {
      setProgress(await changed(name, day, by));
      tell(name);
    },
    [name, day],
  );
  return { progress, change };
}

/** Changes what was said, in whichever round it was, whether or not that is shown. */
export async function changeAnswers<A>(by: (answer: A) => A): Promise<void> {
  for (const [name, { day }] of await withDevice((device) => device.all('rounds'))) {
    await changed<A>(name, day, (before) => ({
      ...before,
      answers: Object.fromEntries(Object.entries(before.answers).map(([key, answer]) => [key, by(answer)])),
    }));
    tell(name);
  }
}
