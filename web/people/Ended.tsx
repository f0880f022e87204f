import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Actions, PlainButton, QuietButton } from '../kit/Button';
import { count } from '../kit/format';
import { Caution } from '../kit/Sheet';
import { asFile, takeOff, unsentNotes } from '../notes/unsent';
import { forgetWhatWasRead } from '../offline/forget';

/** Whoever was signed in on this device is so no more: it forgets what they read, and gives out what was never sent. */
export function Ended() {
  const [saved, setSaved] = useState(false);
  useEffect(() => void forgetWhatWasRead(), []);
  const unsent = useQuery({ queryKey: ['unsent'], queryFn: unsentNotes });
  const notes = unsent.data ?? [];
  const save = async () => {
    const link = document.createElement('a');
    link.href = URL.createObjectURL(await asFile(notes));
    link.download = 'notes-not-sent.json';
    link.click();
    URL.revokeObjectURL(link.href);
    setSaved(true);
  };
  return (
    <Caution>
      <p>Your access on this device has ended. What was read here is forgotten.</p>
      {notes.length > 0 && (
        <>
          <p>
            {notes.length === 1
              ? '1 note that was written here was'
              : `${count(notes.length)} notes that were written here were`}{' '}
            never sent. Signing in again sends yours; or save them and hand them to a keeper.
          </p>
          <Actions>
            <PlainButton onPress={save}>Save them as a file</PlainButton>
            {saved && (
              <QuietButton onPress={() => takeOff().then(() => unsent.refetch())}>
                Take them off this device
              </QuietButton>
            )}
          </Actions>
        </>
      )}
    </Caution>
  );
}
