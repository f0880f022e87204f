import { asDecimal, type Exact, readNumber, times, Unreadable } from './numbers';

/** Millilitres in one of each unit, exactly: US gallon 231 in³, imperial gallon 4.546 09 L, as the core has them. */
const UNITS: readonly { words: string; ml: Exact; imperial?: Exact }[] = [
  { words: 'l lt ltr litre litres liter liters', ml: { over: 1000n, under: 1n } },
  { words: 'dl decilitre decilitres deciliter deciliters', ml: { over: 100n, under: 1n } },
  { words: 'cl centilitre centilitres centiliter centiliters', ml: { over: 10n, under: 1n } },
  { words: 'ml millilitre millilitres milliliter milliliters cc', ml: { over: 1n, under: 1n } },
  ...Object.entries({
    'gal gals gallon gallons': [1n, 1n],
    'qt qts quart quarts': [4n, 4n],
    'pt pts pint pints': [8n, 8n],
    'floz fluidounce fluidounces': [128n, 160n],
  } as Record<string, [bigint, bigint]>).map(([words, [us, imperial]]) => ({
    words,
    ml: { over: 3785411784n, under: 1000000n * us },
    imperial: { over: 454609n, under: 100n * imperial },
  })),
];

const BY_WORD: ReadonlyMap<string, Exact> = new Map(
  UNITS.flatMap(({ words, ml, imperial }) =>
    words
      .split(' ')
      .flatMap((word): [string, Exact][] => [
        [word, ml],
        ...(imperial
          ? [
              [`us${word}`, ml] as [string, Exact],
              ...['imp', 'imperial', 'uk'].map((of): [string, Exact] => [`${of}${word}`, imperial]),
            ]
          : []),
      ]),
  ),
);

const NUMBER = String.raw`\d[\d.,]*(?:[ -]?(?:\d+/\d+|[½⅓⅔¼¾⅛⅜⅝⅞]))?`;
const TWO_UNITS = new RegExp(String.raw`^\s*(${NUMBER})\s*(\p{L}+\.?)\s*(${NUMBER})\s*(\p{L}+\.?)\s*$`, 'u');
const ONE_UNIT = /^\s*([+\-−–]?[\d.,½⅓⅔¼¾⅛⅜⅝⅞](?:[\d\s.,/⁄½⅓⅔¼¾⅛⅜⅝⅞\u00A0\u202F']|-(?=\d))*)(.*?)\s*$/u;
const VOLUME = 'How much it is is a volume, like 1.75 gal or 0.3 L.';

/**
 * An amount as a person writes it, by the same grammar as the yard reads it: `250 ml`, `1 3/4 qt`, `8 fl oz`, `1 qt 4 fl oz`.
 *
 * @returns whole millilitres
 * @throws Unreadable
 */
export function readVolume(written: string): number {
  const together = TWO_UNITS.exec(written);
  const [large, small] = [unitOf(together?.[2]), unitOf(together?.[4])];
  if (together && large && small) {
    const rest = times(readNumber(String(together[3])), small);
    if (rest.over * large.under < large.over * rest.under) {
      const much = times(readNumber(String(together[1])), large);
      return whole({ over: much.over * rest.under + rest.over * much.under, under: much.under * rest.under });
    }
  }
  const [, number, word] = ONE_UNIT.exec(written) ?? [];
  if (number === undefined || word === undefined) throw new Unreadable(VOLUME);
  if (word === '') throw new Unreadable(`The unit is missing after ${number.trim()}. Write it like 1 3/4 qt.`);
  const unit = unitOf(word);
  if (unit === undefined) throw new Unreadable(VOLUME);
  const exact = readNumber(number.replace(/[\s']+$/, ''));
  if (exact.over <= 0n) throw new Unreadable(VOLUME);
  return whole(times(exact, unit));
}

const unitOf = (word = ''): Exact | undefined => BY_WORD.get(word.replaceAll(/[\s.\-·_*⋅]+/gu, '').toLowerCase());

const whole = (ml: Exact): number => Number(asDecimal(ml, 0));

/** Whole millilitres as a keeper reads them: `180 mL`, `1.65 L`. */
export const shownMl = (ml: number): string =>
  ml < 1000 ? `${ml} mL` : `${asDecimal({ over: BigInt(ml), under: 1000n })} L`;
