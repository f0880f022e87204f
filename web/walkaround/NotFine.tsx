import { useState } from 'react';
import type { Schemas } from '../api/client';
import { Field } from '../kit/Field';
import { ChoicePress, Press, Presses, PressRow, Question } from '../kit/Hands';
import type { KeptNote } from '../offline/note';
import type { Verdict } from '../offline/states';
import { PhotoPick, PhotosTaken } from '../trade/PhotoPick';
import { colourOf, Stamp } from '../trade/Stamp';
import { useDigits } from './useDigits';

/** What is said of one look. */
export type Saying = Pick<Schemas['LookNote'], 'said' | 'verdict' | 'words' | 'values' | 'note' | 'confirmed_because'>;

export type OnSay = (saying: Saying, words: string, judged?: Verdict | null, photos?: KeptNote['photos']) => void;

type Props = { degrees: Schemas['Degree'][]; onSay: OnSay; onBack: () => void; back?: string };

/** In which way something is not fine: one press tells, a note and a picture may go with it. */
export function NotFine({ degrees, onSay, onBack, back = 'Fine after all' }: Props) {
  const [note, setNote] = useState('');
  const [photos, setPhotos] = useState<KeptNote['photos']>([]);
  const tell = ({ words, verdict }: Schemas['Degree']) =>
    onSay({ said: 'not_fine', verdict, words, note: note || null }, words, null, photos);
  useDigits(...degrees.map((degree) => () => tell(degree)));
  return (
    <>
      <Question style={{ paddingTop: 0 }}>
        <p>What is it? One press writes it down.</p>
        {degrees.map((degree, index) => (
          <ChoicePress key={degree.words} $colour={colourOf(degree.verdict)} onPress={() => tell(degree)}>
            {degree.words}
            <span>
              <sup aria-hidden="true">{index + 1}</sup> <Stamp state={degree.verdict} />
            </span>
          </ChoicePress>
        ))}
        <Field label="In your own words (if any)" value={note} onChange={setNote} lines />
        <PhotosTaken photos={photos} />
      </Question>
      <Presses>
        <PressRow>
          <PhotoPick onAdd={(photo) => setPhotos((before) => [...before, photo])} />
          <Press onPress={onBack}>{back}</Press>
        </PressRow>
      </Presses>
    </>
  );
}
