import { isScheme, type Scheme, showScheme } from '../kit/theme';
import { fromPocket, intoPocket } from '../offline/pocket';

const KEPT = 'scheme';

/** The scheme that was chosen on this device. */
export function chosenScheme(): Scheme {
  const kept = fromPocket(KEPT);
  return isScheme(kept) ? kept : 'auto';
}

export function chooseScheme(scheme: Scheme): void {
  intoPocket(KEPT, scheme);
  showScheme(scheme);
}
