/** What was told of a step. */
type Told = { step: string; did: string; said: Record<string, unknown> };

/** What is asked where fluid goes in, by the names of the contract. */
type Asks<S extends { total_ml: number }> = { stages?: S[] };

/** A row of what a level says, by the names of the contract. */
type Row = { stands: 'right' | 'enough' | 'low' | 'over'; missing_ml: number | null };

/** Each pour of some steps, in millilitres. */
export const poursAt = (told: readonly Told[], ...steps: string[]): number[] =>
  told.filter(({ did, step }) => did === 'poured' && steps.includes(step)).map(({ said }) => Number(said.ml ?? 0));

export const pouredAt = (told: readonly Told[], ...steps: string[]): number =>
  poursAt(told, ...steps).reduce((sum, ml) => sum + ml, 0);

/** Where a filling stands with so much in: the stage that comes, what is proposed for it, and whether the first one is in. */
export function fillingAt<S extends { total_ml: number }>({ stages = [] }: Asks<S>, inside: number) {
  const stage = stages.find(({ total_ml: total }) => total > inside);
  return {
    stage,
    proposed: stage ? stage.total_ml - inside : null,
    isFirstIn: stages.length > 0 && stages[0] !== stage,
  };
}

/** Whether it would be more than can well be. */
export const isTooMuch = (
  { asked_over_ml: most }: { asked_over_ml?: number | null },
  inside: number,
  amount: number | null,
): boolean => amount !== null && most != null && inside + amount > most;

/** What a level that was read asks for, by what was poured since. */
export function toppingUp(row: Row | undefined, poured: number) {
  const isRight = row?.stands === 'right' || (row?.stands === 'enough' && poured > 0);
  const isOver = row?.stands === 'over';
  return { isRight, isOver, asksPour: row !== undefined && !isRight && !isOver, proposed: row?.missing_ml || null };
}

/** The row that an amount falls into: each holds from so much on. */
export const rowOf = <R extends { from_ml: number }>(rows: readonly R[] | undefined, ml: number): R | undefined =>
  rows?.findLast(({ from_ml: from }) => ml >= from);
