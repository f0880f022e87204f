import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { lazy, useEffect, useEffectEvent, useRef, useState } from 'react';
import { Input, SearchField } from 'react-aria-components';
import { Link, useSearchParams } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { machinesQuery, morningQuery, type YardFilter, yardQuery } from '../api/queries';
import { usePerson } from '../api/usePerson';
import { PlainButton, QuietButton, quietLink } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { Opening } from '../kit/Opening';
import { Empty, Lead, Page, Sheet } from '../kit/Sheet';
import { PHONE } from '../kit/theme';
import { Unseen } from '../kit/Unseen';
import { useOverlay } from '../notes/overlay';
import { isComing, readState, written } from '../offline/states';
import { Reading } from '../trade/Reading';
import { colourOf } from '../trade/Stamp';
import { MACHINE_STATES } from '../trade/words';
import { ComputerWarnings } from '../upkeep/ComputerWarnings';
import { Morning } from '../walkaround/Morning';
import { MachineLine } from './MachineLine';

const LogHours = lazy(() => import('./LogHours'));

const Headline = styled.p`
  font-size: 20px; flex: 1 1 100%;
  button { font: inherit; border: 0; background: none; padding: 0; cursor: pointer; text-align: left; border-bottom: 2px solid transparent; }
  button:hover { border-bottom-color: var(--rule); }
  button[aria-pressed='true'] { font-weight: 700; }
  ${PHONE} { font-size: 18px; line-height: 1.6; }
`;
const Filters = styled.div`
  display: flex; flex-wrap: wrap; gap: 6px 18px; align-items: center; font-size: 15px;
  input { border: 0; border-bottom: 1px solid var(--hedge); background: none; padding: 4px 0; min-height: 34px; border-radius: 0; width: 150px; }
  [data-choice] { max-width: 170px; }
  ${PHONE} {
    width: 100%; [data-choice] { flex: 1 1 40%; max-width: none; }
    .react-aria-SearchField { flex: 1 1 40%; } input { min-height: 48px; width: 100%; }
    &[data-open='false'] [data-choice] { display: none; }
  }
  @media print { display: none; }
`;
const PhoneOnly = styled.span`display: none; ${PHONE} { display: inline-flex; }`;
const AddLink = styled(Link)`${quietLink}`;

