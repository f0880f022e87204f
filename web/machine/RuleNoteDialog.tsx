import type { Schemas } from '../api/client';
import { Actions, MainButton, PlainButton } from '../kit/Button';
import { Dialog } from '../kit/Dialog';
import { Field } from '../kit/Field';
import { Caution, Soft } from '../kit/Sheet';
import { useNote } from '../notes/useNote';
import { useDraft } from '../offline/drafts';
import { Refusal } from '../trade/Refusal';

const NOTHING = '';

const WORDS = {
  skip: {
    title: 'Skip this time',
    field: 'Why it is passed over',
    button: 'Skip it, next time as the book has it',
    told: 'skipped this time',
  },
  call: {
    title: 'A check calls for it',
    field: 'What was seen',
    button: 'Make it due',
    told: 'is due: a check calls for it',
  },
};

type Props = { what: 'skip' | 'call'; rule: Schemas['Rule']; machine: Schemas['YardLine']; onClose: () => void };

/** Passes over a due point on purpose, or makes a task due because a check says so; either way with a reason. */
export function RuleNoteDialog({ what, rule, machine, onClose }: Props) {
  const words = WORDS[what];
  const [note, setNote, clear] = useDraft(`${what}.${rule.id}`, NOTHING);
  const told = `${machine.name}: ${rule.task} ${words.told}`;
  const write = useNote(
    () => `${told}.`,
    () => {
      clear();
      onClose();
    },
  );
  return (
    <Dialog title={`${rule.task}: ${words.title.toLowerCase()}`} isOpen onClose={onClose}>
      <p>{what === 'skip' ? rule.standing.why : `It waits for this: ${rule.condition}.`}</p>
      {what === 'skip' && (
        <Soft>What is in it goes on running. The hours it will then have run are told with the rule.</Soft>
      )}
      {what === 'skip' && rule.cautions.map((caution) => <Caution key={caution}>{caution}</Caution>)}
      <Field label={words.field} lines value={note} onChange={setNote} error={write.fields.note} autoFocus />
      <Refusal refused={write.refused} besides={['note']} />
      <Actions>
        <MainButton
          isDisabled={write.busy}
          onPress={() => write.tell({ kind: what, machine_id: machine.id, tasks: [rule.task_id], note }, told)}
        >
          {words.button}
        </MainButton>
        <PlainButton onPress={onClose}>Leave it</PlainButton>
      </Actions>
    </Dialog>
  );
}
