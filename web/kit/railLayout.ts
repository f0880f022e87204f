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

/** Two rows of labels; a repetition, and a stake for whose label there is no room, stands alone and says its label when pressed. */
export function placeStakes(stakes: Schemas['Stake'][], scale: RailScale, words: (stake: Schemas['Stake']) => string): PlacedStake[] {
  const taken: [number, number] = [0, 0];
  const placed = stakes
    .map((stake) => ({ stake, at: scale.toX(Number(stake.at)) }))
    .filter(({ at }) => at <= scale.width)
    .map(({ stake, at }) => ({ stake, x: Math.max(1, at), before: at < 0 }));
  return placed.map(({ stake, x, before }) => {
    const bare = { stake, x, before, row: null, room: 0, leftward: false };
    if (stake.again) return bare;
    const wanted = words(stake).length * CHARACTER + 16;
    for (const row of [0, 1] as const) {
      if (x < taken[row]) continue;
      const rightRoom = Math.min(wanted, scale.width - x - GAP);
      if (rightRoom >= Math.min(wanted, LEAST_ROOM * 1.4)) {
        taken[row] = x + rightRoom + 6;
        return { stake, x, before, row, room: rightRoom, leftward: false };
      }
      const leftRoom = Math.min(wanted, x - taken[row] - GAP);
      if (leftRoom >= Math.min(wanted, LEAST_ROOM)) {
        taken[row] = x + 6;
        return { stake, x, before, row, room: leftRoom, leftward: true };
      }
    }
    return bare;
  });
}

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
