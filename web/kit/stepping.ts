/** `1 3/4` plus or minus a step of `1/16`, written the way the step is. */
export function stepped(value: string, step: string, sign: 1 | -1): string {
  const present = fraction(value);
  if (present === null) return value;
  const [, parts] = step.split('/').map(Number);
  if (!parts) {
    const decimals = (step.split('.')[1] ?? '').length;
    return Math.max(0, present + sign * Number(step)).toFixed(
      Math.max(decimals, (value.split(/[.,]/)[1] ?? '').length),
    );
  }
  const steps = Math.max(0, Math.round(present * parts) + sign);
  const [whole, rest] = [Math.floor(steps / parts), steps % parts];
  const shared = divisor(rest, parts);
  const over = rest === 0 ? '' : `${rest / shared}/${parts / shared}`;
  return [whole > 0 || rest === 0 ? String(whole) : '', over].filter(Boolean).join(' ');
}

function fraction(value: string): number | null {
  const [, whole, over, under] = /^\s*(?:(\d+(?:[.,]\d+)?)(?![\d/]))?\s*(?:(\d+)\s*\/\s*(\d+))?/.exec(value) ?? [];
  if (value.trim() === '') return 0;
  const number = Number((whole ?? '0').replace(',', '.')) + (over ? Number(over) / Number(under) : 0);
  return Number.isFinite(number) ? number : null;
}

const divisor = (one: number, other: number): number => (other === 0 ? one : divisor(other, one % other));
