import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { answer, api, type Schemas } from '../api/client';
import { yardQuery } from '../api/queries';
import { usePerson } from '../api/usePerson';
import { useWrite } from '../api/useWrite';
import { Actions, MainButton } from '../kit/Button';
import { Choice } from '../kit/Choice';
import DayPick from '../kit/DayPick';
import { Field } from '../kit/Field';
import { dayAndMonth, headingDay, longDay } from '../kit/format';
import { SheetHeading, Soft } from '../kit/Sheet';
import { Tick } from '../kit/Tick';
import { PHONE } from '../kit/theme';
import { LISTS } from '../notes/touched';
import { useAfterWrite } from '../notes/useAfterWrite';
import { isPressing, isUnknown } from '../offline/states';
import { ReadingInSheet } from '../trade/Reading';
import { Refusal } from '../trade/Refusal';
import { stateWords } from '../trade/words';
import { money } from './money';
import { NeedsColumns } from './NeedsColumns';
import { listsQuery, needsQuery, worksQuery } from './queries';
import { PREFERENCES } from './words';

const Lists = styled.ul`
  display: flex; flex-wrap: wrap; gap: 10px 14px; padding: 12px 20px 16px; border-bottom: 1px solid var(--rule);
  a { display: block; border: 2px solid var(--ink); border-radius: 3px; padding: 9px 16px; text-decoration: none; font-weight: 650; }
  ${PHONE} { padding: 12px 14px; li { flex: 1 1 100%; } }
`;
const Plan = styled.div`
  display: grid; grid-template-columns: minmax(0, 4fr) minmax(0, 7fr); ${PHONE} { grid-template-columns: minmax(0, 1fr); }
`;
const Chosen = styled.div`
  padding: 14px 20px; border-right: 1px solid var(--rule); display: flex; flex-direction: column; gap: 14px;
  ${PHONE} { padding: 14px; border-right: 0; border-bottom: 1px solid var(--rule); }
`;
const Works = styled.div`
  max-height: 520px; overflow-y: auto; margin: 0 -20px; padding: 0 20px; border-top: 1px solid var(--rule);
  h3 { font-size: 17px; padding: 10px 0 0; }
  ${PHONE} { max-height: 320px; margin: 0 -14px; padding: 0 14px; }
`;
const Needed = styled.div`min-width: 0;`;
const Costs = styled.p`padding: 12px 20px; border-bottom: 1px solid var(--rule); ${PHONE} { padding: 12px 14px; }`;

type Work = Schemas['ReadyWork'];

/** What is got ready: the lists that are gathered, and a plan for the next. */
export default function ReadyLeaf() {
  const lists = useQuery(listsQuery);
  const yard = useQuery(yardQuery);
  if (!lists.data || !yard.data) return <ReadingInSheet error={lists.error ?? yard.error} />;
  return (
    <>
      {lists.data.lists.length > 0 && (
        <Lists aria-label="Lists">
          {lists.data.lists.map(({ id, name, for_day: day }) => (
            <li key={id}>
              <Link to={`/shelf/lists/${id}`}>
                {name}
                {day && <Soft> {dayAndMonth(day)}</Soft>}
              </Link>
            </li>
          ))}
        </Lists>
      )}
      <PlanOf today={yard.data.today} />
    </>
  );
}

const NOBODY = '';

