import type { Schemas } from '../api/client';
import { type Answered, asked, outcomeOf } from '../offline/round';

export type Step =
  | { key: '~meter'; title: string; kind: 'meter'; meter: Schemas['Meter'] }
  | { key: string; title: string; kind: 'finding'; finding: Schemas['Finding']; check?: Schemas['Check'] }
  | { key: string; title: string; kind: 'check'; check: Schemas['Check'] };

type Answers = Record<string, Answered>;

/** What a round asks, one after the other: the meter, what is open, then once round the machine. */
export function roundSteps(walk: Schemas['Walk'], kind: Schemas['RoundKind'], answers: Answers): Step[] {
  const checks = new Map(walk.checks.map((check) => [check.key, check]));
  const [meter] = walk.meters;
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
    ...walk.findings.map((finding) => ({
      key: finding.check,
      title: finding.title,
      kind: 'finding' as const,
      finding,
      check: checks.get(finding.check),
    })),
    ...asked(checksOf(walk, kind), walk.findings, answers).map((check) => ({
      key: check.key,
      title: check.title,
      kind: 'check' as const,
      check,
    })),
  ];
}

export const roundOutcome = (walk: Schemas['Walk'], kind: Schemas['RoundKind'], answers: Answers) =>
  outcomeOf(checksOf(walk, kind), walk.findings, answers, walk.stood_down !== null);

function checksOf(walk: Schemas['Walk'], kind: Schemas['RoundKind']): Schemas['Check'][] {
  const checks = new Map(walk.checks.map((check) => [check.key, check]));
  return (walk.rounds.find((round) => round.kind === kind)?.keys ?? []).flatMap((key) => checks.get(key) ?? []);
}
