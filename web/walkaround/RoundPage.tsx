import { useCallback, useEffect, useEffectEvent, useRef, useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { quietLink } from '../kit/Button';
import { sinceDay, within } from '../kit/format';
import { HandsHead, HandsPage, StoodDownPlate } from '../kit/Hands';
import { NothingHere } from '../kit/NothingHere';
import { useShown } from '../kit/presses';
import { Unseen } from '../kit/Unseen';
import { ReadingInHands, useKnownName } from '../trade/Reading';
import { ROUND_WORDS } from '../trade/words';
import { CheckStep } from './CheckStep';
import { FindingStep } from './FindingStep';
import { MeterStep } from './MeterStep';
import { RoundEnd } from './RoundEnd';
import { RoundProgress } from './RoundProgress';
import { useRound } from './useRound';

const END = '~end';
const BackLink = styled(Link)`${quietLink} align-self: flex-start;`;

/** A round, one thing at a time. */
export default function RoundPage() {
  const machine = Number(useParams().machine);
  const known = useKnownName();
  const kind = useParams().kind as Schemas['RoundKind'];
  const round = useRound(machine, kind);
  const [search] = useSearchParams();
  const navigate = useNavigate();
  const heading = useRef<HTMLHeadingElement>(null);
  const [told, setTold] = useState('');
  const { walk, progress, steps, answers } = round;
  const first = steps.find(({ key }) => !answers[key])?.key ?? END;
  const here = search.get('at') ?? first;
  const index = steps.findIndex(({ key }) => key === here);
  const step = steps[index];

  useEffect(() => {
    if (step || here === END) heading.current?.focus();
  }, [here, step]);
  useShown(here);
  const finish = useEffectEvent(() => void round.end());
  const atEnd = walk !== undefined && progress !== null && steps.length > 0 && !step;
  useEffect(() => {
    if (atEnd) finish();
  }, [atEnd]);

  const go = useCallback((key: string) => navigate(`?at=${encodeURIComponent(key)}`), [navigate]);
  if (walk && !walk.rounds.some((one) => one.kind === kind))
    return (
      <NothingHere
        says="There is no such round."
        to={`/walkaround/${machine}`}
        leadsTo={`The rounds of ${walk.name}`}
      />
    );
  if (!walk || !progress) return <ReadingInHands title={known} error={walk ? null : round.asked.error} />;
  /** The next one that is not told yet, further round first. */
  const next = (words: string) => {
    const open = (candidate: (typeof steps)[number]) => candidate.key !== here && !answers[candidate.key];
    const following = steps.slice(index + 1).find(open) ?? steps.slice(0, Math.max(0, index)).find(open);
    setTold(`${step?.title}: ${words}.`);
    go(following?.key ?? END);
  };
  const before = steps[index < 0 ? steps.length - 1 : index - 1];
  return (
    <HandsPage>
      <title>{`${walk.name}, ${ROUND_WORDS[kind]}`}</title>
      <HandsHead>
        <h1>{walk.name}</h1>
        <span>
          {ROUND_WORDS[kind]}
          {step && `, ${index + 1} of ${steps.length}`}
        </span>
      </HandsHead>
      <RoundProgress steps={steps} answers={answers} here={here} />
      {walk.stood_down && (
        <StoodDownPlate>
          <p>
            Stood down {sinceDay(walk.stood_down.on, walk.today)}
            {walk.stood_down.by && ` by ${walk.stood_down.by}`}: {walk.stood_down.because} Look and note; only a keeper
            or mechanic lifts it.
          </p>
        </StoodDownPlate>
      )}
      <Unseen role="status" aria-live="polite">
        {told}
      </Unseen>
      {step?.kind === 'meter' && (
        <MeterStep
          key={step.key}
          heading={heading}
          step={step}
          today={walk.today}
          onRead={(value) => round.read(value, step.meter).then(() => next(value ?? 'not run'))}
        />
      )}
      {step?.kind === 'finding' && (
        <FindingStep
          key={step.key}
          heading={heading}
          step={step}
          today={walk.today}
          usualDegrees={walk.usual_degrees}
          answered={answers[step.key]}
          onSay={(...said) => round.say(step.key, step.title, ...said).then(() => next(said[1] || 'told'))}
        />
      )}
      {step?.kind === 'check' && (
        <CheckStep
          key={step.key}
          heading={heading}
          machine={machine}
          check={step.check}
          answered={answers[step.key]}
          onSay={(...said) => round.say(step.key, step.title, ...said).then(() => next(said[1] || 'told'))}
          then="next check"
        />
      )}
      {!step && <RoundEnd heading={heading} walk={walk} kind={kind} steps={steps} answers={answers} onOpen={go} />}
      {before && step && (
        <BackLink to={`?at=${encodeURIComponent(before.key)}`} style={{ fontSize: 16 }}>
          Back to {within(before.title)}
        </BackLink>
      )}
    </HandsPage>
  );
}