/** Every machine with what is due on it, soonest first. */
export default function YardPage() {
  const person = usePerson();
  const yard = useQuery(yardQuery);
  // It stands above the list: what came later would move the list under the thumb.
  const morning = useQuery(morningQuery);
  const [filter, setFilter] = useFilter();
  const machines = useInfiniteQuery({ ...machinesQuery(filter), placeholderData: (before) => before });
  const [filtering, setFiltering] = useState(false);
  const [logging, setLogging] = useState<Schemas['YardLine'] | null>(null);
  const { ofLine } = useOverlay();
  const lines = machines.data?.pages.flatMap((page) => page.data.map(ofLine)) ?? [];
  const filtered = Object.values(filter).some(Boolean);
  if (!yard.data || !machines.data) return <Reading title="Yard" error={yard.error ?? machines.error} />;
  if (morning.isLoading) return <Reading title="Yard" />;
  if (yard.data.machines === 0) return <EmptyYard mayAdd={person.role === 'keeper'} />;
  return (
    <Page>
      <title>{`Yard, ${yard.data.name}`}</title>
      <ComputerWarnings />
      <Unseen as="h1">Yard</Unseen>
      <Lead>
        <Headline>
          {yard.data.headline.map(({ state, text }, index) => (
            <span key={text}>
              <button
                type="button"
                aria-pressed={filter.state === state}
                style={isComing(state) ? { borderBottomColor: colourOf(state) } : undefined}
                onClick={() => setFilter({ state: filter.state === state ? undefined : state })}
              >
                {text}
              </button>
              {index < yard.data.headline.length - 1 ? ', ' : '.'}
            </span>
          ))}
        </Headline>
        <Filters role="search" data-open={filtering || filtered}>
          <NameField name={filter.name ?? ''} onName={(name) => setFilter({ name })} />
          <PhoneOnly>
            <QuietButton aria-expanded={filtering || filtered} onPress={() => setFiltering(!filtering)}>
              Filter
            </QuietButton>
          </PhoneOnly>
          <Choice
            quiet
            label="Place"
            value={filter.place ?? ''}
            onChange={(place) => setFilter({ place })}
            options={[
              { value: '', label: 'All places' },
              ...yard.data.places.map((place) => ({ value: place, label: place })),
            ]}
          />
          <Choice
            quiet
            label="Class"
            value={filter.class ?? ''}
            onChange={(chosen) => setFilter({ class: chosen || undefined })}
            options={[
              { value: '' as const, label: 'All classes' },
              ...yard.data.classes.map(({ class: value, label }) => ({ value, label })),
            ]}
          />
          <Choice
            quiet
            label="State"
            value={written(filter.state)}
            onChange={(chosen) => setFilter({ state: readState(chosen, MACHINE_STATES) })}
            options={[
              { value: '', label: 'All states' },
              ...Object.entries(MACHINE_STATES).map(([value, label]) => ({ value, label })),
            ]}
          />
          {filtered && (
            <QuietButton onPress={() => setFilter({ name: '', place: '', class: undefined, state: undefined })}>
              Show all
            </QuietButton>
          )}
          {person.role === 'keeper' && <AddLink to="/machines/new">Add a machine</AddLink>}
        </Filters>
      </Lead>
      {!filtered && morning.data && <Morning of={morning.data} />}
      <Sheet aria-label="Machines, soonest first">
        {lines.map((line) => (
          <MachineLine key={line.id} line={line} person={person} onLogHours={() => setLogging(line)} />
        ))}
        {lines.length === 0 && <Empty>No machine of this yard is like that.</Empty>}
      </Sheet>
      {machines.hasNextPage && (
        <p style={{ paddingTop: 18 }}>
          <PlainButton isDisabled={machines.isFetchingNextPage} onPress={() => machines.fetchNextPage()}>
            Show more machines
          </PlainButton>
        </p>
      )}
      {logging && (
        <Opening onClose={() => setLogging(null)}>
          <LogHours line={logging} onClose={() => setLogging(null)} />
        </Opening>
      )}
    </Page>
  );
}

/** What is typed stands at once; the yard is asked when the typing pauses or the field is left, and never once somebody is on their way elsewhere. */
function NameField({ name, onName }: { name: string; onName: (name: string) => void }) {
  const [typed, setTyped] = useState(name);
  const told = useRef(name);
  const tell = (text: string) => {
    if (told.current === text) return;
    told.current = text;
    onName(text);
  };
  const pause = useEffectEvent(tell);
  useEffect(() => {
    const timer = setTimeout(() => pause(typed), 150);
    return () => clearTimeout(timer);
  }, [typed]);
  useEffect(() => {
    if (name !== '') return;
    told.current = '';
    setTyped('');
  }, [name]);
  return (
    <SearchField aria-label="Find by name" value={typed} onChange={setTyped} onBlur={() => tell(typed)}>
      <Input placeholder="Find by name" />
    </SearchField>
  );
}

function EmptyYard({ mayAdd }: { mayAdd: boolean }) {
  return (
    <Page>
      <Sheet>
        <Empty>
          <p>No machine is in the book yet.</p>
          {mayAdd ? <AddLink to="/machines/new">Add the first machine</AddLink> : <p>A keeper enters the machines.</p>}
        </Empty>
      </Sheet>
    </Page>
  );
}

/** The filter stands in the address, so that a view can be sent to a colleague. */
function useFilter(): [YardFilter, (change: Partial<YardFilter>) => void] {
  const [search, setSearch] = useSearchParams();
  const read = (name: keyof YardFilter) => search.get(name) || undefined;
  const filter: YardFilter = {
    name: read('name'),
    place: read('place'),
    class: read('class') as YardFilter['class'],
    state: readState(search.get('state'), MACHINE_STATES),
  };
  const change = (part: Partial<YardFilter>) => {
    const { state, ...rest } = { ...filter, ...part };
    const next = Object.entries({ ...rest, state: written(state) }).filter((pair): pair is [string, string] =>
      Boolean(pair[1]),
    );
    setSearch(new URLSearchParams(next), { replace: true });
  };
  return [filter, change];
}
