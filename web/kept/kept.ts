import { Refused } from '../api/client';
import { store, withStore } from './store';

/** An answer of the yard's, kept so that it can be read again without signal. */
export async function kept<T>(name: string, ask: () => Promise<T>): Promise<T> {
  try {
    const answer = await ask();
    void keep(name, answer);
    return answer;
  } catch (thrown) {
    if (!(thrown instanceof Refused) || thrown.problem.status !== 0) throw thrown;
    const before = (await withStore((device) => device.get('answers', name))) as T | undefined;
    if (before === undefined) throw thrown;
    return before;
  }
}

/** Keeps an answer; reading goes on where the device has no room for it. */
export async function keep(name: string, answer: unknown): Promise<void> {
  try {
    await (await store()).put('answers', answer, name);
  } catch {
    await (await store()).clear('answers').catch(() => undefined);
  }
}

/** What one person read here is not the next one's to read. */
export async function forgetAnswers(): Promise<void> {
  await withStore((device) => Promise.all([device.clear('answers'), device.clear('rounds')]));
}
