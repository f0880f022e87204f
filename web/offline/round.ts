import { named } from './names';
import { hardest, isFine, type Verdict } from './states';

/** What is known of a check, by the names of the contract. */
export type Check = { key: string; title: string; after: string | null; can_stand_down: boolean };

/** What is open from before, at a check. */
export type Found = { check: string; title: string };

/** What was said of one thing in a round on this device. */
export type Answered = {
  note: string;
  said: 'fine' | 'not_fine' | 'not_looked' | 'measured' | 'read' | 'greased';
  /** Null where nobody can tell yet, or it was not looked at. */
  verdict: Verdict | null;
  words: string;
  values?: Record<string, unknown>;
};

type Answers = Readonly<Record<string, Answered>>;

/** The verdict that goes with what is said: of what was measured, as it was judged; none where nothing was looked at. */
export function verdictSaid(
  { said, verdict = null }: { said: string; verdict?: Verdict | null },
  judged: Verdict | null = null,
): Verdict | null {
  if (said === 'fine') return named('fit');
  if (said === 'not_fine') return verdict;
  return said === 'measured' ? judged : null;
}

/** What a round asks of what it can ask, by what was told so far: a check that comes after another only where that one was not fine. */
export function asked<C extends Check>(checks: readonly C[], found: readonly Found[], answers: Answers): C[] {
  const open = new Set(found.map(({ check }) => check));
  return checks.filter(({ key, after }) => !open.has(key) && (after === null || isNotFine(answers[after])));
}

const isNotFine = (answer: Answered | undefined): boolean =>
  answer !== undefined && isLookedAt(answer) && !isFine(answer.verdict);

const isLookedAt = ({ said }: Answered): boolean => said !== 'not_looked' && said !== 'read';

/** What a round says of its machine: nothing, as long as something that could keep people off it was not judged. */
export function outcomeOf(
  checks: readonly Check[],
  found: readonly Found[],
  answers: Answers,
  isStoodDown: boolean,
): { verdict: Verdict | null; notJudged: string[] } {
  const things = [
    ...found.map(({ check, title }) => ({ key: check, title, can_stand_down: true })),
    ...asked(checks, found, answers),
  ];
  const judged = Object.values(answers).flatMap(({ verdict }) => verdict ?? []);
  const open = things.filter(({ key }) => !answers[key]?.verdict);
  const decisive = open.filter(({ can_stand_down }) => can_stand_down);
  const notJudged = (judged.length + decisive.length === 0 ? open : decisive).map(({ title }) => title);
  const worst = hardest<Verdict>(isStoodDown ? [...judged, named('stand_down')] : judged);
  const isJudged = worst !== undefined && (!isFine(worst) || notJudged.length === 0);
  return { verdict: isJudged ? worst : null, notJudged };
}
