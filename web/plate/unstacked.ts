export type Place = { x: number; y: number };

const ROUNDS = 120;
const GOLDEN = 2.399963;

/** Places moved apart until marks of a size cover each other no more, each as near to its own as that allows, and all within the frame. */
export function unstacked(places: Place[], size: number, width: number, height: number): Place[] {
  const half = size / 2;
  const within = ({ x, y }: Place): Place => ({
    x: Math.min(width - half, Math.max(half, x)),
    y: Math.min(height - half, Math.max(half, y)),
  });
  let at = places.map(within);
  for (let round = 0; round < ROUNDS; round++) {
    const pushed = at.map(({ x, y }) => ({ x, y }));
    let touching = false;
    at.forEach((one, i) => {
      for (let j = i + 1; j < at.length; j++) {
        const other = at[j] as Place;
        const apart = Math.hypot(other.x - one.x, other.y - one.y);
        if (apart >= size) continue;
        touching = true;
        const angle = apart < 0.5 ? j * GOLDEN : Math.atan2(other.y - one.y, other.x - one.x);
        const push = (size - apart) / 2 + 0.5;
        const [near, far] = [pushed[i] as Place, pushed[j] as Place];
        near.x -= Math.cos(angle) * push * 0.5;
        near.y -= Math.sin(angle) * push * 0.5;
        far.x += Math.cos(angle) * push * 0.5;
        far.y += Math.sin(angle) * push * 0.5;
      }
    });
    at = pushed.map(within);
    if (!touching) break;
  }
  return at;
}
