import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { useNavigate, useParams } from 'react-router';
import type { Schemas } from '../api/client';
import { walkQuery } from '../api/queries';
import { HandsHead, HandsPage, Question } from '../kit/Hands';
import { useTell } from '../kit/Undo';
import { queue } from '../notes/queue';
import { noteOf } from '../notes/told';
import { ReadingInHands, useKnownName } from '../trade/Reading';
import { CheckStep } from './CheckStep';
import type { OnSay } from './NotFine';

/** One thing is looked at by itself, in no round. */
export default function LookPage() {
  const machine = Number(useParams().machine);
  const known = useKnownName();
  const walk = useQuery(walkQuery(machine));
  const key = useParams().check;
  if (!walk.data) return <ReadingInHands title={known} error={walk.error} />;
  const check = walk.data.checks.find((one) => one.key === key);
  return (
    <HandsPage>
      <title>{`${check?.title ?? 'A look'}, ${walk.data.name}`}</title>
      <HandsHead>
        <h1>{walk.data.name}</h1>
        <span>one look</span>
      </HandsHead>
      {check ? (
        <Look walk={walk.data} check={check} />
      ) : (
        <Question>
          <p role="status">Nothing of that name is looked at on {walk.data.name}.</p>
        </Question>
      )}
    </HandsPage>
  );
}

function Look({ walk, check }: { walk: Schemas['Walk']; check: Schemas['Check'] }) {
  const navigate = useNavigate();
  const tell = useTell();
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => heading.current?.focus(), []);
  const say: OnSay = async (saying, words, _judged, photos) => {
    await queue.keep(
      noteOf({ kind: 'look', machine_id: walk.id, check: check.key, ...saying }),
      `${walk.name}: ${check.title}, ${words}`,
      photos,
    );
    tell(`${walk.name}: ${check.title} is noted.`);
    navigate(`/machines/${walk.id}/plate/${check.spot}`);
  };
  return <CheckStep heading={heading} machine={walk.id} check={check} onSay={say} />;
}
