import type { Schemas } from '../api/client';
import { asDecimal, ofDecimal, times, typedDecimal } from '../offline/numbers';

/** A rule as it stands in a form: every amount as it was typed. */
export type RuleDraft = {
  task: string;
  kind: Schemas['TaskKind'];
  /** Keys of the spots where it is done. */
  spots: string[];
  newSpot: Schemas['NewSpot'] | null;
  check: string;
  hours: string;
  distance: string;
  months: string;
  firstHours: string;
  firstDistance: string;
  bookHours: string;
  bookDistance: string;
  bookMonths: string;
  anchor: 'from_done' | 'chart';
  early: string;
  late: string;
  source: 'book' | 'keeper';
  windows: { name: string; from: string; to: string }[];
  condition: string;
  goesWith: string;
  topUp: string;
  dealerOnly: boolean;
  loosenedBecause: string;
  note: string;
  commonPractice: boolean;
  countsFrom: 'beginning' | 'last_done' | 'unknown';
  lastDate: string;
  lastHours: string;
  lastDistance: string;
};

export const EMPTY_RULE: RuleDraft = {
  task: '',
  kind: 'replace',
  spots: [],
  newSpot: null,
  check: '',
  hours: '',
  distance: '',
  months: '',
  firstHours: '',
  firstDistance: '',
  bookHours: '',
  bookDistance: '',
  bookMonths: '',
  anchor: 'from_done',
  early: '10',
  late: '10',
  source: 'keeper',
  windows: [],
  condition: '',
  goesWith: '',
  topUp: '',
  dealerOnly: false,
  loosenedBecause: '',
  note: '',
  commonPractice: false,
  countsFrom: 'last_done',
  lastDate: '',
  lastHours: '',
  lastDistance: '',
};

type Known = Pick<Schemas['RuleRecord'], 'task' | 'kind' | 'first' | 'every' | 'note' | 'common_practice'> &
  Partial<Omit<Schemas['RuleRecord'], 'spots'>> & { spots: (string | { key: string })[] };

const distanceIn = (interval?: Schemas['Interval'] | null): string => interval?.km ?? interval?.mi ?? '';
const percent = (share: string): string => asDecimal(times(ofDecimal(share), { over: 100n, under: 1n }), 6);

export function draftOf(rule: Known): RuleDraft {
  const first = rule.first[0];
  return {
    ...EMPTY_RULE,
    task: rule.task,
    kind: rule.kind,
    spots: rule.spots.map((spot) => (typeof spot === 'string' ? spot : spot.key)),
    check: rule.check ?? '',
    hours: rule.every.hours ?? '',
    distance: distanceIn(rule.every),
    months: rule.every.months?.toString() ?? '',
    firstHours: first?.hours ?? '',
    firstDistance: distanceIn(first),
    bookHours: rule.book?.hours ?? '',
    bookDistance: distanceIn(rule.book),
    bookMonths: rule.book?.months?.toString() ?? '',
    anchor: rule.anchor ?? 'from_done',
    early: percent(rule.early ?? '0.1'),
    late: percent(rule.late ?? '0.1'),
    source: rule.source ?? 'keeper',
    windows: rule.windows ?? [],
    condition: rule.condition ?? '',
    goesWith: rule.goes_with?.toString() ?? '',
    topUp: rule.top_up ?? '',
    dealerOnly: rule.dealer_only ?? false,
    loosenedBecause: rule.loosened_because ?? '',
    note: rule.note ?? '',
    commonPractice: rule.common_practice,
  };
}

const interval = (hours: string, distance: string, months: string, unit: 'km' | 'mi') => ({
  hours: hours.trim() || null,
  [unit]: distance.trim() || null,
  months: months.trim() ? Number(months) : null,
});

const share = (typed: string): string => typedDecimal(typed, { over: 1n, under: 100n });

/** The rule as the contract takes it. */
export function ruleBody(draft: RuleDraft, unit: 'km' | 'mi') {
  const { firstHours, firstDistance, bookHours, bookDistance, bookMonths } = draft;
  const book = bookHours || bookDistance || bookMonths;
  return {
    task: draft.task,
    kind: draft.kind,
    spots: draft.spots,
    ...(draft.newSpot && { new_spots: [draft.newSpot] }),
    check: draft.check || null,
    every: interval(draft.hours, draft.distance, draft.months, unit),
    first: firstHours || firstDistance ? [interval(firstHours, firstDistance, '', unit)] : [],
    book: book ? interval(bookHours, bookDistance, bookMonths, unit) : null,
    anchor: draft.anchor,
    early: share(draft.early),
    late: share(draft.late),
    source: draft.source,
    windows: draft.windows,
    condition: draft.condition.trim() || null,
    goes_with: draft.goesWith ? Number(draft.goesWith) : null,
    top_up: draft.topUp.trim() || null,
    dealer_only: draft.dealerOnly,
    loosened_because: draft.loosenedBecause.trim() || null,
    note: draft.note || null,
    common_practice: draft.commonPractice,
  };
}

/** From when a new rule is counted. */
export function beginningOf(draft: RuleDraft) {
  if (draft.countsFrom !== 'last_done') return { counts_from: draft.countsFrom };
  return {
    counts_from: draft.countsFrom,
    last_done: { date: draft.lastDate || null, hours: draft.lastHours || null, distance: draft.lastDistance || null },
  };
}
