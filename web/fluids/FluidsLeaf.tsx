import { useQuery } from '@tanstack/react-query';
import { Fragment } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { usePerson } from '../api/usePerson';
import { QuietActions, quietLink } from '../kit/Button';
import { within } from '../kit/format';
import { Empty, SheetHeading, Soft } from '../kit/Sheet';
import { PHONE } from '../kit/theme';
import { ReadingInSheet } from '../trade/Reading';
import { Takes } from '../trade/Takes';
import { useSheet } from '../trade/useSheet';
import { Capacities } from './Capacities';
import { compartmentsQuery } from './queries';

const ActionLink = styled(Link)`${quietLink}`;
const Head = styled.div`
  padding: 10px 20px; border-bottom: 1px solid var(--rule); display: flex; flex-wrap: wrap; gap: 2px 24px;
  justify-content: space-between; align-items: baseline;
  ${PHONE} { padding: 10px 14px; }
`;
const Table = styled.table`
  width: 100%; border-collapse: collapse; font-size: 16px; table-layout: fixed;
  th, td { text-align: left; vertical-align: top; padding: 9px 12px; border-bottom: 1px solid var(--rule); font-weight: 450; }
  thead th { font-size: 15px; color: var(--soft); padding-top: 7px; padding-bottom: 7px; }
  th:first-child, td:first-child { padding-left: 20px; }
  tbody th a { font-weight: 650; }
  thead th:nth-child(1) { width: 25%; } thead th:nth-child(2) { width: 22%; } thead th:nth-child(4) { width: 22%; }
  span { display: block; line-height: 1.3; }
  ${PHONE} {
    thead { display: none; } tr { display: block; padding: 10px 14px; border-bottom: 1px solid var(--rule); }
    th, td, th:first-child, td:first-child { display: block; width: auto; padding: 1px 0; border: 0; }
  }
`;
const Strong = styled.strong`font-weight: 700;`;
const Wrong = styled.span`color: var(--clay); font-weight: 600;`;
const Unknown = styled.p`padding: 12px 20px 14px; color: var(--soft); font-size: 15px; ${PHONE} { padding: 12px 14px; }`;
const Jobs = styled.ul`
  columns: 2 380px; column-gap: 36px; padding: 6px 20px 16px;
  li { break-inside: avoid; padding: 8px 0; border-bottom: 1px solid var(--rule); line-height: 1.32; }
  ${PHONE} { padding: 4px 14px 12px; }
`;

/** A machine's compartments as a manual's page of capacities has them, its parts, and what its jobs take. */
export default function FluidsLeaf() {
  const sheet = useSheet();
  const keeper = usePerson().role === 'keeper';
  const page = useQuery(compartmentsQuery(sheet.id));
  if (!page.data) return <ReadingInSheet error={page.error} />;
  const { compartments, parts, tasks } = page.data;
  const to = `/machines/${sheet.id}/fluids`;
  const known = parts.filter(({ sheet: book, fitted }) => book !== null || fitted !== null);
  const unknown = parts.filter((part) => !known.includes(part));
  const written = compartments.some(({ capacities, takes }) => capacities.length > 0 || takes.length > 0);
  return (
    <>
      <title>{`${sheet.name}, fluids`}</title>
      {keeper && (
        <Head>
          <QuietActions>
            <ActionLink to={`${to}/paste`}>Paste a manual's page</ActionLink>
            <ActionLink to={`${to}/sister`}>Take over from a sister machine</ActionLink>
          </QuietActions>
          {!written && (
            <Soft>Nothing is written down yet. What such a machine usually takes is a hint, never its book.</Soft>
          )}
        </Head>
      )}
      {compartments.length === 0 && <Empty>This machine has no compartment. Add one on its plate.</Empty>}
      {compartments.length > 0 && (
        <Table aria-label="Compartments">
          <thead>
            <tr>
              <th>Compartment</th>
              <th>Holds</th>
              <th>Of what</th>
              <th>Drained, read</th>
            </tr>
          </thead>
          <tbody>
            {compartments.map((one) => (
              <Compartment key={one.key} of={one} to={to} />
            ))}
          </tbody>
        </Table>
      )}
      {known.length > 0 && (
        <>
          <SheetHeading>Filters and parts</SheetHeading>
          <Table aria-label="Filters and parts">
            <thead>
              <tr>
                <th>Place</th>
                <th>Number</th>
                <th>Seal, and what it wants</th>
                <th>Fitted</th>
              </tr>
            </thead>
            <tbody>
              {known.map((one) => (
                <Part key={one.key} of={one} machine={sheet.id} />
              ))}
            </tbody>
          </Table>
        </>
      )}
      {unknown.length > 0 && (
        <Unknown>
          Nobody has written down what belongs here:{' '}
          {unknown.map(({ key, name }, index) => (
            <Fragment key={key}>
              {index > 0 && ', '}
              <Link to={`/machines/${sheet.id}/plate/${key}`}>{within(name)}</Link>
            </Fragment>
          ))}
          .
        </Unknown>
      )}
      {tasks.length > 0 && (
        <>
          <SheetHeading>What the jobs take</SheetHeading>
          <Jobs>
            {tasks.map((task) => (
              <li key={task.rule_id}>
                <Takes of={task} />
              </li>
            ))}
          </Jobs>
        </>
      )}
    </>
  );
}

