import type { Schemas } from '../api/client';
import { isPressing, type NameOf, of } from '../offline/states';
import { stateWords } from '../trade/words';
import type { PlateMark } from './Plate';
import type { SpotLook } from './SpotShape';

export type PlateSpot = Schemas['Plate']['spots'][number];

export const KIND_NAMES: Record<Schemas['SpotKind'], string> = {
  compartment: 'Fluids',
  opening: 'Openings',
  part: 'Parts',
  grease_point: 'Grease',
  plain: 'Places',
};

export const KINDS = Object.keys(KIND_NAMES) as Schemas['SpotKind'][];

/** Told without colour too: empty is fresh, half full comes nearer or is watched, full presses, hatched was never told. */
const LOOKS: Record<NameOf<Schemas['Told']>, SpotLook> = {
  fresh: 'empty',
  unknown: 'hatched',
  watch: 'half',
  nearing: 'half',
  act: 'full',
  due: 'full',
  past: 'full',
  stand_down: 'down',
};

export const lookOf = (told: Schemas['Told']): SpotLook => of(told, LOOKS);

/** A spot as the plate marks it. */
export const markOf = (spot: PlateSpot): PlateMark => ({
  key: spot.key,
  name: spot.name,
  kind: spot.kind,
  x: spot.x,
  y: spot.y,
  look: lookOf(spot.told),
  words: `${spot.kind_label}, ${stateWords(spot.told)}`,
  named: spot.kind === 'compartment' || isPressing(spot.told),
});
