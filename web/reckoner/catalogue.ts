import type { Calculator } from './calculator';
import { FLUID_CALCULATORS } from './calculators/fluids';
import { HOUR_CALCULATORS } from './calculators/hours';
import { JOB_CALCULATORS } from './calculators/jobs';
import { MEASURING_CALCULATORS } from './calculators/measuring';

/** All calculators, in the groups in which they are offered. */
export const GROUPS: readonly { heading: string; calculators: readonly Calculator[] }[] = [
  { heading: 'Measured', calculators: MEASURING_CALCULATORS },
  { heading: 'Fluids', calculators: FLUID_CALCULATORS },
  { heading: 'Hours', calculators: HOUR_CALCULATORS },
  { heading: 'Jobs', calculators: JOB_CALCULATORS },
];

export const calculatorNamed = (name: string): Calculator | undefined =>
  GROUPS.flatMap(({ calculators }) => calculators).find((one) => one.name === name);

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
