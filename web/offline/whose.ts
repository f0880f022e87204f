import { fromPocket, intoPocket, outOfPocket } from './pocket';

const NAME = 'person';

/** Whose everything is that is kept on this device; nobody's where nobody is signed in. */
export function whose(): number | null {
  return Number(fromPocket(NAME)) || null;
}

/** From here on it is theirs. */
export function becomes(person: number | null): void {
  if (person === null) outOfPocket(NAME);
  else if (person !== whose()) intoPocket(NAME, String(person));
}
