import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import styled from 'styled-components';
import { answer, api } from '../api/client';
import { usePerson } from '../api/usePerson';
import { useWrite } from '../api/useWrite';
import { MainButton, QuietActions, QuietButton, quietLink } from '../kit/Button';
import { Dialog } from '../kit/Dialog';
import { Field } from '../kit/Field';
import { clockTime, instant, manyOf } from '../kit/format';
import { Caution, Lead, Page, Sheet, SheetHeading, Soft, Title } from '../kit/Sheet';
import { PHONE } from '../kit/theme';
import { isRunning, isSettled, isWaiting, nextOf, type Progress, type StepState, stateOf } from '../offline/job';
import { type NameOf, of } from '../offline/states';
import { Reading } from '../trade/Reading';
import { Refusal } from '../trade/Refusal';
import { STATE_OF_STEP } from './JobMarks';
import { JobRail } from './JobRail';
import { jobQuery } from './queries';
import { Timers } from './Timers';
import type { Step, Told } from './told';
import { useJob } from './useJob';

const ActionLink = styled(Link)`${quietLink}`;
const Onward = styled(Link)`
  display: inline-flex; align-items: center; justify-content: center; min-height: 56px; padding: 6px 26px; background: var(--hedge);
  color: var(--on-hedge); border-radius: 3px; font-weight: 650; font-size: 18px; text-decoration: none; text-align: center;
  ${PHONE} { width: 100%; }
`;
const Now = styled.div`
  display: grid; grid-template-columns: minmax(0, 1fr) auto; gap: 10px 30px; align-items: center; padding: 16px 20px; border-top: 1px solid var(--rule);
  h2 { font-size: 22px; } ${PHONE} { grid-template-columns: minmax(0, 1fr); padding: 14px; }
`;
const Steps = styled.ol`
  padding: 6px 0; columns: 2; column-gap: 0; ${PHONE} { columns: 1; }
`;
const Line = styled(Link)`
  display: grid; grid-template-columns: 34px minmax(0, 1fr); gap: 10px; padding: 8px 20px; text-decoration: none; break-inside: avoid;
  &:hover strong { text-decoration: underline; }
  > span:first-child { color: var(--soft); text-align: right; }
  &[data-look='over'] strong { color: var(--soft); font-weight: 500; }
  &[data-look='stuck'] strong { color: var(--clay); }
  &[data-look='next'] { box-shadow: inset 5px 0 var(--straw); }
  ${PHONE} { padding: 9px 14px; }
`;

/** A job at a glance: when its steps come, what can be done now, what waits for what. */
export default function JobPage() {
  const id = useParams().job ?? '';
  const { asked, job, told, at, progress } = useJob(id);
  const role = usePerson().role;
  const navigate = useNavigate();
  const drop = useWrite(
    (_header) => answer(api.DELETE('/jobs/{job}', { params: { path: { job: id } } })),
    () => navigate('/bench'),
  );
  const [puttingOff, putOff] = useState(false);
  if (!job || !progress) return <Reading title="Job" error={asked.error} />;
  const next = nextOf(job.steps, progress, at);
  const running = job.steps.filter(({ key }) => isRunning(progress, key));
  const isOver = job.steps.every(({ key }) => isSettled(progress, key));
  const may = role === 'keeper' || role === 'mechanic';
  return (
    <Page>
      <title>{`${job.machine}: ${job.name}`}</title>
      <Lead>
        <div>
          <Title>
            {job.machine}: {job.name}
          </Title>
          <Soft>
            About {durationOf(job.minutes)} for one person. Made {instant(job.made_at, false)}
            {job.made_by && ` by ${job.made_by}`}.
          </Soft>
        </div>
        <QuietActions>
          <ActionLink to="/bench">Bench</ActionLink>
          <ActionLink to={`/machines/${job.machine_id}`}>{job.machine}</ActionLink>
          {may && !job.signed_off && job.has_begun && (
            <QuietButton onPress={() => putOff(true)}>Put a task off</QuietButton>
          )}
          {may && told.length === 0 && <QuietButton onPress={() => drop.send()}>Drop it</QuietButton>}
        </QuietActions>
      </Lead>
      <Refusal refused={drop.refused} />
      {job.in_pieces.length > 0 && !job.signed_off && (
        <Caution style={{ marginBottom: 14 }}>
          {job.machine} is in pieces and stands down by itself until this is signed off.
        </Caution>
      )}
      <Sheet aria-label="When its steps come">
        <JobRail job={job} told={told} progress={progress} at={at} />
        <div style={{ padding: '0 20px' }}>
          <Timers running={running} progress={progress} at={at} />
        </div>
        <Now>
          <div>
            <h2>
              {job.signed_off
                ? 'Signed off'
                : isOver
                  ? 'All steps are told'
                  : next
                    ? `Now: ${next.title}`
                    : 'It goes on by itself'}
            </h2>
            <p>
              {job.signed_off
                ? `${instant(job.signed_off.at, false)}${job.signed_off.by ? `, by ${job.signed_off.by}` : ''}`
                : isOver
                  ? 'Read what the meter shows, and sign it off.'
                  : (next?.says ?? running.map(({ says }) => says).join(' '))}
            </p>
          </div>
          {may && !job.signed_off && (
            <Onward to={isOver ? `/bench/${id}/off` : `/bench/${id}/step`}>
              {isOver ? 'Sign it off' : told.length === 0 ? 'Begin' : 'Go on'}
            </Onward>
          )}
        </Now>
      </Sheet>
      <Sheet aria-label="Steps">
        <SheetHeading>{manyOf(job.steps.length, 'step')}</SheetHeading>
        <Steps>
          {job.steps.map((step, index) => (
            <li key={step.key}>
              <StepLine id={id} step={step} number={index + 1} progress={progress} told={told} steps={job.steps} />
            </li>
          ))}
        </Steps>
      </Sheet>
      {puttingOff && <PutOff id={id} onClose={() => putOff(false)} />}
    </Page>
  );
}

