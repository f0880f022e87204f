import type { Schemas } from '../api/client';

export type RailScale = { toX: (at: number) => number; from: number; to: number; now: number; width: number };

export type PlacedStake = {
  stake: Schemas['Stake'];
  x: number;
  /** Behind the rail's beginning: drawn at its edge. */
  before: boolean;
  /** Of its label; null where it stands alone. */
  row: 0 | 1 | null;
  /** Pixels the label may take; 0 where there is no room for it. */
  room: number;
  /** The label stands left of its stake. */
  leftward: boolean;
  /** There is room for its name, not for its days. */
  cut: boolean;
};

const LEAST_ROOM = 84;
const CHARACTER = 7.1;
/** Between a stake and its label. */
export const GAP = 3;

export function railScale(rail: Schemas['Rail'], width: number): RailScale {
  const from = Number(rail.from);
  const to = Number(rail.to);
  return { from, to, now: Number(rail.now), width, toX: (at) => ((at - from) / (to - from)) * width };
}

const URGENCY: Schemas['RuleState'][] = ['past', 'due', 'nearing', 'unknown', 'fresh'];

/**
 * Two rows of labels, given first to what presses most and then to the bigger services. A repetition, and a stake for whose label there is no room,
 * stands alone and says its label when pressed.
 */
export function placeStakes(stakes: Schemas['Stake'][], scale: RailScale, words: (stake: Schemas['Stake']) => string): PlacedStake[] {
  const taken: [number, number][][] = [[], []];
  const free = (row: 0 | 1, from: number, to: number) =>
    from >= 0 && to <= scale.width && (taken[row] ?? []).every(([begins, ends]) => to + 4 < begins || from - 4 > ends);
  const placed = stakes
    .map((stake) => ({ stake, at: scale.toX(Number(stake.at)) }))
    .filter(({ at }) => at <= scale.width)
    .map(({ stake, at }): PlacedStake => ({ stake, x: Math.max(1, at), before: at < 0, row: null, room: 0, leftward: false, cut: false }));
  const pressing = placed
    .filter(({ stake }) => !stake.again)
    .sort(
      (one, other) =>
        URGENCY.indexOf(one.stake.state) - URGENCY.indexOf(other.stake.state) || other.stake.weight - one.stake.weight || one.x - other.x,
    );
  for (const place of pressing) {
    const full = roomFor(words(place.stake));
    const short = roomFor(place.stake.label);
    const least = Math.min(short, LEAST_ROOM * 1.6);
    for (const [room, cut] of [
      [full, false],
      [short, true],
      [least, true],
    ] as const) {
      const found = ([0, 1] as const)
        .flatMap((row) => [
          { row, leftward: false, from: place.x + GAP },
          { row, leftward: true, from: place.x - GAP - room },
        ])
        .find(({ row, from, leftward }) => !(leftward && room < short) && free(row, from, from + room));
      if (found) {
        Object.assign(place, { row: found.row, leftward: found.leftward, room, cut });
        taken[found.row]?.push([found.from, found.from + room]);
        break;
      }
    }
  }
  return placed;
}

const roomFor = (words: string): number => words.length * CHARACTER + 16;

/** Ruled marks: every tenth part of a labelled one. */
export function ticks(scale: RailScale): { x: number; value: number; labelled: boolean }[] {
  const span = scale.to - scale.from;
  const rough = (span / Math.max(2, scale.width / 150)) * 1.01;
  const power = 10 ** Math.floor(Math.log10(rough));
  const large = ([1, 2, 5, 10].find((factor) => factor * power >= rough) ?? 10) * power;
  const small = large / 5;
  const marks = [];
  for (let index = Math.ceil(scale.from / small); index * small <= scale.to; index++) {
    const value = index * small;
    if (value >= 0) marks.push({ x: scale.toX(value), value, labelled: index % 5 === 0 });
  }
  return marks;
}
