import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import type { Schemas } from '../api/client';
import { walkQuery } from '../api/queries';
import { usePerson } from '../api/usePerson';
import { today } from '../kit/format';
import { useOverlay } from '../notes/overlay';
import { queue } from '../notes/queue';
import { noteOf } from '../notes/told';
import type { KeptNote } from '../offline/note';
import { useProgress } from '../offline/progress';
import { type Answered, verdictSaid } from '../offline/round';
import { isFine, type Verdict } from '../offline/states';
import type { Saying } from './NotFine';
import { roundSteps } from './roundSteps';

type Point = Schemas['Grease']['points'][number];

/** One round of one machine as it is walked on this device: what is asked, what was said, and the notes that are kept of it. */
export function useRound(machine: number, kind: Schemas['RoundKind']) {
  const person = usePerson();
  const asked = useQuery(walkQuery(machine));
  const { ofMeters } = useOverlay();
  const walk = useMemo(() => asked.data && ofMeters(asked.data), [asked.data, ofMeters]);
  // A round that goes on past midnight is the one that was begun.
  const [day] = useState(today);
  const { progress, change } = useProgress<Answered>(`${person.id} ${machine} ${kind}`, day);
  const answered = (key: string, answer: Answered) =>
    change((before) => ({ ...before, answers: { ...before.answers, [key]: answer } }));
  const told = { ...(walk?.today === progress?.day ? toldByOthers(walk, kind) : {}), ...progress?.answers };
  const steps = walk && progress ? roundSteps(walk, kind, told) : [];
  const round = { kind, started_at: progress?.started_at ?? '' };

  const say = async (
    check: string,
    title: string,
    saying: Saying,
    words: string,
    judged: Verdict | null = null,
    photos: KeptNote['photos'] = [],
  ) => {
    const before = progress?.answers[check];
    const look = noteOf({ kind: 'look', machine_id: machine, round, check, ...saying, replaces: before?.note || null });
    await answered(check, {
      note: look.id,
      said: saying.said,
      verdict: verdictSaid(saying, judged),
      words,
      values: saying.values ?? undefined,
    });
    await queue.keep(look, `${walk?.name}: ${title}, ${words || saying.said.replace('_', ' ')}`, photos);
  };
  const read = async (value: string | null, meter: Schemas['Meter']) => {
    const kind = meter.unit === 'h' ? ('hours' as const) : ('distance' as const);
    const reading = value === null ? null : noteOf({ kind: 'reading', machine_id: machine, value, meter: kind });
    await answered('~meter', {
      note: reading?.id ?? '',
      said: 'read',
      verdict: null,
      words: value === null ? 'Not run since' : `${value} ${meter.unit}`,
    });
    if (reading) await queue.keep(reading, `${walk?.name}: ${value} ${meter.unit}`);
  };
  const tellOfPoint = async (
    point: Point,
    got: { strokes: number; confirmed_because: string | null } | { did_not_go_in: true },
  ) => {
    const before = progress?.answers[`point-${point.key}`];
    const words = 'strokes' in got ? String(got.strokes) : 'did not go in';
    const grease = noteOf({
      kind: 'grease',
      machine_id: machine,
      round,
      spot: point.key,
      ...got,
      replaces: before?.note || null,
    });
    await answered(`point-${point.key}`, { note: grease.id, said: 'greased', verdict: null, words });
    await queue.keep(grease, `${walk?.name}: ${point.name}, ${'strokes' in got ? `${words} strokes` : words}`);
  };
  const grease = (point: Point, strokes: number, because: string | null) =>
    tellOfPoint(point, { strokes, confirmed_because: because });
  const didNotGoIn = (point: Point) => tellOfPoint(point, { did_not_go_in: true });
  const passOver = (key: string) =>
    answered(key, { note: '', said: 'not_looked', verdict: null, words: 'not reached' });
  const end = async () => {
    if (progress?.ended) return;
    await change((before) => ({ ...before, ended: true }));
    await queue.keep(noteOf({ kind: 'end', machine_id: machine, round }), `${walk?.name}: end of the round`);
  };
  return { asked, walk, progress, answers: told, steps, say, read, grease, didNotGoIn, passOver, end };
}

/** What was looked at today in this round on another phone. */
function toldByOthers(walk: Schemas['Walk'] | undefined, kind: Schemas['RoundKind']): Record<string, Answered> {
  const looks = walk?.looks.filter((look) => look.round === kind && look.outcome !== 'not_done') ?? [];
  return Object.fromEntries(
    looks.map((look) => {
      const said = look.kind === 'measured' ? 'measured' : isFine(look.verdict) ? 'fine' : 'not_fine';
      return [
        look.check,
        { note: look.id, said, verdict: look.verdict, words: `${look.by}: ${look.why || said.replace('_', ' ')}` },
      ];
    }),
  );
}
