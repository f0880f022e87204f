import { readOrNull, times } from './numbers';
import type { Verdict } from './states';

/** A limit made ready for where nobody can ask, by the names of the contract. */
type QuickLimit = {
  fields: { name: string; sign: number }[];
  unit: string;
  per_unit: number;
  bands: { below: number | null; verdict: Verdict; words: string }[];
  unless: string[];
};

/**
 * What was entered, added up in whole numbers of the small unit, falls into the first band that it lies below. Null where it asks for more than the
 * ready-made limit knows.
 */
export function judgeQuickly(
  quick: QuickLimit | null,
  entered: Readonly<Record<string, unknown>>,
): { verdict: Verdict; words: string } | null {
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

/** How many small units were typed, by the grammar of the yard; null where it is not a whole number of them, or typed in another unit. */
function wholeUnits(typed: string, { unit, per_unit }: QuickLimit): number | null {
  const bare = typed.trim();
  const number = readOrNull(bare.endsWith(unit) ? bare.slice(0, -unit.length) : bare);
  const small = number && times(number, { over: BigInt(per_unit), under: 1n });
  return small === null || small.over < 0n || small.over % small.under !== 0n ? null : Number(small.over / small.under);
}
