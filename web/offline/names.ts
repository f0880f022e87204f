// What a state is called is known to this folder alone (biome.json): who knew it elsewhere could compare.

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

export type Name = keyof typeof Names;

/**
 * A state as the yard told it. Outside this folder it is neither compared nor put in order: it is looked up in a table
 * with a row for every state there is, or asked about here.
 */
export type State<N extends Name = Name> = (typeof Names)[N];

/** How a state is called in a table. */
export type NameOf<S extends State> = { [N in Name]: State<N> extends S ? N : never }[Name];

export const nameOf = <S extends State>(state: S): NameOf<S> => state as unknown as NameOf<S>;

export const named = <N extends Name>(name: N): State<N> => name as unknown as State<N>;
