import { useState } from 'react';
import { Actions, MainButton, PlainButton } from '../kit/Button';
import { Dialog } from '../kit/Dialog';
import { Field } from '../kit/Field';
import { Soft } from '../kit/Sheet';
import { useNote } from '../notes/useNote';
import { Refusal } from '../trade/Refusal';

/** What there is to ask of an entry, and whom it is about. */
export type Asked = {
  id: number;
  asks: string;
  machine_id: number;
  machine: string;
  in_words: string;
  by: string | null;
};

type Props = { asked: Asked; onClose: () => void; onCorrect?: () => void };

/** Whoever knows says why it is right as it stands; what is wrong is corrected instead. */
export function AnswerDialog({ asked, onClose, onCorrect }: Props) {
  const [because, setBecause] = useState('');
  const write = useNote(() => `${asked.machine}: answered.`, onClose);
  return (
    <Dialog title={`${asked.machine}: is that so?`} isOpen onClose={onClose}>
      <p>{asked.asks}</p>
      <Soft>
        {asked.in_words}. Told by {asked.by ?? 'nobody named'}.
      </Soft>
      <Field
        label="Why it is right"
        value={because}
        onChange={setBecause}
        error={write.fields.note}
        placeholder="It had run dry"
      />
      <Refusal refused={write.refused} besides={['note']} />
      <Actions>
        <MainButton
          isDisabled={write.busy}
          onPress={() =>
            write.tell(
              { kind: 'answer', machine_id: asked.machine_id, doubt: asked.id, note: because },
              `${asked.machine}: right so`,
            )
          }
        >
          It is right as it stands
        </MainButton>
        {onCorrect && <PlainButton onPress={onCorrect}>It is wrong: put it right</PlainButton>}
        <PlainButton onPress={onClose}>Leave it</PlainButton>
      </Actions>
    </Dialog>
  );
}
