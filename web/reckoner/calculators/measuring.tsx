import {
  type Calculator,
  choice,
  force,
  length,
  mass,
  number,
  rows,
  set,
  shown,
  text,
  tick,
  torque,
  verdictOf,
  volts,
} from '../calculator';
import { BeltSpan } from '../drawings/BeltSpan';
import { WrenchAndAdapter } from '../drawings/WrenchAndAdapter';
import { UNITS } from './units';

export const MEASURING_CALCULATORS: readonly Calculator[] = [
  {
    name: 'convert',
    title: 'One measure in another',
    asks: ['quarts in litres', 'inches', 'foot-pounds', 'psi', 'unit', 'imperial'],
    fields: [
      text('quantity', 'Amount with its unit', {
        placeholder: '1 3/4 qt',
        help: 'qt, gal, pt and fl oz are US unless imp stands before them.',
      }),
      choice('to', 'In', UNITS),
    ],
    start: { quantity: '', to: 'L' },
    tells: ({ result }) => ({ large: shown(result) }),
  },
  {
    name: 'belt-deflection',
    title: 'Whether a belt is tight enough',
    asks: ['belt tension', 'slack', 'alternator belt', 'how far may it give'],
    fields: [
      length('rest', 'Straightedge to belt, at rest', { placeholder: '1 3/4 in' }),
      length('pressed', 'pressed', { placeholder: '1 3/8 in' }),
      force('force', "Force, if not the limit's"),
      set('limit', 'The book says', [
        length('deflection', 'It may give', { placeholder: '1/3 in' }),
        force('force', 'when pressed with', { placeholder: '15 lbf' }),
        length('least', 'and must give'),
      ]),
    ],
    start: { rest: '', pressed: '', force: '', limit: { deflection: '', force: '', least: '' } },
    tells: (answer) => ({
      large: `${verdictOf(answer)}: it gives ${shown(answer.deflection)}`,
      rows: [
        ['It may give', shown(answer.allowed)],
        ['Over by', shown(answer.over_by)],
        ['Do', answer.do ?? '–'],
      ],
    }),
    Drawing: BeltSpan,
    into: { note: 'measured', measurement: 'belt', values: ['rest', 'pressed', 'force'], words: 'belt' },
  },
  {
    name: 'free-play',
    title: 'Whether the pedals are right',
    asks: ['brake pedal', 'clutch', 'left and right alike', 'adjust'],
    fields: [
      length('left', 'Left, or the only one', { placeholder: '1 1/2 in' }),
      length('right', 'Right'),
      length('target', 'It should be', { placeholder: '1 in' }),
      length('tolerance', 'give or take', { placeholder: '1/4 in' }),
      length('max_difference', 'Left and right differ by at most'),
    ],
    start: { left: '', right: '', target: '', tolerance: '', max_difference: '' },
    tells: (answer) => ({
      large: verdictOf(answer),
      rows: [
        ['Left over by', shown(answer.left_over_by)],
        ['Right over by', shown(answer.right_over_by)],
        ['They differ by', shown(answer.difference)],
        ['Do', answer.do ?? '–'],
      ],
    }),
    into: { note: 'measured', measurement: 'free_play', values: ['left', 'right'], words: 'pedals' },
  },
  {
    name: 'battery',
    title: 'Whether a battery is good',
    asks: ['volts', 'state of charge', 'drops under load', 'starter'],
    fields: [
      volts('rest_volts', 'At rest', { placeholder: '12.6 V' }),
      volts('loaded_volts', 'With the lights on'),
      number('seconds', 'for so many seconds', { placeholder: '10' }),
      choice('kind', 'Kind', [
        ['flooded', 'flooded'],
        ['agm', 'AGM'],
      ]),
      volts('nominal', 'Battery of', { placeholder: '12 V' }),
      volts('max_drop', 'A 12 V battery may drop by', { placeholder: '1 V' }),
    ],
    start: { rest_volts: '', loaded_volts: '', seconds: '', kind: 'flooded', nominal: '', max_drop: '' },
    tells: (answer) => ({
      large: verdictOf(answer),
      rows: [
        ['Charged to', answer.state_of_charge === null ? '–' : `${answer.state_of_charge} %`],
        ['It drops by', shown(answer.drop)],
        ['Do', answer.do ?? '–'],
      ],
    }),
    into: { note: 'measured', measurement: 'battery', values: ['rest_volts', 'loaded_volts'], words: 'battery' },
  },
  {
    name: 'torque',
    title: 'What to set the wrench to',
    asks: ['foot-pounds or inch-pounds', 'torque wrench', 'adapter', 'crowfoot', 'N·m'],
    fields: [
      torque('target', 'The book says', { placeholder: '24 in-lb' }),
      set('wrench', 'Your wrench goes', [torque('min', 'from'), torque('max', 'to')]),
      set('adapter', 'With an adapter', [
        length('wrench_length', 'Wrench, grip to square'),
        length('extension', 'Adapter, square to bolt'),
        number('angle', 'Angle between them, °', { placeholder: '0', help: '0 in line, 90 at right angles' }),
      ]),
    ],
    start: {
      target: '',
      wrench: { min: '', max: '' },
      adapter: { wrench_length: '', extension: '', angle: '' },
    },
    tells: ({ settings, wrench_setting: own, warnings, verdict }) => ({
      large: verdict === 'act' ? 'Not with this wrench' : `Set ${shown(own ?? settings.N_m)}`,
      rows: [
        ['In N·m', shown(settings.N_m)],
        ['In ft-lb', shown(settings.ft_lbf)],
        ['In in-lb', shown(settings.in_lbf)],
        ...(warnings as string[]).map((warning) => ['Mind', warning] as const),
      ],
    }),
    Drawing: WrenchAndAdapter,
  },
  {
    name: 'wear',
    title: 'When wear reaches its limit',
    asks: ['brake pads', 'tread', 'how long will it last', 'trend'],
    fields: [
      rows('points', 'Measured', 'measurement', [
        number('hours', 'At h'),
        length('value', 'Left', { placeholder: '6.2 mm' }),
      ]),
      length('limit', 'The limit', { placeholder: '0.5 mm' }),
      tick('falls', 'It grows instead of falling', false),
    ],
    start: {
      points: [
        { hours: '', value: '' },
        { hours: '', value: '' },
      ],
      limit: '',
      falls: false,
    },
    tells: (answer) => ({
      large: answer.limit_at ? `About ${answer.limit_at.p50} h` : verdictOf(answer),
      rows: [
        ['Between', answer.limit_at ? `${answer.limit_at.p10} and ${answer.limit_at.p90 ?? '…'} h` : '–'],
        ['In 100 h', shown(answer.slope_per_100h)],
        ['Verdict', verdictOf(answer)],
      ],
    }),
  },
  {
    name: 'grease',
    title: 'How much grease it takes',
    asks: ['cartridges', 'strokes', 'grease gun', 'grams'],
    fields: [
      rows('points', 'Points', 'point', [
        text('name', 'Name'),
        number('strokes', 'Strokes', { placeholder: '3' }),
        number('times', 'Times', { placeholder: '1' }),
      ]),
      mass('grams_per_stroke', 'One stroke weighs', { placeholder: '0.85 g' }),
      mass('cartridge', 'A cartridge holds', { placeholder: '400 g' }),
    ],
    start: { points: [{ name: '', strokes: '', times: '' }], grams_per_stroke: '', cartridge: '' },
    tells: ({ strokes, grams, cartridges }) => ({
      large: `${strokes} strokes, ${shown(grams)}`,
      rows: [['Cartridges', cartridges]],
    }),
  },
];
