import type { Schemas } from '../api/client';

/** The words for states, as they stand on stamps and in sentences. */
export const STATE_WORDS: Record<Schemas['MachineState'], string> = {
  past: 'past',
  due: 'due',
  stood_down: 'stood down',
  nearing: 'nearing',
  unknown: 'unknown',
  fresh: 'fresh',
};

export const KIND_WORDS: Record<Schemas['TaskKind'], string> = {
  replace: 'replace',
  inspect: 'inspect',
  clean: 'clean',
  adjust: 'adjust',
  lubricate: 'grease',
  check_level: 'check level',
  sample: 'sample',
};

export const ENTRY_WORDS: Record<Schemas['EntryKind'], string> = {
  machine_added: 'Entered',
  reading: 'Reading',
  service: 'Service',
  meter_replaced: 'New meter',
  stood_down: 'Stood down',
  lifted: 'Lifted',
  rule_changed: 'Rulebook',
  skipped: 'Skipped',
  called: 'Called for',
  reminder_set: 'Reminder',
};

export const SEVERITY_WORDS: Record<Schemas['Severity'], string> = {
  dust: 'dust',
  heat: 'heat',
  short_cold_runs: 'short cold runs',
  water: 'water and mud',
  heavy_load: 'towing or heavy load',
  long_idling: 'long idling',
  light_use: 'light use',
};

export const SUBJECT_WORDS: Record<Schemas['Subject'], string> = {
  air_cleaner: 'air cleaner',
  engine_oil: 'engine oil',
  fuel: 'fuel',
  cooling: 'cooling',
  ignition: 'ignition',
  hydraulics: 'hydraulics',
  gear_oil: 'gear oil',
  grease: 'grease',
  belts: 'belts',
  brakes: 'brakes',
  battery: 'battery',
  other: 'something else',
};

export const ROLE_WORDS: Record<Schemas['Role'], { name: string; may: string }> = {
  keeper: { name: 'Keeper', may: 'everything' },
  mechanic: { name: 'Mechanic', may: 'readings, services, meters, lifting a stood-down machine' },
  operator: { name: 'Operator', may: 'readings and standing down, on the machines allowed' },
  reader: { name: 'Reader', may: 'sees and prints' },
};
