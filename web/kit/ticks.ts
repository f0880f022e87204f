/** A few round numbers along the foot of a chart. */
export function ticks(from: number, to: number, about = 5): number[] {
  const rough = (to - from) / about || 1;
  const size = 10 ** Math.floor(Math.log10(rough));
  const step = [1, 2, 5, 10].map((times) => times * size).find((candidate) => candidate >= rough) ?? rough;
  const first = Math.ceil(from / step);
  return Array.from({ length: Math.max(1, Math.floor(to / step) - first + 1) }, (_, index) => (first + index) * step);
}
