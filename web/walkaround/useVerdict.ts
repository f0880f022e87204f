import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { useSettled } from '../kit/useSettled';
import { judgeQuickly } from '../offline/quickLimit';
import { Refused } from '../offline/refused';
import { type Entered, given } from './AskFields';

export type Judged = {
  verdict: Schemas['Verdict'] | null;
  usable: boolean;
  why: string;
  do: string;
  limit: string;
  /** What there is to ask before it is written down. */
  asks: string[];
};

const inWords = (messages: Schemas['Messages'] = {}): Record<string, string> =>
  Object.fromEntries(Object.entries(messages).map(([field, all]) => [field, all.join(' ')]));

/** The verdict on a measurement while it is typed, judged by the yard. Without signal a simple limit says it, and any other comes later. */
export function useVerdict(machine: number, check: Schemas['Check'], values: Entered) {
  const settled = useSettled(JSON.stringify(given(values)), 250);
  const entered = JSON.parse(settled) as Entered;
  const asked = useQuery({
    queryKey: ['verdict', machine, check.key, settled],
    queryFn: () =>
      answer(
        api.POST('/machines/{machine}/checks/{check}/verdict', {
          params: { path: { machine, check: check.key } },
          body: { values: entered },
        }),
      ),
    enabled: Object.keys(entered).length > 0,
    retry: false,
    staleTime: Number.POSITIVE_INFINITY,
  });
  const outOfReach = asked.error instanceof Refused && asked.error.problem.status === 0;
  const nothing = Object.keys(given(values)).length === 0;
  const quick = outOfReach ? judgeQuickly(check.quick, entered) : null;
  const judged: Judged | null = quick
    ? { verdict: quick.verdict, usable: true, why: quick.words, do: '', limit: '', asks: [] }
    : (asked.data?.answer ?? null);
  return {
    judged: nothing ? null : judged,
    outOfReach,
    missing: inWords(asked.data?.missing),
    wrong: inWords(asked.data?.wrong),
    settled: settled === JSON.stringify(given(values)) && !asked.isFetching,
  };
}
