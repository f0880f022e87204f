import { manyOf } from '../../kit/format';
import {
  type Calculator,
  choice,
  number,
  type Reckoned,
  rows,
  set,
  shown,
  text,
  texts,
  tick,
  volume,
} from '../calculator';
import { COMPARTMENTS } from './options';

const OPENINGS = [
  ['drain', 'draining'],
  ['fill', 'filling'],
  ['level', 'its level'],
  ['vent', 'air'],
  ['strainer', 'its strainer'],
  ['draw', 'suction'],
] as const;

const PARTS = [
  ['filter', 'filter'],
  ['strainer', 'strainer'],
  ['belt', 'belt'],
  ['plug', 'plug'],
  ['other', 'other'],
] as const;

const LEAD = 'Jobs by the compartments, openings and parts at which they are done, each with a short key of your own.';

const COMPARTMENT = [text('key', 'Key', { placeholder: 'engine' }), choice('kind', 'Holds', COMPARTMENTS)];

const OPENING = [
  text('key', 'Key', { placeholder: 'drain' }),
  choice('role', 'For', OPENINGS),
  text('tool', 'Tool', { placeholder: '19 mm socket' }),
];

const PART = [
  text('key', 'Key', { placeholder: 'filter' }),
  choice('kind', 'Sort', PARTS),
  text('in', 'In (key)', { placeholder: 'engine' }),
];

export const JOB_CALCULATORS: readonly Calculator[] = [
  {
    name: 'needs',
    title: 'What some jobs need',
    asks: ['shopping list', 'get ready', 'what to buy', 'washers and filters', 'tools'],
    lead: LEAD,
    fields: [
      rows('tasks', 'Jobs', 'job', [
        choice('act', 'What', [
          ['replace', 'replace'],
          ['clean', 'clean'],
        ]),
        text('at', 'At (key)', { placeholder: 'engine' }),
      ]),
      rows('compartments', 'Compartments', 'compartment', [
        ...COMPARTMENT,
        text('fluid', 'Fluid', { placeholder: '10W-30' }),
        volume('pour', 'Takes'),
        rows('openings', 'Openings', 'opening', [
          ...OPENING,
          set('seal', 'Seal', [text('number', 'Number'), number('count', 'How many')]),
        ]),
      ]),
      rows('parts', 'Parts', 'part', [
        ...PART,
        text('number', 'Number'),
        texts('kit', 'Comes with', { placeholder: 'ring, gasket' }),
        set('seal', 'Seal', [text('number', 'Number'), number('count', 'How many')]),
      ]),
      rows('shelf', 'On the shelf', 'thing', [
        text('supply', 'What'),
        volume('amount', 'So much'),
        number('count', 'or so many'),
      ]),
      rows('sizes', 'Sold in', 'size', [text('fluid', 'Fluid'), volume('size', 'Size'), number('price', 'Price')]),
      rows('pans', 'Pans', 'pan', [volume('size', 'Holds')]),
    ],
    start: {
      tasks: [{ act: 'replace', at: '' }],
      compartments: [
        {
          key: '',
          kind: 'engine',
          fluid: '',
          pour: '',
          openings: [{ key: '', role: 'drain', tool: '', seal: { number: '', count: '' } }],
        },
      ],
      parts: [{ key: '', kind: 'filter', in: '', number: '', kit: '', seal: { number: '', count: '' } }],
      shelf: [{ supply: '', amount: '', count: '' }],
      sizes: [{ fluid: '', size: '', price: '' }],
      pans: [{ size: '' }],
    },
    tells: ({ fluids, parts, tools, to_buy: buy, pans }) => ({
      large: buy.length === 0 ? 'The shelf has it all' : `${manyOf(buy.length, 'thing')} to buy`,
      rows: [
        ...fluids.map((one: Reckoned) => [one.fluid, `${shown(one.amount)}, short ${shown(one.short)}`]),
        ...parts.map((one: Reckoned) => [one.number, `${one.count}, short ${one.short}`]),
        ...tools.map((one: Reckoned) => ['Tool', one.tool]),
        ...buy.map((one: Reckoned) => [
          'Buy',
          [
            one.count && `${one.count} ×`,
            one.size && shown(one.size),
            one.amount && shown(one.amount),
            one.supply,
            one.cost,
          ]
            .filter(Boolean)
            .join(' '),
        ]),
        ...(pans ? [['Pans', pans.enough ? 'take it' : `too small by ${shown(pans.short_by)}`]] : []),
      ],
    }),
  },
  {
    name: 'procedure',
    title: 'In which order a job is done',
    asks: ['steps of a service', 'which first', 'fill plug or drain plug', 'what order'],
    lead: LEAD,
    fields: [
      rows('tasks', 'Jobs', 'job', [
        choice('act', 'What', [
          ['replace', 'replace'],
          ['clean', 'clean'],
          ['inspect', 'inspect'],
          ['adjust', 'adjust'],
          ['lubricate', 'grease'],
          ['check_level', 'check the level of'],
        ]),
        text('at', 'At (key)', { placeholder: 'engine' }),
        text('check', 'By which check'),
        texts('undoes', 'Undone for it', { placeholder: 'pedals uncoupled' }),
      ]),
      rows('compartments', 'Compartments', 'compartment', [
        ...COMPARTMENT,
        volume('capacity', 'Takes'),
        text('valve', 'Valve'),
        rows('openings', 'Openings', 'opening', [...OPENING, text('seal', 'Seal')]),
      ]),
      rows('parts', 'Parts', 'part', [...PART]),
      set('machine', 'Machine', [
        choice('engine', 'Driven by', [
          ['petrol', 'petrol'],
          ['diesel', 'diesel'],
          ['electric', 'electric'],
        ]),
        tick('raised', 'Off the ground for the work'),
      ]),
    ],
    start: {
      tasks: [{ act: 'replace', at: '', check: '', undoes: '' }],
      compartments: [
        {
          key: '',
          kind: 'engine',
          capacity: '',
          valve: '',
          openings: [{ key: '', role: 'drain', tool: '', seal: '' }],
        },
      ],
      parts: [{ key: '', kind: 'filter', in: '' }],
      machine: { engine: 'petrol', raised: false },
    },
    tells: ({ steps }) => ({
      large: manyOf(steps.length, 'step'),
      rows: steps.map((step: Reckoned, index: number) => [
        `${index + 1}`,
        `${step.says} ${step.minutes} min${step.attended ? '' : ', by itself'}`,
      ]),
    }),
  },
  {
    name: 'schedule',
    title: 'How long a job takes',
    asks: ['shortest time', 'what meanwhile', 'how many people', 'one pan or two'],
    lead: 'Steps with their minutes and what each waits for; what takes its time by itself needs nobody.',
    fields: [
      rows('steps', 'Steps', 'step', [
        text('key', 'Key', { placeholder: 'drip' }),
        number('minutes', 'Minutes'),
        tick('attended', 'Takes its time by itself', false),
        texts('after', 'After', { placeholder: 'open' }),
      ]),
      number('people', 'People'),
    ],
    start: {
      steps: [{ key: '', minutes: '', attended: false, after: '' }],
      people: '1',
    },
    tells: ({ starts, length, order, lower_bound: bound }) => ({
      large: `${length} min`,
      rows: [...order.map((key: string) => [`at ${starts[key]} min`, key]), ['No order ends before', `${bound} min`]],
    }),
  },
];
