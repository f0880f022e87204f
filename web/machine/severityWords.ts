import type { Schemas } from '../api/client';
import { dayAndMonth } from '../kit/format';
import { SEVERITY_WORDS } from '../trade/words';

/** `dust`, or `dust from 1 May to 30 Sep`. */
export function severityWords({ severity, from, to }: Schemas['SeverityMark']): string {
  const word = SEVERITY_WORDS[severity];
  return from && to ? `${word} from ${dayAndMonth(`2000-${from}`)} to ${dayAndMonth(`2000-${to}`)}` : word;
}
