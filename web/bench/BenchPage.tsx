import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { allMachinesQuery } from '../api/queries';
import { usePerson } from '../api/usePerson';
import { Choice } from '../kit/Choice';
import { instant, manyOf } from '../kit/format';
import { Empty, Lead, Page, Sheet, SheetHeading, Soft, Title } from '../kit/Sheet';
import { PHONE } from '../kit/theme';
import { Reading } from '../trade/Reading';
import { jobsQuery } from './queries';

const Row = styled(Link)`
  display: grid; grid-template-columns: minmax(0, 3fr) minmax(0, 4fr) 210px; gap: 4px 26px; align-items: baseline;
  padding: 13px 20px; border-bottom: 1px solid var(--rule); text-decoration: none;
  &:last-child { border-bottom: 0; } &:hover h3 { text-decoration: underline; }
  h3 { font-size: 20px; }
  ${PHONE} { grid-template-columns: minmax(0, 1fr); padding: 12px 14px; }
`;
const Bar = styled.span`
  display: block; height: 9px; background: var(--rule); align-self: center;
  &::after { content: ''; display: block; height: 100%; width: var(--share); background: var(--ink); }
`;
const Begin = styled.div`padding: 14px 20px 18px; max-width: 560px; ${PHONE} { padding: 12px 14px; }`;

/** The jobs that are under way, and the last that were signed off. */
export default function BenchPage() {
  const jobs = useQuery(jobsQuery);
  const role = usePerson().role;
  if (!jobs.data) return <Reading title="Bench" error={jobs.error} />;
  const { open, done } = jobs.data;
  const may = role === 'keeper' || role === 'mechanic';
  return (
    <Page>
      <title>Bench</title>
      <Lead>
        <Title>Bench</Title>
        <Soft>{open.length === 0 ? 'Nothing is under way.' : `${manyOf(open.length, 'job')} under way.`}</Soft>
      </Lead>
      <Sheet aria-label="Under way">
        <SheetHeading>Under way</SheetHeading>
        {open.map((job) => (
          <JobRow key={job.id} job={job} />
        ))}
        {open.length === 0 && (
          <Empty>
            <p>
              {may
                ? 'Choose a machine and what is to be done to it: the steps, their order and the sums follow by themselves.'
                : 'A keeper or a mechanic makes a job.'}
            </p>
          </Empty>
        )}
        {may && <ChooseMachine />}
      </Sheet>
      {done.length > 0 && (
        <Sheet aria-label="Signed off">
          <SheetHeading>Signed off</SheetHeading>
          {done.map((job) => (
            <JobRow key={job.id} job={job} />
          ))}
        </Sheet>
      )}
    </Page>
  );
}

function JobRow({ job }: { job: Schemas['JobLine'] }) {
  const share = job.steps_in_all === 0 ? 0 : (job.steps_settled * 100) / job.steps_in_all;
  return (
    <Row to={job.signed_off ? `/machines/${job.machine_id}/book` : `/bench/${job.id}`}>
      <div>
        <h3>{job.machine}</h3>
        <Soft>{job.name}</Soft>
      </div>
      <span>
        {job.signed_off
          ? `Signed off ${instant(job.signed_off.at, false)}${job.signed_off.by ? ` by ${job.signed_off.by}` : ''}`
          : job.has_begun
            ? (job.next ?? 'All steps are told: sign it off.')
            : `Made ${instant(job.made_at, false)}${job.made_by ? ` by ${job.made_by}` : ''}; not begun.`}
      </span>
      {!job.signed_off && (
        <span>
          <Soft>
            {job.steps_settled} of {job.steps_in_all} steps
          </Soft>
          <Bar aria-hidden="true" style={{ '--share': `${share}%` } as React.CSSProperties} />
        </span>
      )}
    </Row>
  );
}

function ChooseMachine() {
  const machines = useQuery(allMachinesQuery());
  const navigate = useNavigate();
  const [machine, setMachine] = useState('');
  return (
    <Begin>
      <Choice
        label="A new job on"
        value={machine}
        onChange={(id) => {
          setMachine(id);
          navigate(`/bench/new/${id}`);
        }}
        options={[
          { value: '', label: 'choose a machine' },
          ...(machines.data ?? []).map(({ id, name, class_label: label }) => ({
            value: `${id}`,
            label: `${name}, ${label}`,
          })),
        ]}
      />
    </Begin>
  );
}
