import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { shelfQuery } from '../api/queries';
import { usePerson } from '../api/usePerson';
import { Actions, MainButton, PlainButton, QuietButton } from '../kit/Button';
import { Dialog } from '../kit/Dialog';
import { Field } from '../kit/Field';
import { Caution, Empty, Line, Margin, Ruled } from '../kit/Sheet';
import { useNote } from '../notes/useNote';
import { ReadingInSheet } from '../trade/Reading';
import { Refusal } from '../trade/Refusal';

type Waiting = Schemas['Shelf']['waiting'][number];

/** Used oil, filters and the like until they are taken to the collection point. */
export default function UsedLeaf() {
  const shelf = useQuery(shelfQuery);
  const role = usePerson().role;
  const [taken, setTaken] = useState<Waiting | null>(null);
  if (!shelf.data) return <ReadingInSheet error={shelf.error} />;
  const { waiting } = shelf.data;
  return (
    <>
      {waiting.map((one) => (
        <Ruled key={one.waste}>
          <Line>
            <p>
              <strong>{one.in_words}</strong> of {one.label}
            </p>
          </Line>
          <Margin>
            <p>{one.why}</p>
            {(role === 'keeper' || role === 'mechanic') && (
              <QuietButton onPress={() => setTaken(one)} aria-label={`Taken away: ${one.label}`}>
                Taken away
              </QuietButton>
            )}
          </Margin>
        </Ruled>
      ))}
      {waiting.length === 0 ? (
        <Empty>Nothing waits to be taken away.</Empty>
      ) : (
        <Ruled>
          <Line>
            <Caution>
              Used oil, filters and coolant go to the collection point that your local rules name: never into a drain,
              never onto the ground, never mixed with each other.
            </Caution>
          </Line>
        </Ruled>
      )}
      {taken && <TakenDialog of={taken} onClose={() => setTaken(null)} />}
    </>
  );
}

function TakenDialog({ of, onClose }: { of: Waiting; onClose: () => void }) {
  const [left, setLeft] = useState('');
  const write = useNote((entry) => `${entry?.in_words}.`, onClose);
  const filters = of.waste === 'filters';
  return (
    <Dialog title={`${of.label}, taken away`} isOpen onClose={onClose}>
      <p>{of.in_words} waited by the book.</p>
      <Field
        label="What is left of it, if anything"
        value={left}
        onChange={setLeft}
        placeholder={filters ? '0' : '0 L'}
        error={write.fields.left ?? write.fields.pieces_left}
        autoFocus
      />
      <Refusal refused={write.refused} besides={['left', 'pieces_left']} />
      <Actions>
        <MainButton
          isDisabled={write.busy}
          onPress={() =>
            write.tell(
              {
                kind: 'collected',
                waste: of.waste,
                ...(left.trim() !== '' && (filters ? { pieces_left: left } : { left })),
              },
              `${of.label} taken away`,
            )
          }
        >
          It was taken away
        </MainButton>
        <PlainButton onPress={onClose}>Leave it</PlainButton>
      </Actions>
    </Dialog>
  );
}
