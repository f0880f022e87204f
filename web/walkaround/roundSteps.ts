import type { Schemas } from '../api/client';
import type { Answered } from '../kept/store';

export type Step =
  | { key: '~meter'; title: string; kind: 'meter'; meter: Schemas['Meter'] }
  | { key: string; title: string; kind: 'finding'; finding: Schemas['Finding']; check?: Schemas['Check'] }
  | { key: string; title: string; kind: 'check'; check: Schemas['Check'] };

/** What a round asks, one after the other: the meter, what is open, then once round the machine. */
export function roundSteps(
  walk: Schemas['Walk'],
  kind: Schemas['RoundKind'],
  answers: Record<string, Answered>,
): Step[] {
  const keys = walk.rounds.find((round) => round.kind === kind)?.keys ?? [];
  const checks = new Map(walk.checks.map((check) => [check.key, check]));
  const [meter] = walk.meters;
  const open = walk.findings.map(
    (finding): Step => ({
      key: finding.check,
      title: finding.title,
      kind: 'finding',
      finding,
      check: checks.get(finding.check),
    }),
  );
  const asked = new Set(open.map(({ key }) => key));
  const round = keys.flatMap((key): Step[] => {
    const check = checks.get(key);
    return !check || asked.has(key) || !isAsked(check, answers)
      ? []
      : [{ key, title: check.title, kind: 'check', check }];
  });
  return [
    ...(meter
      ? [
          {
            key: '~meter' as const,
            title: meter.unit === 'h' ? 'Hour meter' : 'Odometer',
            kind: 'meter' as const,
            meter,
          },
        ]
      : []),
    ...open,
    ...round,
  ];
}

/** A check that comes after another is asked only where that one was not fine. */
function isAsked(check: Schemas['Check'], answers: Record<string, Answered>): boolean {
  if (!check.after) return true;
  const before = answers[check.after];
  return (before?.said === 'not_fine' || before?.said === 'measured') && before.verdict !== 'fit';
}

/** The hardest of what the yard or this person said; a machine that stands down stays so. */
export function hardest(walk: Schemas['Walk'], answers: Record<string, Answered>): Schemas['Verdict'] {
  const told = Object.values(answers).map(({ verdict }) => verdict);
  const hardestFirst = [...walk.verdicts].reverse();
  return (
    hardestFirst.find((verdict) => told.includes(verdict) || (verdict === 'stand_down' && walk.stood_down)) ?? 'fit'
  );
}
