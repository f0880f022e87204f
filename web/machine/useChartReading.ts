import { useQuery } from '@tanstack/react-query';
import { answer, api, type Refused, type Schemas } from '../api/client';
import { useSettled } from '../kit/useSettled';
import { type ChartDraft, type ChartReading, isComplete, question, type Understood } from './chartDraft';

type Reading = { understood: Map<string, Understood>; reading: ChartReading | null; refused: Refused | null; settled: boolean };

/** What the marks that were touched amount to, asked again whenever somebody has stopped setting them. */
export function useChartReading(draft: ChartDraft, unit: Schemas['MeterUnit']): Reading {
  const asked = JSON.stringify(question(draft, unit));
  const settled = useSettled(asked, 250);
  const rows = draft.rows.filter(isComplete);
  const query = useQuery<ChartReading, Refused>({
    queryKey: ['chart-read', settled],
    queryFn: () => readChart(JSON.parse(settled)),
    enabled: rows.length > 0,
    retry: false,
    staleTime: Number.POSITIVE_INFINITY,
  });
  const current = settled === asked && rows.length > 0;
  const reading = current ? (query.data ?? null) : null;
  const understood = new Map<string, Understood>();
  for (const row of reading?.rows ?? []) {
    const key = row.line === null ? undefined : rows[row.line - 1]?.key;
    if (key) understood.set(key, row);
  }
  return { understood, reading, refused: current ? query.error : null, settled: rows.length === 0 || (current && !query.isFetching) };
}

export const readChart = (body: Record<string, unknown>): Promise<ChartReading> =>
  answer(api.POST('/reckon/{name}', { params: { path: { name: 'chart-read' } }, body })) as Promise<unknown> as Promise<ChartReading>;
