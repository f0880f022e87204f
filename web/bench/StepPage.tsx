import { useEffect, useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { QuietButton, quietLink } from '../kit/Button';
import { within } from '../kit/format';
import { HandsHead, HandsPage, OnwardLink, Presses, PressRow, Question } from '../kit/Hands';
import { useShown } from '../kit/presses';
import { endOf, firstBefore, isReady, isRunning, isSettled, nextOf, type Progress } from '../offline/job';
import { ReadingInHands } from '../trade/Reading';
import { CannotStep } from './CannotStep';
import { useChime } from './chime';
import { JobMarks } from './JobMarks';
import { StepInHand } from './StepInHand';
import { Timers } from './Timers';
import type { Step, Told } from './told';
import { useAwake } from './useAwake';
import { type Said, useJob } from './useJob';

const Back = styled(Link)`${quietLink}`;
const Foot = styled.div`display: flex; flex-wrap: wrap; gap: 4px 22px; align-items: baseline;`;
const Quiet = styled(QuietButton)`min-height: 48px;`;
const CameBack = styled.p`border-left: 5px solid var(--clay); padding: 6px 12px; margin-top: 12px; font-size: 16px;`;

/** One step of a job fills the screen; what goes on by itself stands above it. */
export default function StepPage() {
  const id = useParams().job ?? '';
  const { asked, job, told, at, tell, progress, refused } = useJob(id);
  const [search] = useSearchParams();
  const navigate = useNavigate();
  const [stuckAt, setStuckAt] = useState('');
  const [inHand, setInHand] = useState<string>();
  useAwake();
  const running = job && progress ? job.steps.filter(({ key }) => isRunning(progress, key)) : [];
  const chime = useChime(
    running.filter((step) => (endOf(step, progress as Progress) ?? at) <= at).map(({ key }) => key),
  );
  const wanted = search.get('at');
  const chosen = job?.steps.find(({ key }) => key === wanted);
  const step =
    job && progress ? (chosen ?? held(inHand, job.steps, progress) ?? nextOf(job.steps, progress, at)) : undefined;
  useEffect(() => setInHand(step?.key), [step?.key]);
  useShown(step?.key);
  if (!job || !progress) return <ReadingInHands error={asked.error} />;
  const settled = job.steps.filter(({ key }) => isSettled(progress, key)).length;
  const last = job.steps.find(({ key }) => key === lastTold(told));
  const onward = () => navigate(`/bench/${id}/step`, { replace: true });
  const done = async (said: Said = {}) => {
    if (!step) return;
    await tell(step, 'done', said);
    onward();
  };
  return (
    <HandsPage>
      <title>{step ? `${job.machine}: ${step.title}` : job.machine}</title>
      <HandsHead>
        <h1>{job.machine}</h1>
        <span>
          {settled} of {job.steps.length} done
        </span>
      </HandsHead>
      <JobMarks steps={job.steps} progress={progress} here={step?.key} />
      <Timers running={running.filter((one) => one !== step)} progress={progress} at={at} />
      {refused.map(({ note, problem }) => (
        <CameBack key={note.id} role="alert">
          {problem?.detail} <Back to="/walkaround/waiting">What came back</Back>
        </CameBack>
      ))}
      {!step && <AllTold id={id} />}
      {step && stuckAt === step.key && (
        <CannotStep
          step={step}
          job={job}
          told={told}
          at={at}
          onTell={async (because) => {
            await tell(step, 'cannot', { because });
            onward();
          }}
          onBack={() => setStuckAt('')}
        />
      )}
      {step && stuckAt !== step.key && (
        <StepInHand
          key={step.key}
          step={step}
          job={job}
          told={told}
          at={at}
          progress={progress}
          waitsFor={firstBefore(step.key, job.steps, progress)}
          onStart={(said) => tell(step, 'started', said)}
          onPoured={(said) => tell(step, 'poured', said)}
          onDone={done}
          onCannot={() => setStuckAt(step.key)}
          onTakeBack={() => tell(step, 'taken_back')}
        />
      )}
      <Foot>
        {last && last.key !== step?.key && (
          <Quiet onPress={() => tell(last, 'taken_back')}>Take back: {within(last.title)}</Quiet>
        )}
        <Back to={`/bench/${id}`}>All steps</Back>
        <Quiet aria-pressed={chime.heard} onPress={() => chime.hear(!chime.heard)}>
          {chime.heard ? 'Timers are heard' : 'Hear the timers'}
        </Quiet>
      </Foot>
    </HandsPage>
  );
}

/** What hands are at stays before them, whatever is over meanwhile. */
const held = (inHand: string | undefined, steps: Step[], progress: Progress): Step | undefined =>
  steps.find(
    ({ key, attended, takes_its_time: byItself }) =>
      key === inHand && attended && !byItself && isReady(progress, key) && !isRunning(progress, key),
  );

/** The step that was told last, where nothing has taken that back. */
function lastTold(told: Told[]): string | undefined {
  const last = told.findLast(({ did }) => did === 'done' || did === 'cannot' || did === 'taken_back');
  return last?.did === 'taken_back' ? undefined : last?.step;
}

function AllTold({ id }: { id: string }) {
  return (
    <>
      <Question>
        <h2>All steps are told</h2>
        <p>Read what the meter shows, and sign it off: then it stands in the book.</p>
      </Question>
      <Presses>
        <PressRow>
          <OnwardLink to={`/bench/${id}/off`}>Sign it off</OnwardLink>
        </PressRow>
      </Presses>
    </>
  );
}