const LOOKS: Record<NameOf<StepState>, 'over' | 'stuck' | 'next' | undefined> = {
  done: 'over',
  spared: 'over',
  failed: 'stuck',
  barred: 'stuck',
  ready: 'next',
  waiting: undefined,
};

type LineProps = { id: string; step: Step; number: number; progress: Progress; told: Told[]; steps: Step[] };

function StepLine({ id, step, number, progress, told, steps }: LineProps) {
  const state = stateOf(progress, step.key);
  const by = told.findLast((one) => one.step === step.key && (one.did === 'done' || one.did === 'cannot'));
  const [first] = progress.waitsFor.get(step.key) ?? [];
  const waits = steps.find(({ key }) => key === first);
  return (
    <Line to={`/bench/${id}/step?at=${encodeURIComponent(step.key)}`} data-look={of(state, LOOKS)}>
      <span>{number}</span>
      <span>
        <strong>{step.title}</strong>{' '}
        <Soft>
          {by
            ? `${by.did === 'cannot' ? `could not: ${by.said.because}` : 'done'}, ${clockTime(by.at)}${by.by ? `, ${by.by}` : ''}`
            : isWaiting(progress, step.key) && waits
              ? `after: ${waits.title}`
              : of(state, STATE_OF_STEP)}
        </Soft>
      </span>
    </Line>
  );
}

/** A task is left for another day, with a reason, where nothing of it stands open. */
function PutOff({ id, onClose }: { id: string; onClose: () => void }) {
  const queries = useQueryClient();
  const { job, tell } = useJob(id);
  const [because, setBecause] = useState('');
  const put = useWrite(
    (_header, rule: number) =>
      answer(
        api.PATCH('/jobs/{job}', {
          params: { path: { job: id }, header: { 'If-Match': `"${job?.version}"` } },
          body: { ...job?.wanted, rules: job?.wanted.rules.filter((other) => other !== rule) ?? [] },
        }),
      ),
    (changed) => {
      queries.setQueryData(jobQuery(id).queryKey, changed);
      onClose();
    },
  );
  const [first] = job?.steps ?? [];
  if (!job || !first) return null;
  const putOff = async (rule: number) => {
    await tell(first, 'put_off', { rule, because: because.trim() });
    await put.send(rule);
  };
  return (
    <Dialog title="Put a task off" isOpen onClose={onClose}>
      <p>It stays due. What was opened for it is closed first.</p>
      <Field label="Why" value={because} onChange={setBecause} lines />
      <Refusal refused={put.refused} />
      {job.tasks.map(
        ({ rule_id: rule, name }) =>
          rule !== null && (
            <MainButton
              key={rule}
              isDisabled={because.trim() === '' || put.busy || job.tasks.length === 1}
              onPress={() => putOff(rule)}
            >
              Put off: {name}
            </MainButton>
          ),
      )}
    </Dialog>
  );
}

const durationOf = (minutes: number): string =>
  minutes < 60 ? manyOf(minutes, 'minute') : `${Math.floor(minutes / 60)} h ${minutes % 60} min`;
