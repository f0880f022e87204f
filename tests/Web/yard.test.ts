import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { byYard, now, setClock, setZone } from '../../web/kit/clock';
import { clockTime, dayBefore, dayOf, instant, listed, sinceDay, today } from '../../web/kit/format';
import { type BookLine, foldedByWeek } from '../../web/logbook/weeks';

beforeEach(() => {
  vi.useFakeTimers();
  setZone('Europe/London');
});
afterEach(() => {
  vi.useRealTimers();
  setClock(0);
});

/** Clocks went back from 02:00 to 01:00 in the night to 25 October 2026, and forward from 01:00 to 02:00 in that to 29 March. */
describe('the yard in the night in which its clocks are changed', () => {
  it.each([
    ['2026-10-24T22:59:00Z', '2026-10-24', '23:59'],
    ['2026-10-24T23:00:00Z', '2026-10-25', '00:00'],
    ['2026-10-25T00:30:00Z', '2026-10-25', '01:30'],
    ['2026-10-25T01:30:00Z', '2026-10-25', '01:30'],
    ['2026-10-25T23:59:00Z', '2026-10-25', '23:59'],
    ['2026-03-29T00:59:00Z', '2026-03-29', '00:59'],
    ['2026-03-29T01:00:00Z', '2026-03-29', '02:00'],
    ['2026-03-28T23:59:00Z', '2026-03-28', '23:59'],
  ])('%s is %s, %s', (at, day, time) => {
    expect([dayOf(at), clockTime(at)]).toEqual([day, time]);
  });

  it('has one day before and one after it', () => {
    expect([dayBefore('2026-10-26'), dayBefore('2026-10-25'), dayBefore('2026-03-30')]).toEqual([
      '2026-10-25',
      '2026-10-24',
      '2026-03-29',
    ]);
    expect([sinceDay('2026-10-24', '2026-10-26'), sinceDay('2026-10-25', '2026-10-26')]).toEqual([
      'Saturday',
      'yesterday',
    ]);
    expect([sinceDay('2026-10-26', '2026-10-26'), sinceDay('2026-10-03', '2026-10-26')]).toEqual([
      'today',
      '23 days ago',
    ]);
  });
});

describe('the yard on a device that is elsewhere or goes wrong', () => {
  it.each(['Pacific/Auckland', 'America/Los_Angeles'])('keeps its own days for a device of %s', (zone) => {
    vi.stubEnv('TZ', zone);
    expect([dayOf('2026-11-30T22:59:00Z'), instant('2026-11-30T22:59:00Z', false)]).toEqual([
      '2026-11-30',
      '30 Nov 2026, 22:59',
    ]);
    vi.unstubAllEnvs();
  });

  it('is an hour behind a device that is an hour ahead', () => {
    vi.setSystemTime('2026-05-14T23:30:00Z');
    expect(today()).toBe('2026-05-15');
    setClock(-3_600_000);
    expect([today(), now().toISOString()]).toEqual(['2026-05-14', '2026-05-14T22:30:00.000Z']);
    expect(clockTime(byYard('2026-05-14T23:30:00Z').getTime())).toBe('23:30');
  });

  it.each(['Europe/London', 'Pacific/Auckland'])('folds readings by its own weeks on a device of %s', (zone) => {
    vi.stubEnv('TZ', zone);
    const reading = (id: number, happened_at: string) =>
      ({
        id,
        kind: 'reading',
        struck: null,
        note: null,
        confirmed_because: null,
        corrects_id: null,
        happened_at,
        readings: [],
      }) as never;
    // Monday 00:30 and Sunday 23:30 in London lie in two weeks, Sunday 23:30 and the Monday before in one.
    const lines = foldedByWeek([
      reading(3, '2026-10-25T23:59:00Z'),
      reading(2, '2026-10-19T08:00:00Z'),
      reading(1, '2026-10-18T22:30:00Z'),
    ]) as BookLine[];
    expect(lines.map((line) => ('week' in line ? [line.week, line.readings.length] : 'one'))).toEqual([
      ['2026-10-19', 2],
      'one',
    ]);
    vi.unstubAllEnvs();
  });
});

describe('words', () => {
  it('are listed', () => {
    expect([listed([]), listed(['brakes']), listed(['brakes', 'blades']), listed(['a', 'b', 'c', 'd'], 2)]).toEqual([
      '',
      'brakes',
      'brakes and blades',
      'a, b and 2 more',
    ]);
  });
});
