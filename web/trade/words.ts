import type { Schemas } from '../api/client';
import { type NameOf, of } from '../offline/states';

/** What a machine's points make of it, hardest first. */
export const MACHINE_STATES: Record<NameOf<Schemas['MachineState']>, string> = {
  past: 'past',
  due: 'due',
  stood_down: 'stood down',
  nearing: 'nearing',
  unknown: 'unknown',
  fresh: 'fresh',
};

const STATES: Record<NameOf<Shown>, string> = {
  ...MACHINE_STATES,
  fit: 'fit',
  watch: 'watch',
  act: 'act',
  stand_down: 'stand down',
};

/** A state that is shown to people. */
export type Shown = Schemas['MachineState'] | Schemas['Verdict'];

/** A state as it stands on stamps and in sentences. */
export const stateWords = (state: Shown): string => of(state, STATES);

export const KIND_WORDS: Record<Schemas['TaskKind'], string> = {
  replace: 'replace',
  inspect: 'inspect',
  clean: 'clean',
  adjust: 'adjust',
  lubricate: 'grease',
  check_level: 'check level',
  sample: 'sample',
  run: 'run',
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
  round: 'Round',
  found: 'Found',
  topped_up: 'Top-up',
  fluid: 'Fluid',
  mended: 'Put right',
  accepted: 'Accepted',
  meter_doubted: 'Meter',
  answered: 'Answered',
  bought: 'Shelf',
  counted: 'Counted',
  collected: 'Collected',
  gathered: 'Gathered',
  remark: 'Remark',
};

export const ROUND_WORDS: Record<Schemas['RoundKind'], string> = {
  daily: 'morning round',
  weekly: 'weekly round',
  before_season: 'round before the season',
  after_wash: 'round after washing',
  grease: 'grease round',
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
  exhaust: 'exhaust',
  hydraulics: 'hydraulics',
  gear_oil: 'gear oil',
  grease: 'grease',
  belts: 'belts',
  brakes: 'brakes',
  wheels: 'wheels and tracks',
  cutting: 'blades and tines',
  battery: 'battery',
  safety: 'switches and guards',
  other: 'something else',
};

export const COMPARTMENT_WORDS: Record<Schemas['CompartmentKind'], string> = {
  engine: 'engine oil',
  transmission: 'a transmission',
  transfer: 'a transfer case',
  hydraulic: 'hydraulics',
  hydrostatic: 'a hydrostatic drive',
  front_differential: 'a front differential',
  rear_differential: 'a rear differential',
  wet_brake_axle: 'an axle with wet brakes',
  final_drive: 'a final drive',
  gearbox: 'a gearbox',
  reduction_gear: 'a reduction gear',
  pto: 'a PTO housing',
  torque_converter: 'a torque converter',
  chaincase: 'a chaincase',
  pivot_shaft: 'a pivot shaft',
  coolant: 'coolant',
  brake: 'brake fluid',
  oil_bath: 'an oil-bath cleaner',
  fuel: 'fuel',
  battery_cells: 'battery cells',
};

export const ROLE_OF_OPENING: Record<Schemas['OpeningRole'], string> = {
  fill: 'fill',
  drain: 'drain',
  draw: 'drawn out by suction',
  level: 'level',
  vent: 'vent',
  strainer: 'strainer cover',
  filter_cover: 'filter cover',
};

export const ROLE_WORDS: Record<Schemas['Role'], { name: string; may: string }> = {
  keeper: { name: 'Keeper', may: 'everything' },
  mechanic: { name: 'Mechanic', may: 'rounds, readings, services, meters, lifting a stood-down machine' },
  operator: { name: 'Operator', may: 'rounds, readings and standing down, on the machines allowed' },
  reader: { name: 'Reader', may: 'sees and prints' },
};
