import type { Place } from './unstacked';

type Box = { left: number; top: number; width: number; height: number };

const LETTER = 7.3;
const LINE = 18;

/** How far two boxes cover each other. */
const overlap = (one: Box, other: Box): number =>
  Math.max(0, Math.min(one.left + one.width, other.left + other.width) - Math.max(one.left, other.left)) *
  Math.max(0, Math.min(one.top + one.height, other.top + other.height) - Math.max(one.top, other.top));

const beyond = (box: Box, width: number, height: number): number =>
  box.left < 0 || box.top < 0 || box.left + box.width > width || box.top + box.height > height ? 10_000 : 0;

/** Where the names of some marks are written: below, above or beside each, wherever they hide least. */
export function labelled(
  marks: Place[],
  names: { index: number; name: string }[],
  size: number,
  width: number,
  height: number,
): { index: number; name: string; left: number; top: number }[] {
  const half = size / 2;
  const taken: Box[] = marks.map(({ x, y }) => ({ left: x - half, top: y - half, width: size, height: size }));
  return names.map(({ index, name }) => {
    const { x, y } = marks[index] as Place;
    const wide = name.length * LETTER;
    const sides: Box[] = [
      { left: x - wide / 2, top: y + half - 1, width: wide, height: LINE },
      { left: x - wide / 2, top: y - half - LINE + 1, width: wide, height: LINE },
      { left: x + half, top: y - LINE / 2, width: wide, height: LINE },
      { left: x - half - wide, top: y - LINE / 2, width: wide, height: LINE },
    ];
    const hidden = (box: Box): number =>
      taken.reduce((sum, other) => sum + overlap(box, other), 0) + beyond(box, width, height);
    const best = sides.reduce((least, side) => (hidden(side) < hidden(least) ? side : least));
    taken.push(best);
    return { index, name, left: best.left, top: best.top };
  });
}
