import { useMemo } from 'react';
import type { Schemas } from '../api/client';
import { byYard } from '../kit/clock';
import { dayOf } from '../kit/format';
import { asDecimal, minus, ofDecimal, plus, readMeter, readOrNull } from '../offline/numbers';
import type { Kept } from './queue';
import { useQueue } from './useQueue';

type Meter = Schemas['Meter'];
type Shown = { value: string; read_on: string };

type Machine = { id: number; name: string };

/** What a note that waits here says that a meter showed. */
function shownIn({ note, problem }: Kept, machine: Machine, unit: Meter['unit']): Shown | null {
  const typed = problem ? null : typedIn(note, machine, unit);
  const value = typed === null || typed === undefined ? null : readOrNull(String(typed), readMeter);
  return value && { value: asDecimal(value), read_on: note.on?.slice(0, 10) ?? dayOf(byYard(note.at)) };
}

function typedIn(note: Kept['note'], { id, name }: Machine, unit: Meter['unit']): string | number | null | undefined {
  if (note.kind === 'line') return typedInLine(note.text, name, unit);
  if (note.machine_id !== id) return null;
  const along = unit === 'h' ? 'hours' : 'distance';
  if (note.kind === 'reading') return note.meter === along ? note.value : null;
  return note.kind === 'service' || note.kind === 'sign_off' ? note[along] : null;
}

/** Of a log line only the plainest: a machine's name and what its meter shows. The rest is read by the yard. */
function typedInLine(text: string, name: string, unit: Meter['unit']): string | null {
  const [, called = '', shown = '', of = 'h'] = /^(.+?)\s+([\d.,' ]+?)\s*(h|km|mi)?$/.exec(text.trim()) ?? [];
  return called.toLowerCase() === name.toLowerCase() && of === unit ? shown : null;
}

/** A meter as it was read last, here or anywhere. */
function laidOver(meter: Meter, machine: Machine, waiting: Kept[]): Meter {
  let last = meter;
  for (const kept of waiting) {
    const shown = shownIn(kept, machine, meter.unit);
    if (shown && (last.read_on === null || shown.read_on >= last.read_on)) last = { ...meter, ...shown };
  }
  return last;
}

const metersOf = <T extends Machine & { meters: Meter[] }>(machine: T, waiting: Kept[]): T =>
  waiting.length === 0
    ? machine
    : { ...machine, meters: machine.meters.map((meter) => laidOver(meter, machine, waiting)) };

function lineOf(line: Schemas['YardLine'], waiting: Kept[]): Schemas['YardLine'] {
  const over = metersOf(line, waiting);
  const [before, after] = [line, over].map(({ meters }) => meters.find(({ unit }) => unit === line.rail.unit));
  if (!before || !after || before.value === after.value) return over;
  const ran = minus(ofDecimal(after.value), ofDecimal(before.value));
  return { ...over, rail: { ...line.rail, now: asDecimal(plus(ofDecimal(line.rail.now), ran)) } };
}

/** What waits here to be sent, laid over what the yard last said of a machine's meters: hours that were logged without signal are the hours shown. */
export function useOverlay() {
  const waiting = useQueue().notes;
  return useMemo(
    () => ({
      ofMeters: <T extends Machine & { meters: Meter[] }>(machine: T): T => metersOf(machine, waiting),
      ofLine: (line: Schemas['YardLine']) => lineOf(line, waiting),
    }),
    [waiting],
  );
}
