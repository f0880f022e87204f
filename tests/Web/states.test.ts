import { describe, expect, it } from 'vitest';
import { readVolume, shownMl } from '../../web/offline/amounts';
import { named, nameOf, type State } from '../../web/offline/names';
import { fillingAt, isTooMuch, pouredAt, rowOf, toppingUp } from '../../web/offline/pour';
import { judgeQuickly } from '../../web/offline/quickLimit';
import { type Answered, asked, type Check, type Found, outcomeOf } from '../../web/offline/round';
import {
  harderFirst,
  hardest,
  isComing,
  isFine,
  isPressing,
  of,
  readState,
  standsDown,
  type Verdict,
  written,
} from '../../web/offline/states';
import amounts from './cases/amounts.json';
import limits from './cases/limits.json';
import rounds from './cases/rounds.json';
import states from './cases/states.json';

describe('a state', () => {
  it.each(states)('$one beside $other stands as the yard has it', ({ one, other, harder, coming, pressing, fine }) => {
    const [a, b] = [one, other].map((name) => named(name as never) as State) as [State, State];
    expect(Math.sign(harderFirst(b, a))).toBe(harder);
    expect(nameOf(hardest([a, b]) ?? a)).toBe(harder < 0 ? other : one);
    expect([isComing(a), isPressing(a), isFine(a)]).toEqual([coming, pressing, fine]);
  });

  it('is neither compared with what it is called nor put in order by anybody else', () => {
    const compared = (verdict: Verdict, other: Verdict) => [
      // @ts-expect-error: what a state is called is not what it is
      verdict === 'fit',
      // @ts-expect-error: nor is it larger than another
      verdict > other,
      // @ts-expect-error: nor written where words are
      `${verdict}`,
    ];
    expect(compared(named('fit'), named('act'))).toHaveLength(3);
  });

  it('is looked up, and nothing is where there is none', () => {
    expect(of(named('due'), { due: 'now' })).toBe('now');
    expect(written(readState('due', { due: 1 }))).toBe('due');
    expect(readState('constructor', { due: 1 })).toBeUndefined();
    expect([isFine(null), isPressing(undefined), standsDown(null), hardest([])]).toEqual([
      false,
      false,
      false,
      undefined,
    ]);
  });
});

type Round = {
  checks: Check[];
  told: Record<string, string | null>;
  found: Found[];
  stood_down: boolean;
  asked: string[];
  verdict: string | null;
  not_judged: string[];
};

describe('a round on a phone', () => {
  it.each((rounds as Round[]).map((one, index) => [index, one] as const))(
    'asks and comes to what the yard says: %i',
    (_, { checks, told, found, stood_down, asked: keys, verdict, not_judged }) => {
      const answers = Object.fromEntries(
        Object.entries(told).map(([key, said]): [string, Answered] => [
          key,
          { note: '', said: 'measured', verdict: said && (named(said as never) as Verdict), words: '' } as Answered,
        ]),
      );
      // What was passed over is as good as not told.
      for (const { key } of checks)
        answers[key] ??= { note: '', said: 'not_looked', verdict: null, words: 'not looked at' };
      expect([...found.map(({ check }) => check), ...asked(checks, found, answers).map(({ key }) => key)]).toEqual(
        keys,
      );
      const outcome = outcomeOf(checks, found, answers, stood_down);
      expect([outcome.verdict && nameOf(outcome.verdict), outcome.notJudged]).toEqual([verdict, not_judged]);
    },
  );
});

describe('an amount', () => {
  it.each(amounts as { typed: string; ml?: number }[])('$typed is read as the yard reads it', ({ typed, ml }) => {
    if (ml === undefined) expect(() => readVolume(typed)).toThrow();
    else expect(readVolume(typed)).toBe(ml);
  });

  it('is shown to the hundredth of a litre', () => {
    expect([180, 1000, 1005, 1650, 12480].map(shownMl)).toEqual(['180 mL', '1 L', '1.01 L', '1.65 L', '12.48 L']);
  });
});

describe('a filling', () => {
  const asks = {
    stages: [{ total_ml: 1200 }, { total_ml: 1600 }],
    asked_over_ml: 1980,
  };
  it.each([
    [0, 1200, false],
    [500, 700, false],
    [1200, 400, true],
    [1600, null, true],
  ])('with %i mL in goes on with %s', (inside, proposed, isFirstIn) => {
    expect(fillingAt(asks, inside)).toMatchObject({ proposed, isFirstIn });
  });

  it('asks over what can be, and not at it', () => {
    expect([isTooMuch(asks, 1500, 480), isTooMuch(asks, 1500, 481), isTooMuch(asks, 1500, null)]).toEqual([
      false,
      true,
      false,
    ]);
    expect(isTooMuch({ asked_over_ml: null }, 0, 99999)).toBe(false);
    expect(fillingAt({}, 100)).toMatchObject({ proposed: null, isFirstIn: false });
  });

  it('counts what was poured at its own steps', () => {
    const told = [
      { step: 'a', did: 'poured', said: { ml: 200 } },
      { step: 'b', did: 'poured', said: { ml: 50 } },
      { step: 'a', did: 'done', said: {} },
    ];
    expect([pouredAt(told, 'a'), pouredAt(told, 'a', 'b'), pouredAt(told)]).toEqual([200, 250, 0]);
  });

  it.each([
    ['right', 0, true, false, false],
    ['enough', 0, false, false, true],
    ['enough', 100, true, false, false],
    ['low', 100, false, false, true],
    ['over', 100, false, true, false],
  ] as const)('a level that is %s after %i mL', (stands, poured, isRight, isOver, asksPour) => {
    expect(toppingUp({ stands, missing_ml: 80 }, poured)).toEqual({ isRight, isOver, asksPour, proposed: 80 });
  });

  it('reads a table from its row on', () => {
    const rows = [{ from_ml: 0 }, { from_ml: 900 }, { from_ml: 1101 }];
    expect([0, 899, 900, 1100, 1101].map((ml) => rowOf(rows, ml)?.from_ml)).toEqual([0, 0, 900, 900, 1101]);
    expect(rowOf([], 5)).toBeUndefined();
  });
});

type Limit = { quick: Parameters<typeof judgeQuickly>[0]; entered: Record<string, string>; verdict: string | null };

describe('a limit made ready', () => {
  const judged = (limits as unknown as Limit[]).map((one) => ({
    ...one,
    quickly: judgeQuickly(one.quick, one.entered),
  }));

  it.each(judged.map((one, index) => [index, one] as const))(
    'says what the yard says, or nothing: %i',
    (_, { quickly, verdict }) => {
      if (quickly) expect(nameOf(quickly.verdict)).toBe(verdict);
    },
  );

  it('says it of most of what can be said', () => {
    const said = judged.filter(({ verdict }) => verdict !== null);
    expect(said.filter(({ quickly }) => quickly !== null).length).toBeGreaterThan(said.length / 3);
  });
});
