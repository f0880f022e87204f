import { Refused } from '../api/client';
import { store } from './store';

/** An answer of the yard's, kept so that it can be read again without signal. */
export async function kept<T>(name: string, ask: () => Promise<T>): Promise<T> {
  try {
    const answer = await ask();
    void store().then((db) => db.put('answers', answer, name));
    return answer;
  } catch (thrown) {
    if (!(thrown instanceof Refused) || thrown.problem.status !== 0) throw thrown;
    const before = (await (await store()).get('answers', name)) as T | undefined;
    if (before === undefined) throw thrown;
    return before;
  }
}

/** What one person read here is not the next one's to read. */
export async function forgetAnswers(): Promise<void> {
  const db = await store();
  await Promise.all([db.clear('answers'), db.clear('rounds')]);
}
