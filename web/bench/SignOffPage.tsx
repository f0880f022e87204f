import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { machineQuery } from '../api/queries';
import { quietLink } from '../kit/Button';
import { Field } from '../kit/Field';
import { HandsHead, HandsPage, MainPress, Presses, Question } from '../kit/Hands';
import { Soft } from '../kit/Sheet';
import { ReminderNote } from '../machine/ReminderNote';
import { useNote } from '../notes/useNote';
import { shownMl } from '../offline/amounts';
import { isSettled } from '../offline/job';
import { pouredAt } from '../offline/pour';
import { Amount } from '../trade/Amount';
import { ReadingInHands } from '../trade/Reading';
import { Refusal } from '../trade/Refusal';
import type { Told } from './told';
import { useJob } from './useJob';

const List = styled.ul`li { padding: 4px 0; border-bottom: 1px solid var(--rule); font-size: 16px; }`;
const Back = styled(Link)`${quietLink}`;

/** What the meter shows, and the job stands in the book; and when it comes again. */
export default function SignOffPage() {
  const id = useParams().job ?? '';
  const { asked, job, told, progress } = useJob(id);
  const machine = useQuery({ ...machineQuery(job?.machine_id ?? 0), enabled: job !== undefined });
  if (!job || !progress) return <ReadingInHands error={asked.error} />;
  const left = job.steps.find(({ key }) => !isSettled(progress, key));
  return (
    <HandsPage>
      <title>{`${job.machine}: signing off`}</title>
      <HandsHead>
        <h1>{job.machine}</h1>
        <span>{job.name}</span>
      </HandsHead>
      {left ? (
        <Question>
          <h2>Not yet</h2>
          <p>First: {left.title}.</p>
          <Back to={`/bench/${id}/step`}>Go on with it</Back>
        </Question>
      ) : (
        <SigningOff job={job} told={told} machine={machine.data} />
      )}
    </HandsPage>
  );
}

type Props = { job: Schemas['Job']; told: Told[]; machine?: Schemas['MachinePage'] };

function SigningOff({ job, told, machine }: Props) {
  const [values, setValues] = useState<Record<string, string>>({});
  const [note, setNote] = useState('');
  const [off, setOff] = useState(false);
  const { tell, busy, refused, fields } = useNote(
    () => `${job.machine}: signed off.`,
    () => setOff(true),
  );
  if (off || job.signed_off) return <SignedOff job={job} machine={machine} />;
  return (
    <>
      <Question>
        <h2>Sign it off</h2>
        <p>What does it show now? Each reading is counted from here on.</p>
        {job.meters.map((meter) => {
          const name = meter.unit === 'h' ? 'hours' : 'distance';
          return (
            <Amount
              key={name}
              label={meter.unit === 'h' ? 'Hour meter' : 'Odometer'}
              unit={meter.unit}
              step={meter.unit === 'h' ? '0.1' : '1'}
              from={meter.value}
              value={values[name] ?? ''}
              onChange={(value) => setValues({ ...values, [name]: value })}
              error={fields[name]}
            />
          );
        })}
        <Summary told={told} job={job} />
        <Field label="Anything to remember (if any)" value={note} onChange={setNote} lines />
        <Refusal refused={refused} besides={['hours', 'distance']} />
      </Question>
      <Presses>
        <MainPress
          isDisabled={busy}
          onPress={() =>
            tell(
              { kind: 'sign_off', machine_id: job.machine_id, job: job.id, ...values, note: note.trim() || null },
              `${job.machine}: ${job.name} signed off`,
            )
          }
        >
          Sign it off
        </MainPress>
      </Presses>
    </>
  );
}

/** What will stand in the book. */
function Summary({ told, job }: { told: Told[]; job: Schemas['Job'] }) {
  const inAll = pouredAt(told, ...job.steps.map(({ key }) => key));
  const failed = told.filter(
    ({ did, step }) => did === 'cannot' && told.findLast((one) => one.step === step)?.did === 'cannot',
  );
  const title = (key: string) => job.steps.find((step) => step.key === key)?.title ?? key;
  return (
    <List aria-label="What will stand in the book">
      {job.tasks.map(({ name, rule_id: rule, finding }) => (
        <li key={`${rule} ${finding}`}>{name}</li>
      ))}
      {inAll > 0 && <li>{shownMl(inAll)} went in</li>}
      {failed.map(({ id, step, said }) => (
        <li key={id}>
          Could not: {title(step)}. {String(said.because ?? '')}
        </li>
      ))}
    </List>
  );
}

/** After it: when each comes again and why, and the machine's own reminder. */
function SignedOff({ job, machine }: { job: Schemas['Job']; machine?: Schemas['MachinePage'] }) {
  const rules = machine?.rules.filter(({ id }) => job.tasks.some(({ rule_id: rule }) => rule === id)) ?? [];
  return (
    <Question>
      <h2>Signed off</h2>
      <List aria-label="When it comes again">
        {rules.map(({ id, task, standing }) => (
          <li key={id}>
            <strong>{task}</strong> <Soft>{standing.why}</Soft>
          </li>
        ))}
      </List>
      {machine && <ReminderNote sheet={machine} maySet />}
      {machine?.reset_note && <Soft>{machine.reset_note}</Soft>}
      <Back to={`/machines/${job.machine_id}`}>To {job.machine}</Back>
      <Back to="/bench">Bench</Back>
    </Question>
  );
}
