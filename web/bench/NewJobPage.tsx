import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { answer, api, type Schemas } from '../api/client';
import { machineQuery, plateQuery } from '../api/queries';
import { useWrite } from '../api/useWrite';
import { MainButton, quietLink } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { dayThisYear, manyOf } from '../kit/format';
import { Lead, Page, Sheet, SheetHeading, Soft, Title } from '../kit/Sheet';
import { Tick } from '../kit/Tick';
import { PHONE } from '../kit/theme';
import { newId } from '../offline/note';
import { harderFirst, isComing, isPressing, isUnknown } from '../offline/states';
import { Reading } from '../trade/Reading';
import { Refusal } from '../trade/Refusal';
import { Stamp } from '../trade/Stamp';
import { KIND_WORDS, stateWords } from '../trade/words';
import { choicesQuery, jobQuery, jobsQuery } from './queries';

const Lines = styled.div`
  padding: 6px 20px 12px; columns: 2; column-gap: 40px; > * { break-inside: avoid; }
  ${PHONE} { padding: 4px 14px 10px; columns: 1; }
`;
const Foot = styled.div`
  position: sticky; bottom: 0; background: var(--paper); padding: 12px 0 14px; display: flex; flex-wrap: wrap; gap: 10px 24px; align-items: center;
  ${PHONE} { bottom: calc(56px + env(safe-area-inset-bottom)); }
`;
const ActionLink = styled(Link)`${quietLink}`;

type Work = Schemas['ReadyWork'];

/** What a job is made of: what is due stands ticked, what is near and what was found beside it. */
export default function NewJobPage() {
  const machine = Number(useParams().machine);
  const [search] = useSearchParams();
  const sheet = useQuery(machineQuery(machine));
  const choices = useQuery(choicesQuery(machine));
  if (!choices.data || !sheet.data) return <Reading title="A job" error={choices.error ?? sheet.error} />;
  const asked = (search.get('rules') ?? '').split(',').filter(Boolean).map(Number);
  return <Choosing machine={sheet.data} choices={choices.data} asked={asked} />;
}

type Props = { machine: Schemas['MachinePage']; choices: Schemas['JobChoices']; asked: number[] };

function Choosing({ machine, choices, asked }: Props) {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const works = [...choices.works].sort((one, other) => harderFirst(one.state, other.state));
  const [rules, setRules] = useState<number[]>(() =>
    asked.length > 0 ? asked : works.filter(({ state }) => isPressing(state)).flatMap(({ rule_id: id }) => id ?? []),
  );
  const [findings, setFindings] = useState<string[]>([]);
  const [raised, setRaised] = useState(false);
  const plate = useQuery(plateQuery(machine.id));
  const [spots, setSpots] = useState<number[]>([]);
  const make = useWrite(
    (header) =>
      answer(
        api.POST('/machines/{machine}/jobs', {
          params: { path: { machine: machine.id }, header },
          body: { id: newId(), rules, findings, spots, raised },
        }),
      ),
    async (job) => {
      queries.setQueryData(jobQuery(job.id).queryKey, job);
      await queries.invalidateQueries({ queryKey: jobsQuery.queryKey });
      navigate(`/bench/${job.id}`);
    },
  );
  const toggle = <T,>(list: T[], one: T, on: boolean): T[] =>
    on ? [...list, one] : list.filter((other) => other !== one);
  const chosen = rules.length + findings.length + spots.length;
  const parts = (plate.data?.spots ?? []).filter(({ kind }) => kind === 'part' || kind === 'opening');
  return (
    <Page>
      <title>{`A job on ${machine.name}`}</title>
      <Lead>
        <Title>A job on {machine.name}</Title>
        {choices.open_job && <ActionLink to={`/bench/${choices.open_job}`}>One is under way already</ActionLink>}
      </Lead>
      <Sheet aria-label="Tasks">
        <SheetHeading>What falls due</SheetHeading>
        <Lines>
          {works.map((work) => (
            <Tick
              key={work.rule_id}
              checked={rules.includes(work.rule_id ?? 0)}
              onChange={(on) => setRules(toggle(rules, work.rule_id ?? 0, on))}
            >
              <span>
                {work.name} <Soft>{`${KIND_WORDS[work.kind]}, ${when(work)}`}</Soft>
              </span>
            </Tick>
          ))}
          {works.length === 0 && <Soft>There is nothing in its rulebook yet.</Soft>}
        </Lines>
      </Sheet>
      {choices.findings.length > 0 && (
        <Sheet aria-label="Found">
          <SheetHeading>What was found</SheetHeading>
          <Lines>
            {choices.findings.map((finding) => (
              <Tick
                key={finding.check}
                checked={findings.includes(finding.check)}
                onChange={(on) => setFindings(toggle(findings, finding.check, on))}
              >
                <span>
                  {finding.title} <Stamp state={finding.verdict} /> <Soft>{finding.why}</Soft>
                </span>
              </Tick>
            ))}
          </Lines>
        </Sheet>
      )}
      {choices.never_greased.length > 0 && (
        <Sheet aria-label="Never greased">
          <SheetHeading>Never greased, as far as anybody wrote down</SheetHeading>
          <Lines>
            {choices.never_greased.map(({ id, name, reach }) => (
              <Tick key={id} checked={spots.includes(id)} onChange={(on) => setSpots(toggle(spots, id, on))}>
                <span>
                  {name} <Soft>{reach}</Soft>
                </span>
              </Tick>
            ))}
          </Lines>
        </Sheet>
      )}
      <Sheet aria-label="Anything else">
        <SheetHeading>Anything else that is replaced</SheetHeading>
        <Lines>
          {parts
            .filter(({ id }) => spots.includes(id))
            .map(({ id, name }) => (
              <Tick key={id} checked onChange={() => setSpots(toggle(spots, id, false))}>
                {name}
              </Tick>
            ))}
          <Choice
            label="A part or a plug"
            value=""
            onChange={(id) => setSpots(toggle(spots, Number(id), true))}
            options={[
              { value: '', label: 'choose' },
              ...parts.filter(({ id }) => !spots.includes(id)).map(({ id, name }) => ({ value: `${id}`, label: name })),
            ]}
          />
        </Lines>
      </Sheet>
      <Foot>
        <Tick checked={raised} onChange={setRaised}>
          It stands off the ground for this
        </Tick>
        <MainButton isDisabled={make.busy || chosen === 0} onPress={() => make.send()}>
          {chosen === 0 ? 'Choose what to do' : `Make a job of ${manyOf(chosen, 'thing')}`}
        </MainButton>
        <Refusal refused={make.refused} />
      </Foot>
    </Page>
  );
}

function when({ day, state }: Work): string {
  if (isUnknown(state)) return 'never recorded';
  if (state && isComing(state)) return stateWords(state);
  return day === null ? 'nobody can tell when' : dayThisYear(day);
}
