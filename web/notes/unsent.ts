import { withDevice } from '../offline/device';
import type { KeptNote } from '../offline/note';

/** What was written on this device and never sent, by whomever. */
export const unsentNotes = async (): Promise<KeptNote[]> =>
  (await withDevice((device) => device.all('notes'))).map(([, kept]) => kept);

export const takeOff = (): Promise<void> => withDevice((device) => device.clear('notes'));

/** Notes as a file that somebody can hand over, their pictures within it. */
export async function asFile(notes: KeptNote[]): Promise<Blob> {
  const told = await Promise.all(
    notes.map(async ({ note, label, photos }) => ({
      label,
      note,
      photos: await Promise.all(photos.map(async ({ id, blob }) => ({ id, jpeg: await base64(blob) }))),
    })),
  );
  return new Blob([JSON.stringify({ jardinier_notes: told }, null, 1)], { type: 'application/json' });
}

function base64(blob: Blob): Promise<string> {
  return new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result).replace(/^[^,]*,/, ''));
    reader.onerror = () => reject(reader.error);
    reader.readAsDataURL(blob);
  });
}
