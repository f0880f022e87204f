import { useQuery } from '@tanstack/react-query';
import { answer, api, Refused } from '../api/client';
import { useSettled } from '../kit/useSettled';
import { type Entered, given } from './AskFields';

/** The verdict on a measurement while it is typed, judged by the yard; without signal it comes later. */
export function useVerdict(machine: number, check: string, values: Entered) {
  const settled = useSettled(JSON.stringify(given(values)), 250);
  const entered = JSON.parse(settled) as Entered;
  const asked = useQuery({
    queryKey: ['verdict', machine, check, settled],
    queryFn: () =>
      answer(api.POST('/machines/{machine}/checks/{check}/verdict', { params: { path: { machine, check } }, body: { values: entered } })),
    enabled: Object.keys(entered).length > 0,
    retry: false,
    staleTime: Number.POSITIVE_INFINITY,
  });
  const refused = asked.error instanceof Refused ? asked.error : null;
  const nothing = Object.keys(given(values)).length === 0;
  return {
    judged: nothing ? undefined : asked.data,
    outOfReach: refused?.problem.status === 0,
    fields: refused?.fields ?? {},
    settled: settled === JSON.stringify(given(values)) && !asked.isFetching,
  };
}
