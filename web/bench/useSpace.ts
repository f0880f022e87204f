import { STEP_KEYS } from '../shell/keys';
import { useKeys } from '../shell/useKeys';

/** The space bar does what the large press does, wherever nothing else is pressed by it. */
export function useSpace(press: (() => void) | undefined): void {
  useKeys(STEP_KEYS, () => press?.());
}
