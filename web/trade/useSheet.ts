import { useOutletContext } from 'react-router';
import type { Schemas } from '../api/client';

/** What a leaf is given: its machine, and how its hours are logged where this person may. */
export type OnLeaf = { sheet: Schemas['MachinePage']; logHours?: () => void };

/** The machine whose leaf this is. */
export const useSheet = (): Schemas['MachinePage'] => useOutletContext<OnLeaf>().sheet;

/** How its hours are logged; nothing where this person may not. */
export const useLogHours = (): OnLeaf['logHours'] => useOutletContext<OnLeaf>().logHours;
