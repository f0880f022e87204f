/** A key and what it does. */
export type Key = { key: string; does: string };

/** The places that are built. */
export const PLACES = [
  { key: '1', does: 'Yard', to: '/yard' },
  { key: '2', does: 'Walkaround', to: '/walkaround' },
  { key: '3', does: 'Bench', to: '/bench' },
  { key: '4', does: 'Shelf', to: '/shelf' },
  { key: '6', does: 'Logbook', to: '/logbook' },
  { key: '7', does: 'Reckoner', to: '/reckoner' },
] as const;

/** The leaves of a machine. */
export const LEAF_KEYS = [
  { key: 'n', does: 'Now', leaf: '' },
  { key: 'p', does: 'Plate', leaf: '/plate' },
  { key: 'f', does: 'Fluids', leaf: '/fluids' },
  { key: 'r', does: 'Rulebook', leaf: '/rulebook' },
  { key: 'b', does: 'Book', leaf: '/book' },
] as const;

export const LOG_LINE_KEY = { key: '/', does: 'Log line: write a machine and its hours, Enter saves' } as const;
export const LIST_KEY = { key: '?', does: 'This list' } as const;

/** In a round, in the order of what can be pressed. */
export const ROUND_KEYS = [
  { key: '1', does: 'fine' },
  { key: '2', does: 'not fine' },
  { key: '3', does: 'pass over' },
] as const;

/** At a step of a job. */
export const STEP_KEYS = [{ key: ' ', does: 'done' }] as const;

/** In a cell of the chart: what is done. */
export const CHART_KEYS = [
  { key: 'r', does: 'replace', kind: 'replace' },
  { key: 'i', does: 'inspect', kind: 'inspect' },
  { key: 'c', does: 'clean', kind: 'clean' },
  { key: 'a', does: 'adjust', kind: 'adjust' },
  { key: 'g', does: 'grease', kind: 'lubricate' },
  { key: 'l', does: 'check level', kind: 'check_level' },
  { key: 's', does: 'sample', kind: 'sample' },
] as const;

/** All there are, with where they hold; the page of keys is made of these. */
export const KEY_GROUPS: { where: string; keys: readonly Key[] }[] = [
  { where: 'Everywhere', keys: [...PLACES, LOG_LINE_KEY, { key: 'Esc', does: 'Leave what is open' }, LIST_KEY] },
  { where: 'On a machine', keys: LEAF_KEYS },
  {
    where: 'On a rail or a plate',
    keys: [
      { key: '← →', does: 'Walk the stakes, or the spots' },
      { key: 'Enter', does: 'Open the one' },
    ],
  },
  { where: 'In a round', keys: ROUND_KEYS },
  { where: 'At a step of a job', keys: [{ key: 'Space', does: 'done' }] },
  { where: 'In a cell of the chart', keys: [{ key: 'Space', does: 'mark' }, ...CHART_KEYS] },
];
