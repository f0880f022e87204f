import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import type { Schemas } from '../api/client';
import { walkQuery } from '../api/queries';
import { Choice } from '../kit/Choice';
import { Field } from '../kit/Field';
import { within } from '../kit/format';
import { HandsHead, HandsPage, Question } from '../kit/Hands';
import { Soft } from '../kit/Sheet';
import { useTell } from '../kit/Undo';
import { queue } from '../notes/queue';
import { noteOf } from '../notes/told';
import { ReadingInHands, useKnownName } from '../trade/Reading';
import { NotFine, type OnSay } from './NotFine';

/** Something is wrong that no check looks at: what it does points to where it may be. */
export default function FoundPage() {
  const machine = Number(useParams().machine);
  const known = useKnownName();
  const walk = useQuery(walkQuery(machine));
  if (!walk.data) return <ReadingInHands title={known} error={walk.error} />;
  return <Found walk={walk.data} />;
}

function Found({ walk }: { walk: Schemas['Walk'] }) {
  const navigate = useNavigate();
  const tell = useTell();
  const [symptom, setSymptom] = useState('');
  const [search] = useSearchParams();
  const [spot, setSpot] = useState(search.get('spot') ?? '');
  const [title, setTitle] = useState('');
  const [errors, setErrors] = useState<{ spot?: string; title?: string }>({});
  const { name } = walk;
  const shown = walk.symptoms.find((one) => one.symptom === symptom);
  const pointedAt = new Set(shown?.spots.map(({ key }) => key));
  const rest = walk.spots.filter(({ key }) => !pointedAt.has(key));
  const found: OnSay = async (saying, words, _judged, photos) => {
    const about = title.trim() || shown?.label || '';
    const wrong = {
      ...(!spot && { spot: 'Say where on the machine.' }),
      ...(!about && { title: 'Say what it is about.' }),
    };
    setErrors(wrong);
    if (Object.keys(wrong).length > 0) return;
    await queue.keep(
      noteOf({ kind: 'look', machine_id: walk.id, spot, title: about, ...saying }),
      `${name}: ${about}, ${words}`,
      photos,
    );
    tell(`${name}: ${about} is noted.`);
    navigate(`/walkaround/${walk.id}`);
  };
  return (
    <HandsPage>
      <title>{`Something found on ${name}`}</title>
      <HandsHead>
        <h1>{name}</h1>
        <span>something found</span>
      </HandsHead>
      <Question style={{ flex: 'none' }}>
        <h2>What is wrong, and where?</h2>
        <Choice
          label="What it does (if it does something)"
          value={symptom}
          onChange={(one) => {
            setSymptom(one);
            setSpot('');
          }}
          options={[
            { value: '', label: 'none of these' },
            ...walk.symptoms.map((one) => ({ value: one.symptom, label: one.label })),
          ]}
        />
        {shown && (
          <Soft>That points to: {shown.spots.map((one) => within(one.name)).join('; ')}. Look there first.</Soft>
        )}
        <Choice
          label="Where"
          value={spot}
          onChange={setSpot}
          options={[
            { value: '', label: 'choose where' },
            ...[...(shown?.spots ?? []), ...rest].map((one) => ({ value: one.key, label: one.name })),
          ]}
          error={errors.spot}
        />
        <Field
          label={shown ? 'In a few words (if more is to say)' : 'What it is about, in a few words'}
          value={title}
          onChange={setTitle}
          error={errors.title}
          placeholder="Bonnet catch springs open"
        />
      </Question>
      <NotFine degrees={walk.usual_degrees} onSay={found} onBack={() => navigate(-1)} back="Nothing after all" />
    </HandsPage>
  );
}
