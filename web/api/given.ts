import type { QueryClient, QueryKey } from '@tanstack/react-query';
import { keep } from '../kept/kept';
import { whenIdle } from '../kit/whenIdle';

type Given = { key: QueryKey; name: string; answer: unknown };

/** What came with the page itself: it need not be asked for, and is kept as though it had been. */
export function takeGiven(queries: QueryClient): void {
  const given = document.getElementById('given');
  for (const { key, name, answer } of JSON.parse(given?.textContent || '[]') as Given[]) {
    queries.setQueryData(key, answer);
    whenIdle(() => void keep(name, answer));
  }
  given?.remove();
}
