import { useState } from 'react';
import { answer, api } from '../api/client';
import { Actions, MainButton, PlainButton } from '../kit/Button';
import { Dialog } from '../kit/Dialog';
import { WrongText } from '../kit/Field';
import { useQueue } from '../notes/useQueue';
import { forgetWhatWasRead } from '../offline/forget';
import { Refused } from '../offline/refused';
import { becomes } from '../offline/whose';

/** Asks before somebody is signed out: what was not sent stays, what was read and begun is forgotten. */
export default function SignOut({ onClose }: { onClose: () => void }) {
  const { notes } = useQueue();
  const [busy, setBusy] = useState(false);
  const [wrong, setWrong] = useState('');
  const signOut = async () => {
    setBusy(true);
    try {
      await answer(api.DELETE('/session'));
    } catch (thrown) {
      if (!(thrown instanceof Refused)) throw thrown;
      setBusy(false);
      setWrong(
        thrown.problem.status === 0
          ? 'The yard does not answer, so nobody could be signed out, and nothing was forgotten. Try again where there is signal.'
          : thrown.problem.detail,
      );
      return;
    }
    await forgetWhatWasRead();
    becomes(null);
    location.assign('/');
  };
  return (
    <Dialog title="Sign out" isOpen onClose={onClose}>
      {notes.length > 0 && (
        <p>
          {notes.length === 1 ? '1 note was' : `${notes.length} notes were`} not sent yet. They stay on this device
          until you sign in here again.
        </p>
      )}
      <p>What you read here and what you began is forgotten on this device.</p>
      {wrong && <WrongText role="alert">{wrong}</WrongText>}
      <Actions>
        <MainButton isDisabled={busy} onPress={signOut}>
          Sign out
        </MainButton>
        <PlainButton onPress={onClose}>Stay signed in</PlainButton>
      </Actions>
    </Dialog>
  );
}
