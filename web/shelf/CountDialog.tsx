import { useState } from 'react';
import { asksWhy, type Schemas } from '../api/client';
import { Actions, MainButton, PlainButton } from '../kit/Button';
import { Dialog } from '../kit/Dialog';
import { Field } from '../kit/Field';
import { Soft } from '../kit/Sheet';
import { useNote } from '../notes/useNote';
import { useDraft } from '../offline/drafts';
import { Refusal } from '../trade/Refusal';

const NOTHING: { left: Record<string, string>; pieces: string; because: string; sure: string } = {
  left: {},
  pieces: '',
  because: '',
  sure: '',
};

/** Counts what is there of one supply: what the book said is put right, with the reason. */
export function CountDialog({ of, onClose }: { of: Schemas['ShelfSupply']; onClose: () => void }) {
  const [draft, setDraft, clear] = useDraft(`count.${of.id}`, NOTHING);
  // What whoever counts has before their eyes, however long the form stays open.
  const [seen] = useState(of.left.value);
  const change = (part: Partial<typeof draft>) => setDraft((before) => ({ ...before, ...part }));
  const write = useNote(
    (entry) => `${entry?.in_words}.`,
    () => {
      clear();
      onClose();
    },
  );
  const asked = asksWhy(write.refused?.problem);
  const counted =
    of.kind === 'part'
      ? { pieces: draft.pieces }
      : {
          containers: of.containers.map(({ id, left }) => ({
            container: id,
            left: draft.left[id] ?? `${left.value} ${left.unit}`,
          })),
        };
  return (
    <Dialog title={`Count ${of.name}`} isOpen onClose={onClose}>
      <Soft>By the book there is {of.left.in_words}.</Soft>
      {of.kind === 'part' ? (
        <Field
          label="How many are there"
          value={draft.pieces}
          onChange={(pieces) => change({ pieces })}
          error={write.fields.pieces}
          inputMode="numeric"
          autoFocus
        />
      ) : (
        of.containers.map(({ id, size, left_in_words: written, opened_on: opened }, index) => (
          <Field
            key={id}
            label={`Left in ${opened ? 'the open' : 'the'} ${size}`}
            value={draft.left[id] ?? written}
            onChange={(typed) => change({ left: { ...draft.left, [id]: typed } })}
            error={write.fields[`containers.${index}.left`]}
            help={index === 0 ? 'With its unit; 0 L where it is empty or gone' : undefined}
            autoFocus={index === 0}
          />
        ))
      )}
      <Field
        label="Why it is not what the book says, if it is not"
        value={draft.because}
        onChange={(because) => change({ because })}
        error={write.fields.because}
      />
      <Refusal
        refused={write.refused}
        besides={['pieces', 'because', ...of.containers.map((_, index) => `containers.${index}.left`)]}
      />
      {asked && (
        <Field
          label="Why your count is right"
          value={draft.sure}
          onChange={(sure) => change({ sure })}
          error={write.fields.confirmed_because}
        />
      )}
      <Actions>
        <MainButton
          isDisabled={write.busy}
          onPress={() =>
            write.tell(
              {
                kind: 'counted',
                supply: of.id,
                ...counted,
                seen,
                because: draft.because || null,
                confirmed_because: asked ? draft.sure || null : null,
              },
              `${of.name} counted`,
            )
          }
        >
          So much is there
        </MainButton>
        <PlainButton onPress={onClose}>Leave it</PlainButton>
      </Actions>
    </Dialog>
  );
}
