import { useState } from 'react';
import type { Schemas } from '../api/client';
import { useNote } from '../kept/useNote';
import { Actions, MainButton, PlainButton } from '../kit/Button';
import { Dialog } from '../kit/Dialog';
import { Field } from '../kit/Field';
import { within } from '../kit/format';
import { Refusal } from '../kit/Refusal';
import { useDraft } from '../kit/useDraft';

type Props = { story: Schemas['SpotStory']; onClose: () => void };

/** Notes what was poured into a compartment by the way. */
export function TopUpDialog({ story, onClose }: Props) {
  const [amount, setAmount, clear] = useDraft(`top-up.${story.id}`, '');
  const [note, setNote] = useState('');
  const words = `${story.machine}: ${within(story.name)} topped up`;
  const write = useNote(
    () => `${words}.`,
    () => {
      clear();
      onClose();
    },
  );
  return (
    <Dialog title={`${story.name} of ${story.machine}, topped up`} isOpen onClose={onClose}>
      <Field
        label="How much went in"
        value={amount}
        onChange={setAmount}
        error={write.fields.amount ?? write.fields.spot}
        help="With its unit: 0.3 qt, 350 ml, 1 1/2 pt"
        placeholder="0.3 qt"
        autoFocus
      />
      <Field label="Anything to say about it" value={note} onChange={setNote} error={write.fields.note} />
      <Refusal refused={write.refused} besides={['amount', 'spot', 'note']} />
      <Actions>
        <MainButton
          isDisabled={write.busy}
          onPress={() =>
            write.tell(
              { kind: 'top_up', machine_id: story.machine_id, spot: story.key, amount, note: note || null },
              words,
            )
          }
        >
          {amount.trim() === '' ? 'It is topped up' : `${amount.trim()} went in`}
        </MainButton>
        <PlainButton onPress={onClose}>Leave it</PlainButton>
      </Actions>
    </Dialog>
  );
}
