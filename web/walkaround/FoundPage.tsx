import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { walkQuery } from '../api/queries';
import { keepNote } from '../kept/outbox';
import { newId } from '../kept/store';
import { now } from '../kit/clock';
import { Field } from '../kit/Field';
import { HandsHead, HandsPage, Question } from '../kit/Hands';
import { ReadingInHands, useKnownName } from '../kit/Reading';
import { useTell } from '../kit/Undo';
import { USUAL_DEGREES } from './FindingStep';
import { NotFine, type OnSay } from './NotFine';

/** Something is wrong that no check looks at. */
export default function FoundPage() {
  const machine = Number(useParams().machine);
  const known = useKnownName();
  const walk = useQuery(walkQuery(machine));
  const navigate = useNavigate();
  const tell = useTell();
  const [title, setTitle] = useState('');
  const [error, setError] = useState<string>();
  if (!walk.data) return <ReadingInHands title={known} error={walk.error} />;
  const { name } = walk.data;
  const found: OnSay = async (saying, _verdict, words, photos) => {
    if (title.trim() === '') {
      setError('Say what it is about.');
      return;
    }
    await keepNote(
      { id: newId(), kind: 'look', at: now().toISOString(), machine_id: machine, ...saying, title: title.trim() },
      `${name}: ${title}, ${words}`,
      photos,
    );
    tell(`${name}: ${title.trim()} is noted.`);
    navigate(`/walkaround/${machine}`);
  };
  return (
    <HandsPage>
      <title>{`Something found on ${name}`}</title>
      <HandsHead>
        <h1>{name}</h1>
        <span>something found</span>
      </HandsHead>
      <Question style={{ flex: 'none' }}>
        <h2>What is it about?</h2>
        <Field label="The part or place" value={title} onChange={setTitle} error={error} placeholder="Bonnet catch" />
      </Question>
      <NotFine degrees={USUAL_DEGREES} onSay={found} onBack={() => navigate(-1)} back="Nothing after all" />
    </HandsPage>
  );
}
