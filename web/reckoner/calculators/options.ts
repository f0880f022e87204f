import { FLUID_WORDS, SEEN as SEEN_OPTIONS } from '../../fluids/words';
import { COMPARTMENT_WORDS } from '../../trade/words';

export const COMPARTMENTS = Object.entries(COMPARTMENT_WORDS);
export const FLUIDS = Object.entries(FLUID_WORDS);
export const SEEN = SEEN_OPTIONS.map(({ value, label }) => [value, label] as const);
export const CHEMISTRIES = [
  ['', 'not said'],
  ['iat', 'IAT, inorganic'],
  ['oat', 'OAT, organic acid'],
  ['hoat', 'HOAT, hybrid'],
  ['glycol', 'glycol (DOT 3, 4, 5.1)'],
  ['silicone', 'silicone (DOT 5)'],
] as const;
