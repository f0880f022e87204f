import type { Schemas } from '../api/client';

/** A rule as it stands in a form: every amount as it was typed. */
export type RuleDraft = {
  task: string;
  kind: Schemas['TaskKind'];
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
  containedIn: string;
  goesWith: string;
  keepsFluid: boolean;
  topUp: string;
  subject: Schemas['Subject'] | '';
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
  containedIn: '',
  goesWith: '',
  keepsFluid: false,
  topUp: '',
  subject: '',
  dealerOnly: false,
  loosenedBecause: '',
  note: '',
  commonPractice: false,
  countsFrom: 'last_done',
  lastDate: '',
  lastHours: '',
  lastDistance: '',
};

type Known = Pick<Schemas['RuleRecord'], 'task' | 'kind' | 'first' | 'every' | 'note' | 'common_practice'> & Partial<Schemas['RuleRecord']>;

const distanceIn = (interval?: Schemas['Interval'] | null): string => interval?.km ?? interval?.mi ?? '';
const percent = (share: string): string => String(Math.round(Number(share) * 1000) / 10);

export function draftOf(rule: Known): RuleDraft {
  const first = rule.first[0];
  return {
    ...EMPTY_RULE,
    task: rule.task,
    kind: rule.kind,
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
    containedIn: rule.contained_in?.toString() ?? '',
    goesWith: rule.goes_with?.toString() ?? '',
    keepsFluid: rule.keeps_fluid ?? false,
    topUp: rule.top_up ?? '',
    subject: rule.subject ?? '',
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

const share = (typed: string): number => Number(typed.replace(',', '.')) / 100;

/** The rule as the contract takes it. */
export function ruleBody(draft: RuleDraft, unit: 'km' | 'mi') {
  const { firstHours, firstDistance, bookHours, bookDistance, bookMonths } = draft;
  const book = bookHours || bookDistance || bookMonths;
  return {
    task: draft.task,
    kind: draft.kind,
    every: interval(draft.hours, draft.distance, draft.months, unit),
    first: firstHours || firstDistance ? [interval(firstHours, firstDistance, '', unit)] : [],
    book: book ? interval(bookHours, bookDistance, bookMonths, unit) : null,
    anchor: draft.anchor,
    early: share(draft.early),
    late: share(draft.late),
    source: draft.source,
    windows: draft.windows,
    condition: draft.condition.trim() || null,
    contained_in: draft.containedIn ? Number(draft.containedIn) : null,
    goes_with: draft.goesWith ? Number(draft.goesWith) : null,
    keeps_fluid: draft.keepsFluid,
    top_up: draft.topUp.trim() || null,
    subject: draft.subject || null,
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
