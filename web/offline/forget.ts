import { withDevice } from './device';
import { forgetDrafts } from './drafts';

/** Whoever was let in here is so no more: what they read and began is nobody's to read now. What they wrote and was not sent stays. */
export async function forgetWhatWasRead(): Promise<void> {
  forgetDrafts();
  await withDevice((device) => Promise.all([device.clear('answers'), device.clear('rounds')]));
}
