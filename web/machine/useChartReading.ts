import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { useSettled } from '../kit/useSettled';
import { type ChartDraft, type ChartReading, isComplete, question, type Understood } from './chartDraft';

type Reading = {
  understood: Map<string, Understood>;
  reading: ChartReading | null;
  wrong: string | null;
  settled: boolean;
};

/** What the marks that were touched amount to, asked again whenever somebody has stopped setting them. */
export function useChartReading(draft: ChartDraft, unit: Schemas['MeterUnit']): Reading {
  const asked = JSON.stringify(question(draft, unit));
  const settled = useSettled(asked, 250);
  const rows = draft.rows.filter(isComplete);
  const query = useQuery({
    queryKey: ['chart-read', settled],
    queryFn: () =>
      answer(
        api.POST('/reckon/{name}/typing', { params: { path: { name: 'chart-read' } }, body: JSON.parse(settled) }),
      ),
    enabled: rows.length > 0,
    retry: false,
    staleTime: Number.POSITIVE_INFINITY,
  });
  const current = settled === asked && rows.length > 0;
  const reading = current ? ((query.data?.answer ?? null) as ChartReading | null) : null;
  const understood = new Map<string, Understood>();
  for (const row of reading?.rows ?? []) {
    const key = row.line === null ? undefined : rows[row.line - 1]?.key;
    if (key) understood.set(key, row);
  }
  const told =
    current && query.data
      ? Object.values({ ...query.data.missing, ...query.data.wrong })
          .flat()
          .join(' ')
      : '';
  const wrong = told || (current && query.error ? query.error.message : '') || null;
  return { understood, reading, wrong, settled: rows.length === 0 || (current && !query.isFetching) };
}

export const readChart = (body: Record<string, unknown>): Promise<ChartReading> =>
  answer(
    api.POST('/reckon/{name}', { params: { path: { name: 'chart-read' } }, body }),
  ) as Promise<unknown> as Promise<ChartReading>;
