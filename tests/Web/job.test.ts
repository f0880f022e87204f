import { describe, expect, it } from 'vitest';
import { firstBefore, nextOf, progressOf, type Step, type Told } from '../../web/offline/job';
import cases from './cases/steps.json';

type Case = {
  steps: Step[];
  told: Told[];
  now: string;
  states: Record<string, string>;
  first_before: Record<string, string>;
  began: Record<string, string>;
  next: string | null;
};

describe('a job on a phone', () => {
  it.each((cases as unknown as Case[]).map((one, index) => [index, one] as const))(
    'is as far as the yard says it is: %i',
    (_, { steps, told, now, states, first_before, began, next }) => {
      const at = Date.parse(now);
      const progress = progressOf(steps, told, at);
      expect(Object.fromEntries(progress.states)).toEqual(states);
      expect(nextOf(steps, progress, at)?.key ?? null).toBe(next);
      const running = (all: Iterable<[string, unknown]>) =>
        Object.fromEntries([...all].filter(([key]) => states[key] === 'ready'));
      expect(running(progress.began)).toEqual(
        running(Object.entries(began).map(([key, from]) => [key, Date.parse(from)])),
      );
      for (const { key } of steps) expect(firstBefore(key, steps, progress)?.key, key).toBe(first_before[key]);
    },
  );
});
