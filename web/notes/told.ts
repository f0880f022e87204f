import type { Schemas } from '../api/client';
import { deviceNow } from '../offline/deviceTime';
import { newId } from '../offline/note';

type Without<N> = N extends unknown ? Omit<N, 'id' | 'at'> : never;

/** What somebody tells, before it has an id and a moment. */
export type Told = Without<Schemas['Note']>;

/** A note of it, written just now by the device's own clock: the yard puts right what that says. */
export const noteOf = (told: Told): Schemas['Note'] =>
  ({ id: newId(), at: deviceNow().toISOString(), ...told }) as Schemas['Note'];
