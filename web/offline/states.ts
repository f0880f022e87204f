import { type Name, type NameOf, named, nameOf, type State } from './names';

export type { NameOf, State } from './names';

export type Verdict = State<'fit' | 'watch' | 'act' | 'stand_down'>;

/** What stands for a state in a table. */
export const of = <S extends State, T extends Readonly<Record<NameOf<S>, unknown>>>(state: S, table: T): T[NameOf<S>] =>
  table[nameOf(state) as keyof T] as T[NameOf<S>];

/** The state that an address names; undefined where the table has none of that name. */
export const readState = <N extends Name>(
  name: string | null,
  table: Readonly<Record<N, unknown>>,
): State<N> | undefined => (name !== null && Object.hasOwn(table, name) ? named(name as N) : undefined);

/** How a state stands in an address; empty for none. */
export const written = (state: State | undefined): string => (state === undefined ? '' : nameOf(state));

/** Mildest first, as the core has them. */
const HARDER: readonly Name[] = ['fit', 'fresh', 'unknown', 'watch', 'nearing', 'act', 'due', 'past', 'stand_down'];
const rank = (state: State | null): number => (state === null ? -1 : HARDER.indexOf(nameOf(state)));

const NOTHING: readonly Name[] = ['fit', 'fresh'];
const COMING: readonly Name[] = ['nearing', 'due', 'past'];
const PRESSING: readonly Name[] = ['act', 'due', 'past', 'stand_down'];

/** That nothing is to be done or told. */
export const isFine = (state: State | null | undefined): boolean => state != null && NOTHING.includes(nameOf(state));

/** That it falls due soon, or has. */
export const isComing = (state: State | null | undefined): boolean => state != null && COMING.includes(nameOf(state));

/** That it is to be done now. */
export const isPressing = (state: State | null | undefined): boolean =>
  state != null && PRESSING.includes(nameOf(state));

export const isUnknown = (state: State | null | undefined): boolean => state != null && nameOf(state) === 'unknown';

export const isPast = (state: State | null | undefined): boolean => state != null && nameOf(state) === 'past';

export const standsDown = (state: State | null | undefined): boolean => state != null && nameOf(state) === 'stand_down';

/** What has no state comes last. */
export const harderFirst = (one: State | null, other: State | null): number => rank(other) - rank(one);

/** Undefined of none. */
export const hardest = <S extends State>(states: readonly S[]): S | undefined => [...states].sort(harderFirst)[0];
