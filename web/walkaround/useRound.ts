import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import type { Schemas } from '../api/client';
import { walkQuery } from '../api/queries';
import { keepNote, onSent } from '../kept/outbox';
import { type Answered, type KeptNote, newId } from '../kept/store';
import { useProgress } from '../kept/useProgress';
import { now } from '../kit/clock';
import { deviceDay } from '../kit/format';
import { usePerson } from '../shell/Shell';
import { roundSteps } from './roundSteps';

type Saying = Pick<Schemas['Note'], 'said' | 'verdict' | 'words' | 'values' | 'note' | 'title'>;

/** One round of one machine as it is walked on this device: what is asked, what was said, and the notes that are kept of it. */
export function useRound(machine: number, kind: Schemas['RoundKind']) {
  const person = usePerson();
  const asked = useQuery(walkQuery(machine));
  const walk = asked.data;
  const { progress, answered, ended } = useProgress(`${person.id} ${machine} ${kind}`, deviceDay());
  const told = { ...(walk?.today === progress?.day ? toldByOthers(walk, kind) : {}), ...progress?.answers };
  const steps = walk && progress ? roundSteps(walk, kind, told) : [];
  const round = { kind, started_at: progress?.started_at ?? '' };
  const note = (more: Partial<Schemas['Note']> & Pick<Schemas['Note'], 'kind'>): Schemas['Note'] => ({
    id: newId(),
    at: now().toISOString(),
    machine_id: machine,
    ...more,
  });

  // The yard judges a measurement that was kept without signal.
  useEffect(
    () =>
      onSent((sent) => {
        for (const { note: kept, observation } of sent) {
          const mine = Object.entries(progress?.answers ?? {}).find(([, answer]) => answer.note === kept.id);
          if (mine && observation && observation.verdict !== mine[1].verdict)
            void answered(mine[0], { ...mine[1], verdict: observation.verdict, words: observation.why });
        }
      }),
    [progress, answered],
  );

  const say = async (
    subject: string,
    title: string,
    saying: Saying,
    verdict: Answered['verdict'],
    words: string,
    photos: KeptNote['photos'] = [],
  ) => {
    const before = progress?.answers[subject];
    const look = note({ kind: 'look', round, subject, ...saying, replaces: before?.note });
    await answered(subject, {
      note: look.id,
      said: saying.said ?? 'fine',
      verdict,
      words,
      values: saying.values as Record<string, unknown> | undefined,
    });
    await keepNote(look, `${walk?.name}: ${title}, ${words || saying.said?.replace('_', ' ')}`, photos);
  };
  const read = async (value: string | null, meter: Schemas['Meter']) => {
    const reading = value === null ? null : note({ kind: 'reading', value, meter: meter.unit === 'h' ? 'hours' : 'distance' });
    await answered('~meter', {
      note: reading?.id ?? '',
      said: 'read',
      verdict: null,
      words: value === null ? 'Not run since' : `${value} ${meter.unit}`,
    });
    if (reading) await keepNote(reading, `${walk?.name}: ${value} ${meter.unit}`);
  };
  const grease = async (point: Schemas['Grease']['points'][number], strokes: number, words = '') => {
    const before = progress?.answers[`point-${point.id}`];
    const tick = note({ kind: 'grease', round, point_id: point.id, strokes, note: words || null, replaces: before?.note });
    await answered(`point-${point.id}`, { note: tick.id, said: 'greased', verdict: 'fit', words: String(strokes) });
    await keepNote(tick, `${walk?.name}: ${point.name}, ${strokes} strokes`);
  };
  const passOver = (key: string) => answered(key, { note: '', said: 'not_looked', verdict: null, words: 'not reached' });
  const end = async () => {
    if (progress?.ended) return;
    await ended();
    await keepNote(note({ kind: 'end', round }), `${walk?.name}: end of the round`);
  };
  return { asked, walk, progress, answers: told, steps, say, read, grease, passOver, end };
}

/** What was looked at today in this round on another phone. */
function toldByOthers(walk: Schemas['Walk'] | undefined, kind: Schemas['RoundKind']): Record<string, Answered> {
  const looks = walk?.looks.filter((look) => look.round === kind && look.said !== 'not_looked') ?? [];
  return Object.fromEntries(
    looks.map((look) => [
      look.subject,
      { note: look.id, said: look.said, verdict: look.verdict, words: `${look.by}: ${look.why || look.said.replace('_', ' ')}` },
    ]),
  );
}
