import type { Told } from './told';

/** Whole millilitres as a keeper reads them: `180 mL`, `1.65 L`. */
export const shownMl = (ml: number): string =>
  ml < 1000 ? `${ml} mL` : `${(ml / 1000).toFixed(ml % 100 === 0 ? 1 : 2)} L`;

/** What was poured, in millilitres: what several pour adds up. */
export const poured = (told: readonly Told[]): number =>
  told.filter(({ did }) => did === 'poured').reduce((sum, { said }) => sum + Number(said.ml ?? 0), 0);

export const pouredAt = (told: readonly Told[], ...steps: string[]): number =>
  poured(told.filter(({ step }) => steps.includes(step)));

/** Millilitres as somebody types them: `250`, `250 ml`, `1.2 L`; null where it is neither. */
export function readMl(typed: string): number | null {
  const [, number, unit] = /^\s*(\d+(?:[.,]\d+)?)\s*(ml|l)?\s*$/i.exec(typed) ?? [];
  if (number === undefined) return null;
  const [whole = '0', part = ''] = number.replace(',', '.').split('.');
  const litres = unit?.toLowerCase() === 'l';
  if (!litres) return part === '' ? Number(whole) : null;
  return part.length > 3 ? null : Number(`${whole}${part.padEnd(3, '0')}`);
}
