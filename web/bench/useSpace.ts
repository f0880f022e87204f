import { usePressGuard } from '../kit/presses';
import { STEP_KEYS } from '../trade/keys';
import { useKeys } from '../trade/useKeys';

/** The space bar does what the large press does, wherever nothing else is pressed by it. */
export function useSpace(press: (() => void) | undefined): void {
  const { end } = usePressGuard();
  useKeys(STEP_KEYS, () => end(press));
}
