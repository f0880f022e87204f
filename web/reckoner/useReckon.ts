import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { useSettled } from '../kit/useSettled';
import type { Told } from './calculator';

const PAUSE = 250;

export type Reckoned = {
  answer?: Record<string, unknown> & { why: string; sources: string[] };
  told?: Told;
  fields: Record<string, string>;
  missing: string[];
};

/** A calculator's answer to what is typed, asked for once the typing pauses. Null leaves it unasked. */
export function useReckon(name: string, given: Record<string, unknown> | null): Reckoned {
  const written = JSON.stringify(given);
  const settled = useSettled(written, PAUSE);
  const reckoned = useQuery({
    queryKey: ['reckon', name, settled],
    queryFn: () => answer(api.POST('/reckon/{name}/typing', { params: { path: { name } }, body: JSON.parse(settled) })),
    enabled: settled !== 'null',
    placeholderData: keepPreviousData,
    staleTime: 60_000,
    retry: false,
  });
  if (settled === 'null') return { fields: {}, missing: [] };
  const fields = Object.fromEntries(
    Object.entries(reckoned.data?.wrong ?? {}).map(([field, messages]) => [field, messages.join(' ')]),
  );
  return {
    answer: (reckoned.data?.answer ?? undefined) as Reckoned['answer'],
    told: reckoned.data?.told ?? undefined,
    fields,
    missing: Object.values(reckoned.data?.missing ?? {}).flat(),
  };
}
