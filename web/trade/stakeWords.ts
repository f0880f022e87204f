import type { Schemas } from '../api/client';
import { dayAndMonth, daySpan, metered } from '../kit/format';
import { isPast } from '../offline/states';
import type { RailMark } from './railLayout';
import { stateWords } from './words';

/** `100 h, engine oil, 5 to 16 Jun` */
export const stakeWords = (stake: Schemas['Stake'], rail: Schemas['Rail']): string =>
  [stake.label, stakeDay(stake, rail)].filter(Boolean).join(', ');

function stakeDay(stake: Schemas['Stake'], rail: Schemas['Rail']): string {
  if (!stake.when || isPast(stake.state)) return '';
  return stake.by_date || rail.unit === 'day' || stake.again
    ? dayAndMonth(stake.when.p50)
    : daySpan(stake.when.p10, stake.when.p90);
}

export function stakeTitle(stake: Schemas['Stake'], rail: Schemas['Rail']): string {
  const at = stake.by_date || rail.unit === 'day' ? 'By date' : `At ${metered(stake.at, rail.unit)}`;
  const day = stake.when && !isPast(stake.state) ? dayAndMonth(stake.when.p50) : '';
  return day ? `${at}, ${stake.when?.p10 === stake.when?.p90 ? '' : 'about '}${day}` : at;
}

/** What is heard of a mark: its stakes with their states. */
export function spokenMark({ stakes, text }: RailMark, rail: Schemas['Rail']): string {
  const each = stakes.map(({ stake }) => `${stakeWords(stake, rail)}, ${stateWords(stake.state)}`).join('; ');
  return stakes.length > 1 ? `${text}: ${each}` : each;
}

/** What is heard of a rail. */
export function spokenRail(name: string, rail: Schemas['Rail']): string {
  const next = rail.stakes[0];
  const now = rail.unit === 'day' ? name : `${name} stands at ${metered(rail.now, rail.unit)}`;
  return next ? `${now}. First point: ${next.label}, ${stateWords(next.state)}.` : `${now}. No point in sight.`;
}
