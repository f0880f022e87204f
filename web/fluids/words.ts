import type { Schemas } from '../api/client';

const options = <T extends string>(words: Record<T, string>) =>
  (Object.entries(words) as [T, string][]).map(([value, label]) => ({ value, label }));

export const FLUID_WORDS: Record<Schemas['FluidKind'], string> = {
  engine_oil: 'engine oil',
  gear_oil: 'gear oil',
  hydraulic_oil: 'hydraulic oil',
  hydrostatic_oil: 'hydrostatic oil',
  wet_brake_oil: 'wet-brake oil',
  tractor_fluid: 'tractor fluid',
  coolant: 'coolant',
  brake_fluid: 'brake fluid',
  fuel: 'fuel',
  distilled_water: 'distilled water',
};
export const FLUIDS = options(FLUID_WORDS);

export const CHEMISTRIES: { value: Schemas['Chemistry'] | ''; label: string }[] = [
  { value: '', label: 'not said' },
  ...options<Schemas['Chemistry']>({
    iat: 'IAT, inorganic',
    oat: 'OAT, organic acid',
    hoat: 'HOAT, hybrid',
    glycol: 'glycol (DOT 3, 4, 5.1)',
    silicone: 'silicone (DOT 5)',
  }),
];

export const CAPACITY_KINDS = options<Schemas['CapacityKind']>({
  refill: 'at a change',
  with_filter: 'with filter',
  without_filter: 'without filter',
  dry: 'dry',
  per_side: 'each side',
  filters_only: 'filters only',
});

export const BOOKS = options<Schemas['Book']>({
  machine: "the machine's book",
  component: "component's book",
});

export const PART_KINDS = options<Schemas['PartKind']>({
  spin_on: 'spin-on filter',
  cartridge: 'filter cartridge under a cover',
  canister: 'filter in a canister',
  in_line: 'filter in a line',
  air_element: 'air element',
  filter: 'filter, some other',
  screen: 'screen or magnet',
  strainer: 'strainer',
  breather: 'breather',
  ring: 'ring',
  washer: 'washer',
  gasket: 'gasket',
  spark_plug: 'spark plug',
  plug: 'plug, some other',
  v_belt: 'V-belt',
  cvt_belt: 'CVT belt',
  deck_belt: 'deck belt',
  belt: 'belt, some other',
  blade: 'blade',
  impeller: 'impeller',
  pads: 'brake pads or shoes',
  battery: 'battery',
  wheel: 'wheel',
  pivot_shaft: 'pivot shaft',
  other: 'something else',
});

type DrainWay = NonNullable<Schemas['Sheet']['drain_way']>;

export const DRAIN_WAYS: { value: DrainWay | ''; label: string }[] = [
  { value: '', label: 'not said' },
  { value: 'plug', label: 'by its plug' },
  { value: 'tap', label: 'by its tap' },
  { value: 'filter', label: 'by taking the filter off' },
  { value: 'hose', label: 'by taking a hose off' },
  { value: 'suction', label: 'by suction' },
  { value: 'hub', label: 'by its plug, hub turned' },
  { value: 'cup', label: 'by taking its cup off' },
  { value: 'catch', label: 'at its screen or strainer' },
  { value: 'bled_through', label: 'bled through, never emptied' },
  { value: 'none', label: 'never' },
];

export const READ_BY: { value: Schemas['LevelMethod'] | ''; label: string }[] = [
  { value: '', label: 'as its check says' },
  ...options<Schemas['LevelMethod']>({
    stick: 'by a stick',
    level_plug: 'by its level plug',
    to_the_threads: 'at its filler, to the threads',
    sight_glass: 'by a window',
    line: 'by a line on its tank',
    ticks: 'by tick marks',
    gauge: 'by a gauge',
    cells: 'in each cell',
    by_measure: 'not at all, it is measured in',
  }),
];

export const SEEN = options<Schemas['Seen']>({
  clear: 'clear, amber to brown',
  dark: 'dark',
  black: 'black',
  grey: 'grey shimmer',
  milky: 'milky',
  water_drops: 'drops of water',
  foam: 'beige foam',
  burnt_smell: 'burnt smell',
  fuel_smell: 'smells of fuel',
  fuzz: 'fine fuzz on the magnet',
  slivers: 'slivers',
  chips: 'chips or flakes',
  overfull: 'far over full',
  low: 'low',
});

/** What one types in one field, several things parted by commas. */
export const listed = (text: string): string[] =>
  text
    .split(',')
    .map((one) => one.trim())
    .filter(Boolean);
