import type { QueryClient, QueryKey } from '@tanstack/react-query';
import { whenIdle } from '../kit/whenIdle';
import { deviceNow } from '../offline/deviceTime';
import { heardClock } from './clock';

type Given = { clock: string | null; answers: { key: QueryKey; answer: unknown }[] };

/** What came with the page itself: it need not be asked for, and is kept as though it had been. */
export function takeGiven(queries: QueryClient, keep: (key: QueryKey) => Promise<void>): void {
  const given = document.getElementById('given');
  const { clock, answers } = JSON.parse(given?.textContent || '{"clock":null,"answers":[]}') as Given;
  const { responseStart } = performance.getEntriesByType('navigation')[0] as PerformanceNavigationTiming;
  const came = deviceNow().getTime() - (performance.now() - responseStart);
  heardClock(clock, came, came);
  for (const { key, answer } of answers) {
    queries.setQueryData(key, answer);
    whenIdle(() => void keep(key));
  }
  given?.remove();
}
