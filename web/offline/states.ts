declare namespace Names {
  const fit: unique symbol;
  const fresh: unique symbol;
  const unknown: unique symbol;
  const watch: unique symbol;
  const nearing: unique symbol;
  const act: unique symbol;
  const due: unique symbol;
  const past: unique symbol;
  const stand_down: unique symbol;
  const stood_down: unique symbol;
  const done: unique symbol;
  const failed: unique symbol;
  const barred: unique symbol;
  const spared: unique symbol;
  const ready: unique symbol;
  const waiting: unique symbol;
}

type Name = keyof typeof Names;

/**
 * A state as the yard told it. Outside this folder it is neither compared nor put in order: it is looked up in a table
 * with a row for every state there is, or asked about here.
 */
export type State<N extends Name = Name> = (typeof Names)[N];

/** How a state is called in a table. */
export type NameOf<S extends State> = { [N in Name]: State<N> extends S ? N : never }[Name];

export type Verdict = State<'fit' | 'watch' | 'act' | 'stand_down'>;

export const nameOf = <S extends State>(state: S): NameOf<S> => state as unknown as NameOf<S>;

export const named = <N extends Name>(name: N): State<N> => name as unknown as State<N>;

/** What stands for a state in a table. */
export const of = <S extends State, T extends Readonly<Record<NameOf<S>, unknown>>>(state: S, table: T): T[NameOf<S>] =>
  table[nameOf(state) as keyof T] as T[NameOf<S>];

/** The state that an address names; undefined where the table has none of that name. */
export const readState = <N extends Name>(
  name: string | null,
  table: Readonly<Record<N, unknown>>,
): State<N> | undefined => (name !== null && Object.hasOwn(table, name) ? named(name as N) : undefined);

/** The states that a table has, in its order. */
export const statesIn = <N extends Name>(table: Readonly<Record<N, unknown>>): State<N>[] =>
  (Object.keys(table) as N[]).map(named);

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
