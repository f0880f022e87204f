/** Why something was not done, in the yard's words. */
export type Problem = {
  type: string;
  title: string;
  /** Of HTTP; 0 where nobody answered. */
  status: number;
  detail: string;
  errors?: Record<string, string[]>;
};

const SECOND = 1_000;

/** A request that was refused, with the server's own words, or that nobody answered. */
export class Refused extends Error {
  readonly problem: Problem;
  /** After how many milliseconds the server wants to be asked again, where it says so. */
  readonly again: number | undefined;

  /** @param retryAfter seconds, as the header of that name says */
  constructor(problem: Problem, retryAfter?: string | null) {
    super(problem.detail);
    this.problem = problem;
    const seconds = Number(retryAfter);
    this.again = seconds > 0 ? seconds * SECOND : undefined;
  }

  /** Whether the same may be answered later: nobody answered, the yard is being put right, or whoever asks is not let in for now. */
  get mayPass(): boolean {
    return isPassing(this.problem.status);
  }

  /** Messages by field. */
  get fields(): Record<string, string> {
    return Object.fromEntries(
      Object.entries(this.problem.errors ?? {}).map(([field, messages]) => [field, messages.join(' ')]),
    );
  }
}

/** Not signed in, too slow, too early, too often: nothing that whoever wrote could put right. */
const PASSING = [0, 401, 408, 425, 429];

const isPassing = (status: number): boolean => PASSING.includes(status) || status >= 500;

/** The device has no connection of any kind: nothing left it. */
export const CUT_OFF = '/problems/cut-off';

export const UNREACHABLE: Problem = {
  type: '/problems/unreachable',
  title: 'No answer',
  status: 0,
  detail: 'The yard does not answer. What you typed is kept here; try again when there is a connection.',
};
