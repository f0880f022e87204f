import { describe, expect, it } from 'vitest';
import {
  asDecimal,
  type Exact,
  minus,
  ofDecimal,
  plus,
  readMeter,
  readNumber,
  times,
  Unreadable,
} from '../../web/offline/numbers';
import { stepped } from '../../web/offline/stepping';
import cases from './cases/numbers.json';

type Case = { typed: string; number?: string; says?: string; of_meter: string | null };

/** As the core writes it: `7/4`, `-12`. */
function simplified({ over, under }: Exact): string {
  const divisor = (one: bigint, other: bigint): bigint => (other === 0n ? one : divisor(other, one % other));
  const shared = divisor(over < 0n ? -over : over, under) || 1n;
  return under / shared === 1n ? `${over / shared}` : `${over / shared}/${under / shared}`;
}

function read(typed: string, by: (typed: string) => Exact): { number?: string; says?: string } {
  try {
    return { number: simplified(by(typed)) };
  } catch (thrown) {
    if (!(thrown instanceof Unreadable)) throw thrown;
    return { says: thrown.message };
  }
}

describe('a number', () => {
  it.each(cases as Case[])('is read as the yard reads it: $typed', ({ typed, number, says, of_meter }) => {
    expect(read(typed, readNumber)).toEqual(number === undefined ? { says } : { number });
    expect(read(typed, readMeter).number ?? null).toBe(of_meter);
  });

  it.each([
    ['1.005', 2, '1.01'],
    ['-1.005', 2, '-1.01'],
    ['0.004', 2, '0'],
    ['-0.004', 2, '0'],
    ['1204.30', 2, '1204.3'],
    ['7', 0, '7'],
    ['0.5', 0, '1'],
    ['100', 0, '100'],
  ])('%s to %i decimals is %s', (number, places, told) => expect(asDecimal(ofDecimal(number), places)).toBe(told));

  it('is added, taken off and multiplied exactly', () => {
    const [tenth, third] = [ofDecimal('0.1'), readNumber('1/3')];
    expect(simplified(plus(tenth, ofDecimal('0.2')))).toBe('3/10');
    expect(simplified(minus(third, tenth))).toBe('7/30');
    expect(simplified(times(third, ofDecimal('3')))).toBe('1');
  });
});

describe('a step more or less', () => {
  it.each([
    ['1,204.3', '0.1', 1, '1,204.4'],
    ['1,204.3', '0.1', -1, '1,204.2'],
    ['1,199.95', '0.1', 1, '1,200.05'],
    ['999.9', '0.1', 1, '1000.0'],
    ['12,480', '1', 1, '12,481'],
    ['12480', '1', 1, '12481'],
    ['1 204,3', '0.1', 1, '1 204,4'],
    ['1.204,3', '0.1', -1, '1.204,2'],
    ["1'204.3", '1', 1, "1'205.3"],
    ['412.6', '0.1', 1, '412.7'],
    ['412,6', '0.1', 1, '412,7'],
    ['412', '0.1', 1, '412.1'],
    ['12.55', '0.1', -1, '12.45'],
    ['', '0.1', 1, '0.1'],
    ['0', '0.1', -1, '0.0'],
    ['0.05', '0.1', -1, '0.00'],
    ['1 3/4', '1/16', 1, '1 13/16'],
    ['1 15/16', '1/16', 1, '2'],
    ['1/16', '1/16', -1, '0'],
    ['1.75', '1/16', -1, '1 11/16'],
    ['½', '1/8', 1, '5/8'],
    ['abc', '0.1', 1, 'abc'],
    ['13/4', '1/16', 1, '13/4'],
    ['12 h', '0.1', -1, '12 h'],
    ['1.2.3', '0.1', 1, '1.2.3'],
  ] as const)('%s by %s, %i: %s', (typed, step, sign, next) => expect(stepped(typed, step, sign)).toBe(next));
});
