import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { answer, api, type Schemas } from '../api/client';
import { changeAnswer } from '../api/kept';
import { usePerson } from '../api/usePerson';
import { useWrite } from '../api/useWrite';
import { QuietActions, QuietButton, quietLink } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { Field } from '../kit/Field';
import { headingDay, instant } from '../kit/format';
import { Lead, Page, Sheet, SheetHeading, Soft, Title } from '../kit/Sheet';
import { PHONE } from '../kit/theme';
import { queue } from '../notes/queue';
import { noteOf } from '../notes/told';
import { LISTS } from '../notes/touched';
import { useAfterWrite } from '../notes/useAfterWrite';
import { useKeptNotes } from '../notes/useQueue';
import { Reading } from '../trade/Reading';
import { BoughtDialog } from './BoughtDialog';
import { GatherRow } from './GatherRow';
import { money } from './money';
import { listQuery } from './queries';
import { PREFERENCES, whatToBuy } from './words';

const ActionLink = styled(Link)`${quietLink}`;
const PlainLink = styled.a`${quietLink}`;
const Progress = styled.span`font-size: 19px; font-weight: 650;`;
const Columns = styled.div`
  columns: 2; column-gap: 22px; > * { break-inside: avoid; margin: 0 0 18px; } > * + * { margin-top: 0; }
  ${PHONE} { columns: 1; > * { margin: 0 -14px 12px; } }
  @media print { columns: 2; }
`;
const Told = styled.ul`padding: 10px 20px 14px; li { padding: 3px 0; line-height: 1.35; } ${PHONE} { padding: 10px 14px; }`;
const Adding = styled.div`
  display: grid; grid-template-columns: minmax(0, 1fr) 92px auto; gap: 10px; align-items: end; padding: 12px 20px 16px;
  ${PHONE} { padding: 12px 14px; } @media print { display: none; }
`;
const Done = styled.s`color: var(--soft);`;

type List = Schemas['GatheringListRead'];
type Purchase = Schemas['Purchase'];

/** One list: ticked off while it is gathered, on the phone and without signal; bought from; printed; shown at the counter. */
export default function ListPage() {
  const id = Number(useParams().list);
  const list = useQuery(listQuery(id));
  return list.data ? <Gathering list={list.data} /> : <Reading title="List" error={list.error} />;
}

const gatheredBy = (gathered: string[], item: string, got: boolean): string[] =>
  got ? [...gathered.filter((one) => one !== item), item] : gathered.filter((one) => one !== item);

