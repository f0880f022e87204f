import { manyOf } from '../../kit/format';
import { type Calculator, choice, day, number, type Reckoned, rows, set, text } from '../calculator';

const EVERY = [number('hours', 'h'), number('km', 'km'), number('months', 'months')];
const POINT = [number('hours', 'h'), number('km', 'km'), day('date', 'on')];
const ANCHORS = [
  ['from_done', 'from the day it was done'],
  ['chart', "by the chart's multiples"],
] as const;
const NO_EVERY = { hours: '', km: '', months: '' };
const NO_POINT = { hours: '', km: '', date: '' };

export const HOUR_CALCULATORS: readonly Calculator[] = [
  {
    name: 'countdown',
    title: "What to set on the machine's own countdown",
    asks: ['reminder', 'hours until maintenance', 'reset', 'remaining'],
    fields: [
      number('meter', 'Meter shows, h', { placeholder: '31.2' }),
      number('next_due', 'Next due at, h', { placeholder: '50' }),
      number('step', 'Its display goes in steps of', { placeholder: '1' }),
    ],
    start: { meter: '', next_due: '', step: '1' },
    tells: ({ set: hours, remaining, rings_at: at }) => ({
      large: `Set ${hours}`,
      rows: [
        ['Left', `${remaining} h`],
        ['It rings at', `${at} h`],
      ],
    }),
    into: { note: 'reminder', from: 'set', words: "the machine's own reminder" },
  },
  {
    name: 'reading',
    title: 'Whether a reading can be right',
    asks: ['mistyped hours', 'lower than last', 'too fast', 'lost decimal point'],
    fields: [
      set('previous', 'It showed', [number('value', 'h', { placeholder: '24.6' }), day('at', 'on')]),
      set('next', 'Then it showed', [number('value', 'h', { placeholder: '412.6' }), day('at', 'on')]),
      number('max_per_day', 'It gains a day at most, h', { placeholder: '24' }),
      number('per_week', 'It gains a week usually, h'),
    ],
    start: { previous: { value: '', at: '' }, next: { value: '', at: '' }, max_per_day: '', per_week: '' },
    tells: ({ plausible, suggestion, gained }) => ({
      large: plausible ? 'It can be right' : suggestion ? `Perhaps ${suggestion}` : 'It can hardly be right',
      rows: [['Gained', gained === null ? '–' : `${gained} h`]],
    }),
    into: { note: 'reading', from: 'next.value', words: 'the reading' },
  },
  {
    name: 'standing',
    title: 'When it comes next',
    asks: ['next due', 'interval', 'early service', 'past due', 'how much is left'],
    fields: [
      set('rule', 'The rule', [
        set('every', 'Every', EVERY),
        rows('first', 'First at', 'first point', EVERY),
        choice('anchor', 'The next is counted', ANCHORS),
        number('early', 'Early window, share', { placeholder: '0.10' }),
        number('late', 'Late window, share', { placeholder: '0.10' }),
      ]),
      rows('done', 'Done', 'time', POINT),
      set('start', 'New at', POINT),
      set('now', 'Now', POINT),
    ],
    start: {
      rule: { every: NO_EVERY, first: [NO_EVERY], anchor: 'from_done', early: '', late: '' },
      done: [NO_POINT],
      start: NO_POINT,
      now: NO_POINT,
    },
    tells: ({ state, due, remaining, runs_for: runs, notes }) => ({
      large: `${state}${dueWords(due)}`,
      rows: [
        ['Left', pointWords(remaining) || '–'],
        ['That runs for', runs?.hours ? `${runs.hours} h` : '–'],
        ...(notes as string[]).map((note) => ['Mind', note] as const),
      ],
    }),
  },
  {
    name: 'forecast',
    title: 'On which day it will be due',
    asks: ['when will it reach', 'hours a week', 'forecast', 'season'],
    fields: [
      rows('readings', 'Readings', 'reading', [day('date', 'On'), number('hours', 'h')]),
      number('due_hours', 'Due at, h'),
      day('today', 'Today'),
      rows('resting', 'It stands each year', 'part', [
        text('from', 'from', { placeholder: '11-01' }),
        text('to', 'to', { placeholder: '02-28' }),
      ]),
    ],
    start: {
      readings: [
        { date: '', hours: '' },
        { date: '', hours: '' },
      ],
      due_hours: '',
      today: '',
      resting: [{ from: '', to: '' }],
    },
    tells: ({ p10, p50, p90, rate_per_week: rate, confidence }) => ({
      large: p50 ?? 'Nobody can tell',
      rows: [
        ['Probably between', `${p10 ?? '–'} and ${p90 ?? '–'}`],
        ['It runs', rate === null ? '–' : `${rate} h a week`],
        ['That is', confidence],
      ],
    }),
  },
  {
    name: 'chart',
    title: 'What falls due together',
    asks: ['column chart', 'schedule', 'at 400 h', 'service plan'],
    fields: [
      rows('rules', 'Tasks', 'task', [
        text('name', 'Task'),
        set('every', 'Every', EVERY),
        rows('first', 'First at', 'first point', EVERY),
        choice('anchor', 'Counted', ANCHORS),
      ]),
      number('from', 'From, h', { placeholder: '0' }),
      number('to', 'to, h', { placeholder: '400' }),
    ],
    start: {
      rules: [{ name: '', every: NO_EVERY, first: [NO_EVERY], anchor: 'chart' }],
      from: '',
      to: '',
    },
    tells: ({ columns }) => ({
      large: manyOf(columns.length, 'column'),
      rows: columns.map(({ at, tasks }: { at: string; tasks: string[] }) => [`${at} h`, tasks.join(', ')]),
    }),
  },
  {
    name: 'chart-read',
    title: "What a book's chart says",
    asks: ['paste a schedule', 'maintenance table', 'marks', 'interval chart'],
    lead: 'A table as it stands in the manual, with tabs, semicolons or commas between its fields. What can be meant two ways is asked.',
    fields: [
      text('text', 'The table', { lines: true, wide: true }),
      choice('unit', 'Bare headings are', [
        ['h', 'hours'],
        ['km', 'kilometres'],
        ['mi', 'miles'],
      ]),
    ],
    start: { text: '', unit: 'h' },
    tells: ({ rows: read, questions }) => ({
      large: `${manyOf(read.length, 'task')}, ${questions.length} to ask`,
      rows: [
        ...read.map((row: Reckoned) => [row.task, row.in_words]),
        ...questions.map((question: Reckoned) => ['Asked', question.ask]),
      ],
    }),
  },
];

const pointWords = (point: Reckoned | null): string =>
  Object.entries(point ?? {})
    .filter(([, value]) => value !== null)
    .map(([name, value]) => `${value}${name === 'date' ? '' : ` ${name === 'hours' ? 'h' : name}`}`)
    .join(', ');

const dueWords = (due: Reckoned | null): string => {
  const words = pointWords(due);
  return words ? `, next at ${words}` : '';
};
