import type { Schemas } from '../api/client';
import { now } from '../kit/clock';
import { newId } from './store';

type Without<N> = N extends unknown ? Omit<N, 'id' | 'at'> : never;

/** What somebody tells, before it has an id and a moment. */
export type Told = Without<Schemas['Note']>;

/** A note of it, written just now. */
export const noteOf = (told: Told): Schemas['Note'] =>
  ({ id: newId(), at: now().toISOString(), ...told }) as Schemas['Note'];
