import { scaleLinear } from 'd3-scale';
import type { Schemas } from '../api/client';
import { harderFirst } from '../offline/states';

type Stake = Schemas['Stake'];

export type RailScale = { toX: (at: number) => number; from: number; to: number; now: number; width: number };

/** How much room a rail gives: rows of labels, a row of bare stakes above the ruler, and how large the finger's targets are. Pixels from its top. */
export type RailMeasure = {
  target: number;
  labelRows: readonly number[];
  bareRow: number;
  ground: number;
  height: number;
};

const DESK: RailMeasure = { target: 24, labelRows: [0, 24], bareRow: 48, ground: 76, height: 104 };

/** For thumbs: one row of large targets. */
const NARROW: RailMeasure = { target: 48, labelRows: [], bareRow: 10, ground: 66, height: 94 };

const NARROW_UP_TO = 420;

export const railMeasure = (width: number): RailMeasure => (width <= NARROW_UP_TO ? NARROW : DESK);

export type PlacedStake = {
  stake: Stake;
  x: number;
  /** Behind the rail's beginning: drawn at its edge. */
  before: boolean;
};

/** What is pressed: one stake, or several that would crowd each other. */
export type RailMark = {
  stakes: PlacedStake[];
  /** Which row of labels; null for the row of bare stakes. */
  row: number | null;
  left: number;
  width: number;
  /** What is written on it; nothing where the stake stands bare. */
  text: string;
  /** The text stands left of its stake. */
  leftward: boolean;
};

const LEAST_ROOM = 134;
const CHARACTER = 7.1;
/** Between a stake and its label. */
const GAP = 3;

export function railScale(rail: Schemas['Rail'], width: number): RailScale {
  const from = Number(rail.from);
  const to = Number(rail.to);
  return { from, to, now: Number(rail.now), width, toX: scaleLinear([from, to], [0, width]) };
}

/**
 * Every stake of a rail on a mark of its own or on one shared with those that would crowd it; in the order in which they stand. Labels go first to what presses
 * most and then to the bigger services; repetitions stand bare.
 */
export function placeStakes(
  stakes: Stake[],
  scale: RailScale,
  measure: RailMeasure,
  words: (stake: Stake) => string,
): RailMark[] {
  const placed = stakes.map((stake): PlacedStake => {
    const x = scale.toX(Number(stake.at));
    return { stake, x: Math.min(scale.width - 1, Math.max(1, x)), before: x < 0 };
  });
  const labelled = labels(placed, scale.width, measure, words);
  const bare = placed.filter((place) => !labelled.some(({ stakes: [of] }) => of === place));
  return [...labelled, ...widened(gathered(bare, scale.width, measure.target), scale.width, measure, words)].sort(
    (one, other) => middle(one.stakes) - middle(other.stakes),
  );
}

/** In the rows of labels: those for which there is room. */
function labels(
  placed: PlacedStake[],
  width: number,
  measure: RailMeasure,
  words: (stake: Stake) => string,
): RailMark[] {
  const marks: RailMark[] = [];
  const rows = measure.labelRows.map((_, row) => row);
  const free = (row: number, left: number, room: number) =>
    left >= 0 &&
    left + room <= width &&
    marks.every((mark) => mark.row !== row || left + room + 4 < mark.left || left - 4 > mark.left + mark.width);
  for (const place of byUrgency(placed)) {
    const short = roomFor(place.stake.label);
    for (const [text, room] of [
      [words(place.stake), roomFor(words(place.stake))],
      [place.stake.label, short],
      [place.stake.label, Math.min(short, LEAST_ROOM)],
    ] as const) {
      const found = rows
        .flatMap((row) => [
          { row, leftward: false, left: place.x + GAP },
          { row, leftward: true, left: place.x - GAP - room },
        ])
        .find(({ row, left, leftward }) => !(leftward && room < short) && free(row, left, room));
      if (found) {
        marks.push({ stakes: [place], text, width: room, ...found });
        break;
      }
    }
  }
  return marks;
}

/** In the row of bare stakes: those whose targets would lie on each other share one. */
function gathered(placed: PlacedStake[], width: number, target: number): RailMark[] {
  const marks: RailMark[] = [];
  for (const place of placed) {
    let mark = shared([place], width, target);
    for (let before = marks.at(-1); before && before.left + before.width > mark.left; before = marks.at(-1)) {
      mark = shared([...before.stakes, ...mark.stakes], width, target);
      marks.pop();
    }
    marks.push(mark);
  }
  return marks;
}

function shared(stakes: PlacedStake[], width: number, target: number): RailMark {
  const text = stakes.length === 1 ? '' : `${stakes.length} here`;
  const room = text === '' ? target : Math.max(target, roomFor(text));
  const left = Math.max(0, Math.min(width - room, middle(stakes) - room / 2));
  return { stakes, row: null, left, width: room, text, leftward: false };
}

/** Where there are no rows of labels, a stake alone says its name as far as its neighbours let it. */
function widened(marks: RailMark[], width: number, measure: RailMeasure, words: (stake: Stake) => string): RailMark[] {
  if (measure.labelRows.length > 0) return marks;
  return marks.map((mark, index) => {
    const [alone] = mark.stakes;
    const end = Math.min(width, (marks[index + 1]?.left ?? width + GAP) - GAP);
    if (!alone || mark.stakes.length > 1 || alone.stake.again || end - mark.left < LEAST_ROOM) return mark;
    const full = roomFor(words(alone.stake));
    return {
      ...mark,
      text: full <= end - mark.left ? words(alone.stake) : alone.stake.label,
      width: Math.min(full, end - mark.left),
    };
  });
}

const byUrgency = (placed: PlacedStake[]): PlacedStake[] =>
  placed
    .filter(({ stake }) => !stake.again)
    .sort(
      (one, other) =>
        harderFirst(one.stake.state, other.stake.state) || other.stake.weight - one.stake.weight || one.x - other.x,
    );

const middle = (stakes: PlacedStake[]): number => stakes.reduce((sum, { x }) => sum + x, 0) / stakes.length;

const roomFor = (words: string): number => words.length * CHARACTER + 16;

/** Of a labelled mark: the least that keeps its number clear of the next. */
const LABEL_ROOM = 210;

/** Ruled marks, and those among them that carry their number. */
export function ticks({ from, to, width, toX }: RailScale): { x: number; value: number; labelled: boolean }[] {
  const along = scaleLinear([from, to], [0, width]);
  const large = Math.max(2, Math.floor(width / LABEL_ROOM));
  const labelled = new Set(along.ticks(large));
  return along
    .ticks(large * 5)
    .filter((value) => value >= 0)
    .map((value) => ({ x: toX(value), value, labelled: labelled.has(value) }));
}