function Compartment({ of, to }: { of: Schemas['Compartment']; to: string }) {
  return (
    <tr>
      <th scope="row">
        <Link to={`${to}/${of.key}`}>{of.name}</Link>
        <Soft>{of.place}</Soft>
        {of.shares_with && (
          <Soft>
            shares with <Link to={`${to}/${of.shares_with.key}`}>{within(of.shares_with.name)}</Link>
          </Soft>
        )}
        {of.shared_by.length > 0 && <Soft>also in the {of.shared_by.map(({ name }) => within(name)).join(', ')}</Soft>}
      </th>
      <td>
        <Capacities of={of} />
      </td>
      <td>
        {of.takes.map(({ book, in_words: words }) => (
          <span key={book}>
            {words}
            {of.takes.length > 1 && <Soft>{book}</Soft>}
          </span>
        ))}
        {of.takes.length === 0 && <Soft>not written down</Soft>}
      </td>
      <td>
        {of.drained && <span>{of.drained}</span>}
        {of.protocol && <Soft>read {of.protocol}</Soft>}
      </td>
    </tr>
  );
}

function Part({ of, machine }: { of: Schemas['PartPlace']; machine: number }) {
  const { sheet, fitted } = of;
  const wants = [
    sheet?.seal,
    sheet?.tight,
    sheet?.orientation,
    sheet?.loose?.length ? `count: ${sheet.loose.join(', ')}` : '',
    of.times_reused > 0 ? `old seal used again ${of.times_reused === 1 ? 'once' : `${of.times_reused} times`}` : '',
  ];
  return (
    <tr>
      <th scope="row">
        <Link to={`/machines/${machine}/plate/${of.key}`}>{of.name}</Link>
        <Soft>{of.place}</Soft>
      </th>
      <td>
        {of.to_buy ? <Strong>{of.to_buy}</Strong> : <Soft>not written down</Soft>}
        {sheet?.superseded_by && <Soft>instead of {sheet.number}</Soft>}
        {(sheet?.equivalents ?? []).map(({ number, will_do: willDo, because }) => (
          <Soft key={number}>{willDo ? `or ${number}` : `not ${number}: ${because}`}</Soft>
        ))}
        {sheet?.only_for && <Soft>only for {sheet.only_for}</Soft>}
      </td>
      <td>
        {wants.filter(Boolean).map((words) => (
          <span key={words}>{words}</span>
        ))}
      </td>
      <td>
        {fitted?.number && (fitted.will_do === false ? <Wrong>{fitted.why}</Wrong> : <span>{fitted.number}</span>)}
        {fitted && fitted.will_do === null && fitted.number && <Soft>{fitted.why}</Soft>}
        {fitted?.found && <Soft>the old one {fitted.found}</Soft>}
      </td>
    </tr>
  );
}