function Gathering({ list }: { list: List }) {
  const { told, refresh } = useAfterWrite(LISTS);
  const person = usePerson();
  const may = person.role === 'keeper' || person.role === 'mechanic';
  const [bought, setBought] = useState<Purchase | null>(null);
  const waiting = useKeptNotes(({ note }) => note.kind === 'gather' && note.list === list.id);
  const gathered = new Set(
    waiting.reduce(
      (all, { note }) => (note.kind === 'gather' ? gatheredBy(all, note.item, note.got) : all),
      list.gathered,
    ),
  );
  const lines = [...list.fluids, ...list.parts, ...list.wanted, ...list.tools, ...list.uses];
  const gather = async (item: string, got: boolean, words: string) => {
    await changeAnswer<List>(listQuery(list.id).queryKey, (before) => ({
      ...before,
      gathered: gatheredBy(before.gathered, item, got),
    }));
    await queue.keep(noteOf({ kind: 'gather', list: list.id, item, got }), `${words}: ${got ? 'got' : 'put back'}`);
  };
  const row = (key: string, words: string, small: (string | false)[], right?: string, rightIsLacking = false) => (
    <GatherRow
      key={key}
      words={words}
      small={small.filter(Boolean).join('; ')}
      right={right}
      lacking={rightIsLacking}
      got={gathered.has(key)}
      onGather={may ? (got) => gather(key, got, words) : undefined}
    />
  );
  const change = useWrite(
    (_header, body: { preference?: Schemas['Preference']; is_closed?: boolean }) =>
      answer(
        api.PATCH('/lists/{list}', {
          params: { path: { list: list.id }, header: { 'If-Match': `"${list.version}"` } },
          body,
        }),
      ),
    async (changed) => {
      if (changed.is_closed) await told(`${list.name} is closed.`);
      await refresh();
    },
  );
  return (
    <Page>
      <title>{list.name}</title>
      <Lead>
        <div>
          <Title>{list.name}</Title>
          <Soft>
            {list.for_day && `for ${headingDay(list.for_day)}, `}made by {list.by}
          </Soft>
        </div>
        <Progress aria-live="polite">
          {lines.filter(({ key }) => gathered.has(key)).length} of {lines.length} gathered
        </Progress>
        <QuietActions>
          <ActionLink to="/shelf/ready">Getting ready</ActionLink>
          <QuietButton onPress={() => window.print()}>Print it</QuietButton>
          <PlainLink href={`/api/lists/${list.id}/list.csv`} download={`${list.name}.csv`}>
            As a table
          </PlainLink>
          {may && !list.is_closed && (
            <QuietButton onPress={() => change.send({ is_closed: true })}>Close the list</QuietButton>
          )}
        </QuietActions>
      </Lead>
      <Columns>
        <Sheet aria-label="Fluids">
          <SheetHeading>Fluids</SheetHeading>
          {list.fluids.map((one) =>
            row(
              one.key,
              `${one.name}, ${one.amount.display}`,
              [one.take && `take ${one.take}`, one.place, one.for.join('; ')],
              buying(list, one),
              true,
            ),
          )}
          {list.fluids.length === 0 && <Nothing />}
        </Sheet>
        <Sheet aria-label="Filters, parts and seals">
          <SheetHeading>Filters, parts and seals</SheetHeading>
          {list.parts.map((one) =>
            row(
              one.key,
              `${one.count} × ${one.name || one.number}`,
              [one.name && one.number, one.take && `take ${one.take}`, one.place, one.for.join('; '), one.again],
              one.short > 0 ? `buy ${one.short}` : undefined,
              true,
            ),
          )}
          {list.wanted.map((one) => row(one.key, `${one.count} × ${one.name}`, ['put on by hand']))}
          {list.parts.length + list.wanted.length === 0 && <Nothing />}
          {may && <Add list={list.id} />}
        </Sheet>
        <Sheet aria-label="Tools, and what is used up">
          <SheetHeading>Tools, and what is used up</SheetHeading>
          {list.tools.map((one) => row(one.key, one.tool, [one.for]))}
          {list.uses.map((one) => row(one.key, one.name, [one.for]))}
          {list.tools.length + list.uses.length === 0 && <Nothing />}
        </Sheet>
        <Sheet aria-label="To buy">
          <SheetHeading>To buy</SheetHeading>
          {list.to_buy.map((line) => (
            <GatherRow
              key={line.key}
              words={`${whatToBuy(line)}${line.count !== null && line.size === null ? ' ×' : ''} ${line.name}`}
              small={line.number && line.number !== line.name ? line.number : ''}
              right={money(line.cost, list.currency)}
              action={
                may && (line.kind === 'part' || line.supply_id !== null)
                  ? { words: 'Bought', label: `Bought: ${line.name}`, onPress: () => setBought(line) }
                  : undefined
              }
            />
          ))}
          <Told>
            {list.to_buy.length === 0 ? (
              <li>Nothing: the shelf has it all.</li>
            ) : (
              <li>
                {money(list.costs.makers.cost, list.currency)} with the maker's own,{' '}
                {money(list.costs.equivalents.cost, list.currency)} with equivalents
                {list.costs[list.preference].unpriced > 0 &&
                  `; ${list.costs[list.preference].unpriced} without a price`}
              </li>
            )}
            {may && (
              <li>
                <Choice
                  label="Buy"
                  quiet
                  value={list.preference}
                  onChange={(preference) => change.send({ preference })}
                  options={PREFERENCES}
                />
              </li>
            )}
          </Told>
          {may && <Links list={list} />}
        </Sheet>
        <Sheet aria-label="Jobs">
          <SheetHeading>For these jobs</SheetHeading>
          <Told>
            {list.works.map((one) => (
              <li key={`${one.rule_id} ${one.spot_id}`}>
                <Link to={`/machines/${one.machine_id}`}>{one.machine}</Link>,{' '}
                {one.is_done ? <Done>{one.name}</Done> : one.name}
                {one.is_done && <Soft> done</Soft>}
              </li>
            ))}
            {list.pans.map(({ machine, why }) => (
              <li key={machine}>
                {machine}: {why}
              </li>
            ))}
            {[...list.unknown, ...list.says].map((words) => (
              <li key={words}>
                <Soft>{words}</Soft>
              </li>
            ))}
          </Told>
        </Sheet>
      </Columns>
      {bought && <BoughtDialog of={bought} currency={list.currency} onClose={() => setBought(null)} />}
    </Page>
  );
}

