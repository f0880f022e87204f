import { asDecimal, type Exact, ofDecimal, plus, readMeter, readOrNull } from './numbers';

/**
 * What was typed, a step more or less and never below nothing, written the way it was: `1,204.3` becomes `1,204.4`, `1 3/4` by sixteenths `1 13/16`. What
 * is no number stays as it is.
 */
export function stepped(typed: string, step: string, sign: 1 | -1): string {
  const present = typed.trim() === '' ? ofDecimal('0') : readOrNull(typed, readMeter);
  if (present === null) return typed;
  const parts = BigInt(step.split('/')[1] ?? 0);
  return parts > 0n ? inParts(present, parts, sign) : inDecimals(typed, present, step, sign);
}

function inDecimals(typed: string, present: Exact, step: string, sign: 1 | -1): string {
  const by = ofDecimal(step);
  const next = plus(present, { ...by, over: BigInt(sign) * by.over });
  const { mark, apart, decimals } = mannerOf(typed);
  const places = Math.max(decimals, (step.split('.')[1] ?? '').length);
  const [whole = '0', rest = ''] = asDecimal(next.over < 0n ? ofDecimal('0') : next, places).split('.');
  const set = apart === '' ? whole : whole.replaceAll(/\B(?=(\d{3})+$)/g, apart);
  return places === 0 ? set : `${set}${mark}${rest.padEnd(places, '0')}`;
}

/** How somebody writes decimals and thousands. */
function mannerOf(typed: string): { mark: string; apart: string; decimals: number } {
  const text = typed.trim();
  const [, apart] = /^[+-]?\d{1,3}([., '])\d{3}(?:\1\d{3})*(?!\d)/.exec(text) ?? [];
  const [, mark, rest = ''] = /([.,])(\d*)$/.exec(text) ?? [];
  const isMark = mark !== undefined && !(apart === mark && rest.length === 3);
  return { mark: isMark ? mark : apart === '.' ? ',' : '.', apart: apart ?? '', decimals: isMark ? rest.length : 0 };
}

function inParts(present: Exact, parts: bigint, sign: 1 | -1): string {
  const nearest = (2n * present.over * parts + present.under) / (2n * present.under);
  const steps = nearest + BigInt(sign);
  const [whole, rest] = steps <= 0n ? [0n, 0n] : [steps / parts, steps % parts];
  const shared = divisor(rest, parts);
  const over = rest === 0n ? '' : `${rest / shared}/${parts / shared}`;
  return [whole > 0n || rest === 0n ? String(whole) : '', over].filter(Boolean).join(' ');
}

const divisor = (one: bigint, other: bigint): bigint => (other === 0n ? one : divisor(other, one % other));
