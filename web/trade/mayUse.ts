import type { Schemas } from '../api/client';

/** Whether this person may log on a machine. */
export function mayUse(person: Schemas['Person'], machine: number): boolean {
  if (person.role === 'reader') return false;
  return person.role !== 'operator' || person.may_use_all_machines || person.machine_ids.includes(machine);
}
