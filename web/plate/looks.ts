import type { Schemas } from '../api/client';
import { STATE_WORDS, VERDICT_WORDS } from '../kit/words';
import type { PlateMark } from './Plate';

export type PlateSpot = Schemas['Plate']['spots'][number];

export const KIND_NAMES: Record<Schemas['SpotKind'], string> = {
  compartment: 'Fluids',
  opening: 'Openings',
  part: 'Parts',
  grease_point: 'Grease',
  plain: 'Places',
};

export const KINDS = Object.keys(KIND_NAMES) as Schemas['SpotKind'][];

export const toldWords = (told: Schemas['Told']): string =>
  told === 'watch' || told === 'act' || told === 'stand_down' ? VERDICT_WORDS[told] : STATE_WORDS[told];

const PRESSING: Schemas['Told'][] = ['act', 'due', 'past', 'stand_down'];

export const isPressing = (spot: { told: Schemas['Told'] }): boolean => PRESSING.includes(spot.told);

/** A spot as the plate marks it. */
export const markOf = (spot: PlateSpot): PlateMark => ({
  key: spot.key,
  name: spot.name,
  kind: spot.kind,
  x: spot.x,
  y: spot.y,
  look: spot.told,
  words: `${spot.kind_label}, ${toldWords(spot.told)}`,
  named: spot.kind === 'compartment' || isPressing(spot),
});
