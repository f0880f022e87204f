import { usePressGuard } from '../kit/presses';
import { ROUND_KEYS } from '../trade/keys';
import { useKeys } from '../trade/useKeys';

/** Keys `1`, `2`, `3` for what can be pressed, in this order. */
export function useDigits(...presses: ((() => void) | undefined)[]): void {
  const { end } = usePressGuard();
  useKeys(ROUND_KEYS, (pressed) => end(presses[ROUND_KEYS.indexOf(pressed)]));
}
