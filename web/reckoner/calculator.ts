import type { Schemas } from '../api/client';

/** What is typed: texts, ticks, lists and sets of these, by the names of the calculators' contract. */
export type Value = string | boolean | Value[] | { [name: string]: Value };
export type Values = { [name: string]: Value };

export type FieldOf = Schemas['ReckonField'];
export type Calculator = Schemas['ReckonSheet'];
export type Told = Schemas['ReckonTold'];
export type Into = NonNullable<Calculator['into']>;

export type Drawn = { values: Values; drawn?: Told['drawn'] };

/** What stands there before anything is typed. */
export const startOf = (fields: readonly FieldOf[]): Values =>
  Object.fromEntries(fields.map((field) => [field.name, beginning(field)]));

function beginning({ kind, begins, fields = [], options = [] }: FieldOf): Value {
  switch (kind) {
    case 'tick':
      return false;
    case 'ticks':
      return [];
    case 'set':
      return startOf(fields);
    case 'rows':
      return Array.from({ length: Number(begins ?? 1) }, () => startOf(fields));
    case 'choice':
      return options[0]?.value ?? '';
    default:
      return String(begins ?? '');
  }
}
