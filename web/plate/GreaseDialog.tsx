import { useState } from 'react';
import { asksWhy, type Schemas } from '../api/client';
import { Actions, MainButton, PlainButton } from '../kit/Button';
import { Count } from '../kit/Count';
import { Dialog } from '../kit/Dialog';
import { Field } from '../kit/Field';
import { within } from '../kit/format';
import { Soft } from '../kit/Sheet';
import { useNote } from '../notes/useNote';
import { Refusal } from '../trade/Refusal';

type Props = { story: Schemas['SpotStory']; grease: Schemas['GreasePoint']; onClose: () => void };

/** Notes the grease that one point got, or that it did not go in. */
export function GreaseDialog({ story, grease, onClose }: Props) {
  const [strokes, setStrokes] = useState<number | null>(grease.strokes);
  const [because, setBecause] = useState('');
  const write = useNote(() => `${story.machine}: ${within(story.name)} told.`, onClose);
  const tell = (given: { strokes: number | null } | { did_not_go_in: true }, words: string) =>
    write.tell(
      { kind: 'grease', machine_id: story.machine_id, spot: story.key, ...given, confirmed_because: because || null },
      `${story.machine}: ${within(story.name)}, ${words}`,
    );
  return (
    <Dialog title={`${story.name} of ${story.machine}`} isOpen onClose={onClose}>
      <Soft>{grease.grease}. Wipe the nipple first.</Soft>
      <Count
        label={`Strokes, ${grease.end_in_words}`}
        value={strokes}
        onChange={setStrokes}
        error={write.fields.strokes}
        help={grease.most === null ? undefined : `${grease.most} at most: more does harm here.`}
        autoFocus
      />
      {asksWhy(write.refused?.problem) && <Field label="Why so many" value={because} onChange={setBecause} />}
      <Refusal refused={write.refused} besides={['strokes']} />
      <Actions>
        <MainButton isDisabled={write.busy} onPress={() => tell({ strokes }, `${strokes} strokes`)}>
          {strokes === 1 ? 'One stroke given' : `${strokes ?? 'No'} strokes given`}
        </MainButton>
        <PlainButton isDisabled={write.busy} onPress={() => tell({ did_not_go_in: true }, 'did not go in')}>
          It did not go in
        </PlainButton>
        <PlainButton onPress={onClose}>Leave it</PlainButton>
      </Actions>
    </Dialog>
  );
}
