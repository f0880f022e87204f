/** An exact number: so many of so many parts. */
export type Exact = { readonly over: bigint; readonly under: bigint };

/** What was typed is no number, could be read two ways, or is too long or too large to be meant. Its message is for whoever typed it. */
export class Unreadable extends Error {}

const LONGEST = 32;
/** Ten to this many is more than anything on a yard. */
const DIGITS = 12;

const VULGAR: Record<string, string> = {
  '½': '1/2',
  '⅓': '1/3',
  '⅔': '2/3',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

/**
 * A number as a person writes it, by the same grammar as the yard reads it: `1.75`, `1,75`, `1 3/4`, `1¾`, `1-3/4`, `3/4`, `1,204.3`, `1 204,3`, `-12`.
 *
 * @throws Unreadable
 */
export function readNumber(written: string): Exact {
  let text = written
    .trim()
    .replaceAll(/[−–]/g, '-')
    .replaceAll('⁄', '/')
    .replaceAll(/[\s\u00A0\u202F]+/g, ' ');
  if (text === '') throw new Unreadable('A number is missing.');
  if ([...text].length > LONGEST) throw new Unreadable('That number is too long to be read.');
  text = text
    .replaceAll(/[½⅓⅔¼¾⅛⅜⅝⅞]/g, (sign) => ` ${VULGAR[sign]} `)
    .replaceAll(/ +/g, ' ')
    .trim()
    .replace(/^([+-]) /, '$1');
  const { over, under } = unsigned(text.replace(/^[+-]+/, ''), written);
  if (over >= under * 10n ** BigInt(DIGITS)) throw new Unreadable('That number is larger than anything on a yard.');
  return { over: text.startsWith('-') ? -over : over, under };
}

/** A value off a meter: it has hundredths at most, so a comma before three digits can only set thousands apart. */
export const readMeter = (written: string): Exact =>
  readNumber(written.trim().replace(/^([+-]?\d{1,3}),(\d{3})$/, '$1$2'));

/** The number, or null where it cannot be read. */
export function readOrNull(written: string, read: (written: string) => Exact = readNumber): Exact | null {
  try {
    return read(written);
  } catch (thrown) {
    if (thrown instanceof Unreadable) return null;
    throw thrown;
  }
}

/** What is wrong with what was typed, for whoever typed it; nothing where it can be read, or nothing is typed yet. */
export function wrongNumber(typed: string, read: (written: string) => Exact = readNumber): string | undefined {
  if (typed.trim() === '') return undefined;
  try {
    read(typed);
    return undefined;
  } catch (thrown) {
    if (thrown instanceof Unreadable) return thrown.message;
    throw thrown;
  }
}

function unsigned(text: string, written: string): Exact {
  const [isFraction, whole, over, under] = /^(?:(\d+)[ -])?(\d+) ?\/ ?(\d+)$/.exec(text) ?? [];
  if (isFraction === undefined || over === undefined || under === undefined) return decimal(text, written);
  if (BigInt(under) === 0n) throw new Unreadable(`${quoted(written)} divides by zero.`);
  if (whole === undefined) refuseLostSpace(over, under);
  return { over: BigInt(whole ?? 0) * BigInt(under) + BigInt(over), under: BigInt(under) };
}

/** `13/4` may be 1 3/4 without its space. */
function refuseLostSpace(over: string, under: string): void {
  const [above, below] = [BigInt(over), BigInt(under)];
  if (above <= below) return;
  for (let digits = 1; digits < over.length; digits++) {
    const [whole, rest] = [over.slice(0, digits), over.slice(digits)];
    if (rest.startsWith('0') || BigInt(rest) >= below) continue;
    const [times, left] = [above / below, above % below];
    throw new Unreadable(
      `"${over}/${under}" can be read two ways. Write ${whole} ${rest}/${under} or ${left === 0n ? times : `${times} ${left}/${below}`}.`,
    );
  }
}

function decimal(text: string, written: string): Exact {
  if (/^[1-9]\d{0,2}[,.]\d{3}$/.test(text)) {
    const dotted = text.replace(',', '.');
    const asDecimal = dotted.endsWith('0') ? dotted.replace(/0+$/, '').replace(/\.$/, '') : `${dotted}0`;
    throw new Unreadable(`"${text}" can be read two ways. Write ${dotted.replace('.', '')} or ${asDecimal}.`);
  }
  if (/^(?:\d+\.?\d*|\.\d+)$/.test(text)) return ofDecimal(text);
  if (/^(?:\d+,\d*|,\d+)$/.test(text)) return decimal(text.replace(',', '.'), written);
  if (/^\d{1,3}(?:[, ']\d{3})+(?:\.\d+)?$/.test(text)) return ofDecimal(text.replaceAll(/[, ']/g, ''));
  if (/^\d{1,3}(?:[. ']\d{3})+,\d+$/.test(text)) return ofDecimal(text.replaceAll(/[. ']/g, '').replace(',', '.'));
  throw new Unreadable(`${quoted(written)} is not a number. Write it like 1.75, 1,75 or 1 3/4.`);
}

/** A number with a dot for its mark, as programs write it. */
export function ofDecimal(text: string): Exact {
  const [whole = '', decimals = ''] = text.replace('-', '').split('.');
  const over = BigInt(`${whole}${decimals}` || 0);
  return { over: text.startsWith('-') ? -over : over, under: 10n ** BigInt(decimals.length) };
}

/** What was typed, in quotes; of long junk only its beginning. */
function quoted(typed: string): string {
  const signs = [...typed.trim().replaceAll(/\s+/g, ' ')];
  return signs.length <= 40 ? `"${signs.join('')}"` : `"${signs.slice(0, 32).join('')} …"`;
}

export const plus = (one: Exact, other: Exact): Exact => ({
  over: one.over * other.under + other.over * one.under,
  under: one.under * other.under,
});

export const minus = (one: Exact, other: Exact): Exact => plus(one, { over: -other.over, under: other.under });

export const times = (one: Exact, other: Exact): Exact => ({
  over: one.over * other.over,
  under: one.under * other.under,
});

/** As a number that a drawing is made with; nothing of what cannot be read. */
export function asDrawn(typed: string): number | null {
  const number = readOrNull(typed);
  return number && Number(asDecimal(number, 6));
}

/** What was typed as a decimal that a program reads; what cannot be read stays as it is, for the yard to say what is wrong with it. */
export function typedDecimal(typed: string, of: Exact = { over: 1n, under: 1n }): string {
  const number = readOrNull(typed);
  return number === null ? typed : asDecimal(times(number, of), 8);
}

/** Rounded half away from nothing, with so many decimals and no zeros behind them. */
export function asDecimal({ over, under }: Exact, places = 2): string {
  const scale = 10n ** BigInt(places);
  const size = over < 0n ? -over : over;
  const scaled = (size * scale * 2n + under) / (2n * under);
  const digits = scaled.toString().padStart(places + 1, '0');
  const [whole, decimals] = [digits.slice(0, digits.length - places), digits.slice(digits.length - places)];
  const told = `${whole}.${decimals}`.replace(/\.?0*$/, '');
  return over < 0n && scaled > 0n ? `-${told}` : told;
}
