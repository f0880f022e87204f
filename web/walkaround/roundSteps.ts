import type { Schemas } from '../api/client';
import type { Answered } from '../notes/answered';

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

/** What a round says of its machine: nothing, as long as something that could keep people off it was not judged. */
export function roundOutcome(
  walk: Schemas['Walk'],
  steps: Step[],
  answers: Record<string, Answered>,
): { verdict: Schemas['Verdict'] | null; notJudged: string[] } {
  const told = steps.flatMap(({ key }) => answers[key]?.verdict ?? []);
  const open = steps.filter((step) => step.kind !== 'meter' && !answers[step.key]?.verdict);
  const decisive = open.filter(
    (step) => step.kind === 'finding' || (step.kind === 'check' && step.check.can_stand_down),
  );
  const notJudged = (told.length + decisive.length === 0 ? open : decisive).map(({ title }) => title);
  const hardest = walk.verdicts.findLast(
    (verdict) => told.includes(verdict) || (verdict === 'stand_down' && walk.stood_down),
  );
  const isJudged = hardest !== undefined && (hardest !== 'fit' || notJudged.length === 0);
  return { verdict: isJudged ? hardest : null, notJudged };
}
