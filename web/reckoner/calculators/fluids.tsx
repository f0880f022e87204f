import {
  type Calculator,
  choice,
  degrees,
  named,
  number,
  rows,
  set,
  shown,
  text,
  texts,
  tick,
  VERDICT,
  verdictOf,
  volume,
} from '../calculator';
import { MixColumn } from '../drawings/MixColumn';
import { StickColumn } from '../drawings/StickColumn';
import { CHEMISTRIES, COMPARTMENTS, FLUIDS, SEEN } from './options';

const METHODS = [
  ['stick', 'the stick'],
  ['level_plug', 'its level plug'],
  ['sight_glass', 'a sight glass'],
  ['line', 'a line on the tank'],
] as const;

const isNothing = (amount: { value: string } | null): boolean => amount === null || amount.value === '0';

const THEN: Record<string, string> = {
  run_wait_read: 'run it, wait, read it',
  until_it_shows: 'until it shows',
  done: 'done',
};

/** How a level wants to be read, and how it was. */
const ENGINE = choice('engine', 'Engine', [
  ['', 'not said'],
  ['off', 'off'],
  ['idling', 'idling'],
]);
const TEMPERATURE = choice('temperature', 'Temperature', [
  ['', 'not said'],
  ['cold', 'cold'],
  ['warm', 'warm'],
  ['hot', 'hot'],
]);
const HELD = choice('held', 'Stick', [
  ['', 'not said'],
  ['rested', 'rested'],
  ['screwed', 'screwed in'],
]);

