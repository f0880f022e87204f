import { useCallback, useEffect, useState } from 'react';
import { now } from '../kit/clock';
import { type Answered, type Progress, withStore } from './store';

/** How far a round has come, kept on this device from press to press. */
export function useProgress(name: string, day: string) {
  const [progress, setProgress] = useState<Progress | null>(null);
  useEffect(() => {
    void (async () => {
      const before = await withStore((device) => device.get('rounds', name));
      setProgress(
        before && before.day === day ? before : { started_at: now().toISOString(), day, answers: {}, ended: false },
      );
    })();
  }, [name, day]);
  const save = useCallback(
    async (changed: Progress) => {
      setProgress(changed);
      await withStore((device) => device.put('rounds', changed, name));
    },
    [name],
  );
  const answered = useCallback(
    (subject: string, answer: Answered) =>
      progress && save({ ...progress, answers: { ...progress.answers, [subject]: answer } }),
    [progress, save],
  );
  const ended = useCallback(() => progress && save({ ...progress, ended: true }), [progress, save]);
  return { progress, answered, ended };
}
