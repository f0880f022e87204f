import type { Schemas } from '../api/client';
import { useNote } from '../kept/useNote';
import { Actions, MainButton, PlainButton } from '../kit/Button';
import { Dialog } from '../kit/Dialog';
import { Field } from '../kit/Field';
import { Refusal } from '../kit/Refusal';
import { Caution } from '../kit/Sheet';
import { useDraft } from '../kit/useDraft';

const NOTHING = '';

/** Stands a machine down, or lifts it; either way with a reason. */
export function StandDialog({ line, onClose }: { line: Schemas['YardLine']; onClose: () => void }) {
  const lifting = line.stood_down !== null;
  const [note, setNote, clear] = useDraft(`stand.${line.id}`, NOTHING);
  const words = lifting ? `${line.name} is lifted` : `${line.name} is stood down`;
  const write = useNote(
    () => `${words}.`,
    () => {
      clear();
      onClose();
    },
  );
  return (
    <Dialog title={lifting ? `Lift ${line.name}` : `Stand ${line.name} down`} isOpen onClose={onClose}>
      {lifting && <p>Stood down because: {line.stood_down?.because}</p>}
      <Caution>
        {lifting
          ? 'Try it yourself before anybody else uses it. A safety switch is never bypassed.'
          : 'Take the key out and leave a note on the seat: nobody may use it until a keeper or mechanic lifts this.'}
      </Caution>
      <Field
        label={lifting ? 'Why it may be used again' : 'What is wrong with it'}
        lines
        value={note}
        onChange={setNote}
        error={write.fields.note}
        autoFocus
      />
      <Refusal refused={write.refused} besides={['note']} />
      <Actions>
        <MainButton
          isDisabled={write.busy}
          onPress={() => write.tell({ kind: lifting ? 'lift' : 'stand_down', machine_id: line.id, note }, words)}
        >
          {lifting ? 'Lift it, fit for use' : 'Stand it down'}
        </MainButton>
        <PlainButton onPress={onClose}>Leave it</PlainButton>
      </Actions>
    </Dialog>
  );
}