export const FLUID_CALCULATORS: readonly Calculator[] = [
  {
    name: 'fill-plan',
    title: 'How to fill it in stages',
    asks: ['How much do I pour first?', 'fill oil', 'staged fill', 'capacity', 'pour'],
    fields: [
      set('capacity', 'The book says it takes', [
        volume('min', 'At least, if it gives a range'),
        volume('max', 'At most'),
      ]),
      volume('prefill', 'In the filter already'),
      choice('method', 'Its level is read by', METHODS),
      number('share_first', 'Share that is poured first', { placeholder: '0.85' }),
    ],
    start: { capacity: { min: '', max: '' }, prefill: '', method: 'stick', share_first: '' },
    tells: ({ steps }) => ({
      large: steps.map(({ pour }: { pour: { display: string } }) => pour.display.replace(/ \(.*/, '')).join(', then '),
      rows: steps.map(({ pour, total, then }: Record<string, { display: string } & string>) => [
        `pour ${shown(pour)}`,
        `${shown(total)} in all, ${THEN[then as unknown as string]}`,
      ]),
    }),
  },
  {
    name: 'stick',
    title: "What the stick's band holds",
    asks: ['How much is missing to full?', 'dipstick', 'overfull', 'how much to draw off', 'add mark'],
    lead: 'Two readings and what was poured between them. 0 is the add mark, 1 the full mark.',
    fields: [
      rows('marks', 'Readings', 'reading', [
        number('level', 'The stick shows', { placeholder: '0.5' }),
        volume('poured_since', 'Poured since the one before'),
        tick('ran', 'It ran since'),
      ]),
    ],
    start: {
      marks: [
        { level: '', poured_since: '', ran: false },
        { level: '', poured_since: '', ran: false },
      ],
    },
    tells: ({ to_full: toFull, draw_off: drawOff, volume_per_band: band }) => ({
      large: isNothing(drawOff) ? `${shown(toFull)} to full` : `Draw off ${shown(drawOff)}`,
      rows: [['The whole band holds', shown(band)]],
    }),
    Drawing: StickColumn,
  },
  {
    name: 'level',
    title: 'Whether a level is right',
    asks: ['Is the oil level fine?', 'reading too soon', 'cold or warm', 'slope'],
    fields: [
      choice('method', 'Read by', METHODS),
      text('observed', 'It shows', {
        placeholder: 'full',
        help: 'full, between, add, below, over; or 0 at the add mark to 1 at the full mark',
      }),
      set('protocol', 'It wants to be read', [
        ENGINE,
        TEMPERATURE,
        number('wait_minutes', 'After so many minutes'),
        number('latest_minutes', 'and at most so many'),
        HELD,
      ]),
      set('actual', 'It was read', [
        ENGINE,
        TEMPERATURE,
        number('wait_minutes', 'After so many minutes'),
        HELD,
        tick('slope', 'on a slope'),
      ]),
    ],
    start: {
      method: 'stick',
      observed: '',
      protocol: { engine: '', temperature: '', wait_minutes: '', latest_minutes: '', held: '' },
      actual: { engine: '', temperature: '', wait_minutes: '', held: '', slope: false },
    },
    tells: (answer) => ({ large: verdictOf(answer), rows: answer.do ? [['Do', answer.do]] : [] }),
  },
  {
    name: 'containers',
    title: 'Which containers to open and buy',
    asks: ['How many bottles do I need?', 'jug', 'cans', 'left over', 'cheapest'],
    fields: [
      rows('needs', 'Needed', 'need', [text('fluid', 'Fluid'), volume('amount', 'Amount')]),
      rows('sizes', 'Sold in', 'size', [
        text('fluid', 'Fluid'),
        volume('size', 'Size'),
        number('price', 'Price, if known'),
      ]),
      rows('have', 'Unopened on the shelf', 'size', [
        text('fluid', 'Fluid'),
        volume('size', 'Size'),
        number('count', 'How many'),
      ]),
      rows('open', 'Open on the shelf', 'container', [text('fluid', 'Fluid'), volume('amount', 'Left in it')]),
      number('tolerance', 'Share that may be short', { placeholder: '0.01' }),
    ],
    start: {
      needs: [{ fluid: 'oil', amount: '' }],
      sizes: [{ fluid: 'oil', size: '', price: '' }],
      have: [{ fluid: '', size: '', count: '' }],
      open: [{ fluid: '', amount: '' }],
      tolerance: '',
    },
    tells: ({ buy, use, left_over: over, short_by: short, cost }) => ({
      large:
        named(buy, 'fluid', (one) => `${one.count} × ${shown(one.size)}`) === '–'
          ? 'Nothing to buy'
          : `Buy ${named(buy, 'fluid', (one) => `${one.count} × ${shown(one.size)}`)}`,
      rows: [
        ['Open of what stands there', named(use, 'fluid', (one) => `${one.count} × ${shown(one.size)}`)],
        ['Left over', named(over, 'fluid', (one) => shown(one.amount))],
        ['Short by', named(short, 'fluid', (one) => shown(one.amount))],
        ['Cost', cost ?? '–'],
      ],
    }),
  },
  {
    name: 'coolant-mix',
    title: 'How much concentrate and water',
    asks: ['Mix coolant', 'antifreeze', 'how cold does it stand', 'distilled water', 'percent'],
    fields: [
      volume('volume', 'It takes in all', { placeholder: '7 gal' }),
      number('percent', 'Percent of concentrate', { placeholder: '50' }),
      choice('glycol', 'Glycol', [
        ['ethylene', 'ethylene'],
        ['propylene', 'propylene'],
      ]),
    ],
    start: { volume: '', percent: '50', glycol: 'ethylene' },
    tells: ({ concentrate, water, protects_to: to }) => ({
      large: `${shown(concentrate)} and ${shown(water)} of distilled water`,
      rows: [['Protects to', shown(to)]],
    }),
    Drawing: MixColumn,
  },
  {
    name: 'coolant-correct',
    title: 'How to correct weak coolant',
    asks: ['Coolant protects too little', 'drain and replace', 'stronger', 'weaker'],
    fields: [
      volume('volume', 'It holds', { placeholder: '7 gal' }),
      number('present_percent', 'Percent now', { placeholder: '35' }),
      number('target_percent', 'Percent wanted', { placeholder: '50' }),
    ],
    start: { volume: '', present_percent: '', target_percent: '50' },
    tells: ({ drain, refill_with: refill }) => ({ large: `Drain ${shown(drain)}, fill up with ${refill}` }),
  },
  {
    name: 'consumption',
    title: 'What it uses in 100 hours',
    asks: ['Does it burn oil?', 'top-ups', 'trend', 'losing fluid'],
    fields: [
      rows('top_ups', 'Topped up', 'top-up', [number('hours', 'At h'), volume('amount', 'Amount')]),
      number('from', 'Followed from h'),
      number('to', 'to h'),
      volume('limit_per_100h', 'It may use in 100 h'),
    ],
    start: { top_ups: [{ hours: '', amount: '' }], from: '', to: '', limit_per_100h: '' },
    tells: (answer) => ({
      large: `${shown(answer.per_100h)} in 100 h`,
      rows: [
        ['It is', answer.trend],
        ['Verdict', verdictOf(answer)],
      ],
    }),
  },
  {
    name: 'condition',
    title: 'What a fluid looks like, and what that means',
    asks: ['Milky oil', 'metal on the magnet', 'burnt smell', 'fuel in the oil', 'grey', 'slivers'],
    fields: [
      choice('compartment', 'It came out of', COMPARTMENTS),
      { kind: 'ticks', name: 'seen', label: 'Seen', options: SEEN },
      tick('first_service', 'At its first service'),
      tick('just_filled', 'It was filled just now'),
    ],
    start: { compartment: 'engine', seen: [], first_service: false, just_filled: false },
    tells: ({ readings, verdict }) => ({
      large: VERDICT[verdict] ?? '–',
      rows: (readings ?? []).map((one: Record<string, string>) => [one.reading, one.do]),
    }),
  },
  {
    name: 'will-it-do',
    title: 'Whether a bottle will do',
    asks: ['Can I use this oil?', 'specification', 'equivalent', 'wet brakes', 'yellow metals'],
    fields: [
      set('fluid', 'The bottle', [
        choice('kind', 'Holds', FLUIDS),
        text('grade', 'Grade', { placeholder: '10W-30' }),
        texts('designations', 'It says', { placeholder: 'API CK-4' }),
        choice('chemistry', 'Made of', CHEMISTRIES),
        text('makers_own', "Sold by the machine's maker as"),
      ]),
      set('compartment', 'It goes into', [
        choice('kind', 'Compartment', COMPARTMENTS),
        set('specification', 'Its book wants', [
          choice('kind', 'Fluid', [['', 'not said'], ...FLUIDS]),
          rows('grades', 'Grades', 'grade', [text('grade', 'Grade'), degrees('from', 'From'), degrees('to', 'To')]),
          texts('designations', 'Any of', { placeholder: 'API CI-4' }),
          choice('chemistry', 'Made of', CHEMISTRIES),
          text('makers_own', "The maker's own"),
        ]),
        choice('cooling', 'Engine cooled by', [
          ['', 'not said'],
          ['air', 'air'],
          ['liquid', 'liquid'],
        ]),
        tick('yellow_metals', 'Brass or bronze inside'),
      ]),
      degrees('coldest', 'Coldest night'),
      degrees('hottest', 'Hottest day'),
      tick('warranty', 'The warranty runs'),
      choice('school', 'Your way', [
        ['makers_in_warranty', "maker's own while the warranty runs"],
        ['makers', "always the maker's own"],
        ['equivalents', 'always equivalents'],
      ]),
    ],
    start: {
      fluid: { kind: 'engine_oil', grade: '', designations: '', chemistry: '', makers_own: '' },
      compartment: {
        kind: 'engine',
        specification: {
          kind: '',
          grades: [{ grade: '', from: '', to: '' }],
          designations: '',
          chemistry: '',
          makers_own: '',
        },
        cooling: '',
        yellow_metals: false,
      },
      coldest: '',
      hottest: '',
      warranty: false,
      school: 'makers_in_warranty',
    },
    tells: ({ will_it: answer, reasons }) => ({
      large: { yes: 'It will do', no: 'It will not do', ask: 'It depends' }[answer as string] ?? '–',
      rows: (reasons ?? []).slice(1).map((reason: string) => ['', reason]),
    }),
  },
  {
    name: 'covers',
    title: 'Whether a newer designation covers an older',
    asks: ['SP for SL', 'CK-4', 'GL-5 for GL-4', 'API', 'service category'],
    fields: [
      text('has', 'The bottle says', { placeholder: 'CK-4 / SN' }),
      text('needs', 'The book asks for', { placeholder: 'CI-4' }),
      tick('yellow_metals', 'Brass or bronze inside'),
    ],
    start: { has: '', needs: '', yellow_metals: false },
    tells: ({ covers }) => ({
      large: { yes: 'It covers it', no: 'It does not', ask: 'It depends' }[covers as string] ?? '–',
    }),
  },
  {
    name: 'engine-grade',
    title: 'Whether an engine oil suits the cold',
    asks: ['10W-30 in winter', 'viscosity', 'SAE', 'cranking', 'cold start'],
    fields: [
      text('grade', 'Grade', { placeholder: '10W-30' }),
      degrees('coldest', 'Coldest night', { placeholder: '-18 °C' }),
      degrees('hottest', 'Hottest day'),
    ],
    start: { grade: '', coldest: '', hottest: '' },
    tells: (answer) => ({
      large: answer.valid ? verdictOf(answer) : 'There is no such grade',
      rows: [['Cranks down to', shown(answer.lowest_cranking)]],
    }),
  },
  {
    name: 'gear-grade',
    title: 'Whether a gear oil suits the cold',
    asks: ['80W-90 in winter', 'gear oil viscosity', 'SAE J306'],
    fields: [
      text('grade', 'Grade', { placeholder: '80W-90' }),
      degrees('coldest', 'Coldest night', { placeholder: '-18 °C' }),
    ],
    start: { grade: '', coldest: '' },
    tells: (answer) => ({
      large: answer.valid ? verdictOf(answer) : 'There is no such grade',
      rows: [['Flows down to', shown(answer.lowest)]],
    }),
  },
  {
    name: 'pan',
    title: 'Whether the pans take it',
    asks: ['catch pan', 'bucket', 'does it run over', 'drain'],
    fields: [
      rows('comes_out', 'Comes out', 'drain', [
        text('drain', 'Drain'),
        volume('amount', 'Amount'),
        text('fluid', 'Fluid, if unlike'),
      ]),
      rows('pans', 'Pans', 'pan', [volume('size', 'Holds')]),
      number('margin', 'Share left free', { placeholder: '0.1' }),
    ],
    start: { comes_out: [{ drain: '', amount: '', fluid: '' }], pans: [{ size: '' }], margin: '' },
    tells: ({ enough, empty_after: after, short_by: short }) => ({
      large: enough
        ? after.length > 0
          ? `Empty them after ${after.join(', ')}`
          : 'They take it'
        : `Too small by ${shown(short)}`,
    }),
  },
];
