import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { Soft } from '../kit/Sheet';
import { PHONE } from '../kit/theme';
import { whatToBuy } from './words';

const Table = styled.table`
  width: 100%; border-collapse: collapse; font-size: 15px;
  th, td { text-align: left; vertical-align: top; padding: 7px 12px; border-bottom: 1px solid var(--rule); font-weight: 450; line-height: 1.3; }
  th:first-child, td:first-child { padding-left: 20px; } td:last-child, thead th:last-child { text-align: right; padding-right: 20px; }
  thead th { color: var(--soft); }
  tbody th { font-weight: 600; }
  th span { display: block; font-weight: 450; }
  ${PHONE} { th:first-child, td:first-child { padding-left: 14px; } td:nth-child(2), thead th:nth-child(2) { display: none; } td:last-child { padding-right: 14px; } }
`;
const Buy = styled.span`color: var(--clay); font-weight: 700; white-space: nowrap;`;
const Told = styled.ul`padding: 10px 20px 14px; font-size: 15px; li { padding: 2px 0; line-height: 1.32; } ${PHONE} { padding: 10px 14px; }`;

/** What is needed, what is there of it, and what is to be bought, as a table. */
export function NeedsColumns({ of }: { of: Schemas['Needs'] }) {
  const buy = (supply: number | null, name: string) =>
    of.to_buy
      .filter((line) => (supply === null ? line.name === name : line.supply_id === supply))
      .map(whatToBuy)
      .join(' and ');
  return (
    <>
      <Table aria-label="What is needed">
        <thead>
          <tr>
            <th>What</th>
            <th>For</th>
            <th>Needed</th>
            <th>To buy</th>
          </tr>
        </thead>
        <tbody>
          {of.fluids.map((one) => (
            <tr key={one.key}>
              <th scope="row">
                {one.name}
                <Soft>{one.take && `there: ${one.take}`}</Soft>
              </th>
              <td>{one.for.join('; ')}</td>
              <td>{one.amount.display}</td>
              <td>
                <Buy>{buy(one.supply_id, one.name)}</Buy>
              </td>
            </tr>
          ))}
          {of.parts.map((one) => (
            <tr key={one.key}>
              <th scope="row">
                {one.name || one.number}
                <Soft>
                  {[one.name && one.number, one.take && `there: ${one.take}`, one.again].filter(Boolean).join('; ')}
                </Soft>
              </th>
              <td>{one.for.join('; ')}</td>
              <td>{one.count}</td>
              <td>
                <Buy>{one.short > 0 ? one.short : ''}</Buy>
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
      <Told>
        {of.tools.length > 0 && <li>Tools: {of.tools.map(({ tool }) => tool).join(', ')}.</li>}
        {of.uses.length > 0 && <li>Used up: {of.uses.map(({ name }) => name).join(', ')}.</li>}
        {of.pans.map(({ machine, why }) => (
          <li key={`${machine} ${why}`}>
            {machine}: {why}
          </li>
        ))}
        {[...of.unknown, ...of.says].map((words) => (
          <li key={words}>
            <Soft>{words}</Soft>
          </li>
        ))}
      </Told>
    </>
  );
}
