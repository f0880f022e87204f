import { setClock } from '../kit/clock';
import { fromPocket, intoPocket } from '../offline/pocket';

const KEPT = 'clock-ahead';

/** What a clock may be off by while nobody minds, in milliseconds; an answer on its way takes some too. */
const NEAR = 2_000;

/** An answer that took longer does not tell the time well enough. */
const PROMPT = 5_000;

let ahead = Number(fromPocket(KEPT) ?? 0);
setClock(ahead);

/** The yard's clock, as an answer told it that was asked for and came at these moments of the device's. */
export function heardClock(told: string | null, asked: number, came: number): void {
  if (told === null || came - asked > PROMPT) return;
  const off = Date.parse(told) - (asked + came) / 2;
  if (!Number.isFinite(off) || Math.abs(off - ahead) < NEAR) return;
  ahead = Math.abs(off) < NEAR ? 0 : Math.round(off);
  intoPocket(KEPT, String(ahead));
  setClock(ahead);
}
