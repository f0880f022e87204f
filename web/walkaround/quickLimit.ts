import type { Schemas } from '../api/client';
import type { Entered } from './AskFields';

/**
 * Where nobody can ask: what was entered, added up in whole numbers of the small unit, falls into the first band that it lies below. Null where it asks
 * for more than the ready-made limit knows.
 */
export function judgeQuickly(
  quick: Schemas['QuickLimit'] | null,
  entered: Entered,
): { verdict: Schemas['Verdict']; words: string } | null {
  if (!quick || quick.unless.some((name) => entered[name] !== undefined)) return null;
  const parts = quick.fields.map(({ name, sign }) => {
    const small = wholeUnits(String(entered[name] ?? ''), quick);
    return small === null ? null : sign * small;
  });
  if (parts.includes(null)) return null;
  const sum = Math.abs(parts.reduce<number>((all, part) => all + (part ?? 0), 0));
  const band = quick.bands.find(({ below }) => below === null || sum < below);
  return band ? { verdict: band.verdict, words: band.words } : null;
}

const TYPED = /^(?:(\d+)(?:[.,](\d+))?|(?:(\d+)[ -])?(\d+)\/(\d+))$/;

/** How many small units were typed; null where it is not a whole number of them, or typed in another unit. */
function wholeUnits(typed: string, { unit, per_unit }: Schemas['QuickLimit']): number | null {
  const bare = typed.trim();
  const found = TYPED.exec(bare.endsWith(unit) ? bare.slice(0, -unit.length).trim() : bare);
  if (!found) return null;
  const [, whole, decimals = '', mixed = '0', above, below] = found;
  const [upper, lower] =
    above === undefined
      ? [Number(`${whole}${decimals}`), 10 ** decimals.length]
      : [Number(mixed) * Number(below) + Number(above), Number(below)];
  const small = (upper * per_unit) / lower;
  return Number.isInteger(small) ? small : null;
}