/** `buy 2 × 5 L` */
function buying(list: List, fluid: Schemas['NeededFluid']): string | undefined {
  const lines = list.to_buy.filter((line) =>
    fluid.supply_id === null ? line.name === fluid.name : line.supply_id === fluid.supply_id,
  );
  return lines.length === 0 ? undefined : `buy ${lines.map(whatToBuy).join(' and ')}`;
}

const Nothing = () => (
  <Told>
    <li>
      <Soft>Nothing.</Soft>
    </li>
  </Told>
);

const NO_THING = { name: '', count: '1' };

function Add({ list }: { list: number }) {
  const { refresh } = useAfterWrite(LISTS);
  const [draft, setDraft] = useState(NO_THING);
  const write = useWrite(
    (header) => answer(api.POST('/lists/{list}/things', { params: { path: { list }, header }, body: draft })),
    async () => {
      setDraft(NO_THING);
      await refresh();
    },
  );
  return (
    <Adding>
      <Field
        label="Something else"
        value={draft.name}
        onChange={(name) => setDraft({ ...draft, name })}
        error={write.fields.name}
      />
      <Field
        label="How many"
        value={draft.count}
        onChange={(count) => setDraft({ ...draft, count })}
        error={write.fields.count}
        inputMode="numeric"
      />
      <QuietButton isDisabled={write.busy} onPress={() => write.send()}>
        Put it on
      </QuietButton>
    </Adding>
  );
}

const Counter = styled.div`
  padding: 12px 20px 16px; border-top: 1px solid var(--rule); display: flex; flex-direction: column; gap: 6px;
  code { overflow-wrap: anywhere; font: inherit; font-size: 15px; } ${PHONE} { padding: 12px 14px; } @media print { display: none; }
`;

/** Addresses at which what is to be bought is read without signing in. */
function Links({ list }: { list: List }) {
  const { refresh } = useAfterWrite(LISTS);
  const open = useWrite(
    (header) => answer(api.POST('/lists/{list}/links', { params: { path: { list: list.id }, header } })),
    refresh,
  );
  const takeBack = useWrite(
    (_header, link: number) =>
      answer(api.DELETE('/lists/{list}/links/{link}', { params: { path: { list: list.id, link } } })),
    refresh,
  );
  return (
    <Counter>
      {list.links
        .filter((link) => !link.is_over)
        .map((link) => (
          <div key={link.id}>
            <code>
              {location.origin}
              {link.path}
            </code>
            <QuietActions>
              <Soft>ends {instant(link.ends_at, true)}</Soft>
              <QuietButton onPress={() => navigator.clipboard?.writeText(`${location.origin}${link.path}`)}>
                Copy it
              </QuietButton>
              <QuietButton onPress={() => takeBack.send(link.id)}>Take it back</QuietButton>
            </QuietActions>
          </div>
        ))}
      <QuietButton isDisabled={open.busy} onPress={() => open.send()}>
        Open a link for the counter
      </QuietButton>
      <Soft>Whoever has the link reads what is to be bought, and nothing else, for 14 days.</Soft>
    </Counter>
  );
}
