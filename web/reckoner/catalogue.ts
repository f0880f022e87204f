import { $api } from '../api/client';
import type { Calculator } from './calculator';

/** All calculators, in the groups in which they are offered. */
export const calculatorsQuery = $api.queryOptions('get', '/reckon', undefined, {
  staleTime: Number.POSITIVE_INFINITY,
});

/** Whether somebody who asks so means this one: every word is in its title or in what it answers. */
export function answers({ title, asks, name }: Calculator, asked: string): boolean {
  const told = [title, name, ...asks].join(' ').toLowerCase();
  return asked
    .toLowerCase()
    .split(/[^\p{L}\p{N}·-]+/u)
    .filter((word) => word.length > 1 && !IDLE.has(word))
    .every((word) => told.includes(word.length > 3 ? word.replace(/s$/, '') : word));
}

const IDLE = new Set([
  'how',
  'much',
  'many',
  'is',
  'it',
  'my',
  'the',
  'do',
  'does',
  'what',
  'to',
  'of',
  'in',
  'an',
  'can',
  'need',
]);
