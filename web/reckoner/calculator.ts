import type { ReactNode } from 'react';

/** What is typed: texts, ticks, lists and sets of these, by the names of the calculators' contract. */
export type Value = string | boolean | Value[] | { [name: string]: Value };
export type Values = { [name: string]: Value };

type Named = { name: string; label: string; help?: string; wide?: boolean };

export type FieldOf = Named &
  (
    | { kind: 'quantity'; units: readonly string[]; placeholder?: string }
    | { kind: 'number'; placeholder?: string }
    | { kind: 'text'; placeholder?: string; lines?: boolean }
    | { kind: 'texts'; placeholder?: string }
    | { kind: 'choice'; options: readonly (readonly [string, string])[] }
    | { kind: 'ticks'; options: readonly (readonly [string, string])[] }
    | { kind: 'tick'; sends?: boolean }
    | { kind: 'day' }
    | { kind: 'set'; fields: readonly FieldOf[] }
    | { kind: 'rows'; fields: readonly FieldOf[]; row: string }
  );

/** A calculator's answer, as its contract has it. */
// biome-ignore lint/suspicious/noExplicitAny: each calculator's answer has fields of its own
export type Reckoned = Record<string, any>;

export type Told = {
  /** What the eye meets first. */
  large: ReactNode;
  rows?: readonly (readonly [string, ReactNode])[];
};

export type Drawn = { values: Values; answer?: Reckoned };

/** What of it can be put into a machine's book. */
export type Into =
  | { note: 'reminder'; from: string; words: string }
  | { note: 'reading'; from: string; words: string }
  | { note: 'measured'; measurement: string; values: readonly string[]; words: string };

export type Calculator = {
  name: string;
  title: string;
  /** What somebody wants to know who looks for it. */
  asks: readonly string[];
  lead?: string;
  fields: readonly FieldOf[];
  /** What stands there before anything is typed. */
  start: Values;
  tells: (answer: Reckoned, values: Values) => Told;
  Drawing?: (drawn: Drawn) => ReactNode;
  into?: Into;
};

const VOLUMES = ['L', 'mL', 'qt', 'gal', 'fl oz', 'imp qt'] as const;
const LENGTHS = ['mm', 'in'] as const;
const TORQUES = ['N·m', 'ft-lb', 'in-lb'] as const;
const FORCES = ['N', 'lbf', 'kgf'] as const;
const VOLTS = ['V'] as const;
const DEGREES = ['°C', '°F'] as const;
const MASSES = ['g', 'oz'] as const;

type More = Partial<{ help: string; placeholder: string; wide: boolean }>;
const quantity =
  (units: readonly string[]) =>
  (name: string, label: string, more: More = {}): FieldOf => ({ kind: 'quantity', units, name, label, ...more });

export const volume = quantity(VOLUMES);
export const length = quantity(LENGTHS);
export const torque = quantity(TORQUES);
export const force = quantity(FORCES);
export const volts = quantity(VOLTS);
export const degrees = quantity(DEGREES);
export const mass = quantity(MASSES);
export const number = (name: string, label: string, more: More = {}): FieldOf => ({
  kind: 'number',
  name,
  label,
  ...more,
});
export const text = (name: string, label: string, more: More & { lines?: boolean } = {}): FieldOf => ({
  kind: 'text',
  name,
  label,
  ...more,
});
export const texts = (name: string, label: string, more: More = {}): FieldOf => ({
  kind: 'texts',
  name,
  label,
  ...more,
});
export const day = (name: string, label: string): FieldOf => ({ kind: 'day', name, label });
export const tick = (name: string, label: string, sends?: boolean): FieldOf => ({ kind: 'tick', name, label, sends });
export const choice = (name: string, label: string, options: readonly (readonly [string, string])[]): FieldOf => ({
  kind: 'choice',
  name,
  label,
  options,
});
export const set = (name: string, label: string, fields: readonly FieldOf[]): FieldOf => ({
  kind: 'set',
  name,
  label,
  fields,
});
export const rows = (name: string, label: string, row: string, fields: readonly FieldOf[], help?: string): FieldOf => ({
  kind: 'rows',
  name,
  label,
  row,
  fields,
  help,
});

/** `1.89 L (2 qt)`, or a dash where there is none. */
export const shown = (amount: { display: string } | null | undefined): string => amount?.display ?? '–';
/** Several amounts of a list, each with its name. */
export const named = (list: Reckoned[] | undefined, name: string, amount: (one: Reckoned) => string): string =>
  (list ?? []).map((one) => `${amount(one)} ${one[name]}`).join(', ') || '–';

export const VERDICT: Record<string, string> = {
  fit: 'Fit',
  watch: 'Watch it',
  act: 'Act on it',
  stand_down: 'Stand it down',
};
export const verdictOf = (answer: Reckoned): string => VERDICT[answer.verdict] ?? 'It is no reading';
