import { useState } from 'react';
import type { Schemas } from '../api/client';
import { Actions, MainButton, PlainButton } from '../kit/Button';
import { Dialog } from '../kit/Dialog';
import { Field } from '../kit/Field';
import { sinceDay } from '../kit/format';
import { Caution } from '../kit/Sheet';
import { Ticks } from '../kit/Tick';
import { useNote } from '../notes/useNote';
import { useDraft } from '../offline/drafts';
import { Refusal } from '../trade/Refusal';

const NOTHING = '';

type Props = { line: Schemas['YardLine']; onClose: () => void };

/** Stands a machine down, beside whatever stands it down already. */
export function StandDownDialog({ line, onClose }: Props) {
  const [note, setNote, clear] = useDraft(`stand.${line.id}`, NOTHING);
  const words = `${line.name} is stood down`;
  const write = useNote(
    () => `${words}.`,
    () => {
      clear();
      onClose();
    },
  );
  return (
    <Dialog title={`Stand ${line.name} down`} isOpen onClose={onClose}>
      <Caution>
        Take the key out and leave a note on the seat: nobody may use it until a keeper or mechanic lifts this.
      </Caution>
      <Field label="What is wrong with it" lines value={note} onChange={setNote} error={write.fields.note} autoFocus />
      <Refusal refused={write.refused} besides={['note']} />
      <Actions>
        <MainButton
          isDisabled={write.busy}
          onPress={() => write.tell({ kind: 'stand_down', machine_id: line.id, note }, words)}
        >
          Stand it down
        </MainButton>
        <PlainButton onPress={onClose}>Leave it</PlainButton>
      </Actions>
    </Dialog>
  );
}

/** Lifts what stands a machine down: what is named, and nothing else. */
export function LiftDialog({ line, onClose }: Props) {
  const words = line.stood_down?.words ?? [];
  const [ticked, setTicked] = useState<string[]>([]);
  // What stands alone needs no tick; what somebody has lifted meanwhile is not there to be lifted.
  const chosen = words.map(({ id }) => id).filter((id) => words.length === 1 || ticked.includes(id));
  const [note, setNote, clear] = useDraft(`lift.${line.id}`, NOTHING);
  const left = words.filter(({ id }) => !chosen.includes(id));
  const said =
    left.length === 0 ? `${line.name} is lifted` : `Lifted. ${line.name} still stands down: ${left[0]?.because ?? ''}`;
  const write = useNote(
    () => (left.length === 0 ? `${said}.` : said),
    () => {
      clear();
      onClose();
    },
  );
  return (
    <Dialog title={`Lift ${line.name}`} isOpen onClose={onClose}>
      {words.length === 1 && <p>{wordLine(words[0], line)}</p>}
      {words.length > 1 && (
        <Ticks
          label="What is over with? Any other keeps it down"
          value={chosen}
          onChange={setTicked}
          options={words.map((word) => ({ value: word.id, label: wordLine(word, line) }))}
          error={write.fields.lifts}
        />
      )}
      <Caution>Try it yourself before anybody else uses it. A safety switch is never bypassed.</Caution>
      <Field
        label="Why it may be used again"
        lines
        value={note}
        onChange={setNote}
        error={write.fields.note}
        autoFocus
      />
      <Refusal refused={write.refused} besides={['note', 'lifts']} />
      <Actions>
        <MainButton
          isDisabled={write.busy}
          onPress={() => write.tell({ kind: 'lift', machine_id: line.id, note, lifts: chosen }, said)}
        >
          {left.length === 0 ? 'Lift it, fit for use' : 'Lift what is ticked'}
        </MainButton>
        <PlainButton onPress={onClose}>Leave it</PlainButton>
      </Actions>
    </Dialog>
  );
}

/** `Rosa, since 12 May: brake pedal play 41 mm` */
function wordLine(word: Schemas['StandDownWord'] | undefined, line: Schemas['YardLine']): string {
  if (!word) return '';
  return `${word.by ?? 'Somebody'}, ${sinceDay(word.on, line.rail.today)}: ${word.because ?? ''}`;
}
