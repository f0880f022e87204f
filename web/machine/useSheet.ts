import { useOutletContext } from 'react-router';
import type { Schemas } from '../api/client';

/** The machine whose leaf this is. */
export const useSheet = (): Schemas['MachinePage'] => useOutletContext<Schemas['MachinePage']>();