function PlanOf({ today }: { today: string }) {
  const navigate = useNavigate();
  const { refresh } = useAfterWrite(LISTS);
  const role = usePerson().role;
  const [search, setSearch] = useSearchParams();
  const until = search.get('until') ?? today;
  const machine = search.get('machine') ?? NOBODY;
  const preference = (search.get('preference') ?? 'makers') as Schemas['Preference'];
  const [taken, setTaken] = useState<Record<number, boolean>>({});
  const [name, setName] = useState('');
  const works = useQuery(worksQuery);
  const all = works.data?.works ?? [];
  const machines = useMemo(() => [...new Map(all.map((one) => [one.machine_id, one.machine])).entries()], [all]);
  const shown = all.filter((one) => machine === NOBODY || `${one.machine_id}` === machine);
  const isTaken = (one: Work): boolean => taken[one.rule_id ?? 0] ?? isDueBy(one, until);
  const chosen = shown.filter(isTaken);
  const rules = chosen.flatMap((one) => one.rule_id ?? []);
  const isTicked = (one: Work, to: boolean) => taken[one.rule_id ?? 0] === to && isDueBy(one, until) !== to;
  const needs = useQuery({
    ...needsQuery({
      until,
      preference,
      machines: machine === NOBODY ? [] : [Number(machine)],
      without: shown.filter((one) => isTicked(one, false)).flatMap((one) => one.rule_id ?? []),
      rules: shown.filter((one) => isTicked(one, true)).flatMap((one) => one.rule_id ?? []),
    }),
    enabled: rules.length > 0,
  });
  const change = (part: Record<string, string>) => {
    setTaken({});
    setSearch({ until, machine, preference, ...part }, { replace: true });
  };
  const usual = `All due by ${longDay(until)}${machine === NOBODY ? '' : `, ${chosen[0]?.machine ?? ''}`}`;
  const write = useWrite(
    (header) =>
      answer(
        api.POST('/lists', {
          params: { header },
          body: { name: name.trim() || usual, for_day: null, preference, rules },
        }),
      ),
    async (list) => {
      await refresh();
      navigate(`/shelf/lists/${list.id}`);
    },
  );
  if (!works.data) return <ReadingInSheet error={works.error} />;
  return (
    <Plan>
      <Chosen>
        <DayPick label="All that is due by" value={until} onChange={(day) => day && change({ until: day })} />
        <Choice
          label="Of"
          value={machine}
          onChange={(one) => change({ machine: one })}
          options={[
            { value: NOBODY, label: 'all machines' },
            ...machines.map(([id, called]) => ({ value: `${id}`, label: called })),
          ]}
        />
        <Choice label="Buy" value={preference} onChange={(one) => change({ preference: one })} options={PREFERENCES} />
        <Works aria-label="Jobs" role="group">
          {byMachine(shown.filter((one) => machine !== NOBODY || isTaken(one))).map(([called, ofMachine]) => (
            <section key={called} aria-label={called}>
              <h3>{called}</h3>
              {ofMachine.map((one) => (
                <Tick
                  key={one.rule_id}
                  checked={isTaken(one)}
                  onChange={(on) => setTaken({ ...taken, [one.rule_id ?? 0]: on })}
                >
                  <span>
                    {one.name} <Soft>{whenDue(one)}</Soft>
                  </span>
                </Tick>
              ))}
            </section>
          ))}
          {chosen.length === 0 && (
            <Soft>Nothing is due by {headingDay(until)}. Choose a later day, or one machine and its jobs.</Soft>
          )}
        </Works>
      </Chosen>
      <Needed>
        {needs.data && rules.length > 0 ? (
          <>
            <SheetHeading>What it takes</SheetHeading>
            <Costs>
              {needs.data.to_buy.length === 0
                ? 'The shelf has it all. '
                : `To buy: ${money(needs.data.costs.makers.cost, needs.data.currency)} with the maker's own, ${money(needs.data.costs.equivalents.cost, needs.data.currency)} with equivalents${needs.data.costs[preference].unpriced > 0 ? `; ${needs.data.costs[preference].unpriced} without a price` : ''}. `}
            </Costs>
            <NeedsColumns of={needs.data} />
            {(role === 'keeper' || role === 'mechanic') && (
              <Chosen>
                <Field
                  label="Call the list"
                  value={name}
                  onChange={setName}
                  placeholder={usual}
                  error={write.fields.name}
                />
                <Refusal refused={write.refused} besides={['name']} />
                <Actions>
                  <MainButton isDisabled={write.busy} onPress={() => write.send()}>
                    Make a list of it
                  </MainButton>
                </Actions>
              </Chosen>
            )}
          </>
        ) : (
          rules.length > 0 && <ReadingInSheet error={needs.error} />
        )}
      </Needed>
    </Plan>
  );
}

const isDueBy = ({ day, state }: Work, until: string): boolean => (day !== null && day <= until) || isPressing(state);

function whenDue({ day, state }: Work): string {
  if (isUnknown(state)) return 'never recorded';
  if (state && isPressing(state)) return stateWords(state);
  return day === null ? 'nobody can tell when' : dayAndMonth(day);
}

function byMachine(works: Work[]): [string, Work[]][] {
  const together = new Map<string, Work[]>();
  for (const work of works) together.set(work.machine, [...(together.get(work.machine) ?? []), work]);
  return [...together];
}
