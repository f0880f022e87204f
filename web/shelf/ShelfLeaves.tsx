import { useQuery } from '@tanstack/react-query';
import { Suspense } from 'react';
import { Link, NavLink, Outlet } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { shelfQuery } from '../api/queries';
import { usePerson } from '../api/usePerson';
import { QuietActions, quietLink } from '../kit/Button';
import { Leaf, Leaves } from '../kit/Leaves';
import { Lead, Page, Soft, Title } from '../kit/Sheet';
import { ReadingInSheet } from '../trade/Reading';

const ActionLink = styled(Link)`${quietLink}`;

const LEAVES = [
  { to: '/shelf', words: 'Fluids' },
  { to: '/shelf/parts', words: 'Parts' },
  { to: '/shelf/orders', words: 'To order' },
  { to: '/shelf/ready', words: 'Getting ready' },
  { to: '/shelf/used', words: 'Used' },
] as const;

/** What is kept, what to order, what is got ready, and what waits to be taken away. */
export default function ShelfLeaves() {
  const shelf = useQuery(shelfQuery);
  const role = usePerson().role;
  return (
    <Page>
      <title>Shelf</title>
      <Lead>
        <div>
          <Title>Shelf</Title>
          <Soft>{shelf.data ? toldOf(shelf.data) : '\u00a0'}</Soft>
        </div>
        <QuietActions>
          <ActionLink to="/shelf/scan">Scan a label</ActionLink>
          <ActionLink to="/shelf/labels">Print labels</ActionLink>
          {(role === 'keeper' || role === 'mechanic') && <ActionLink to="/shelf/new">Keep something new</ActionLink>}
        </QuietActions>
      </Lead>
      <Leaves aria-label="Leaves of the shelf">
        {LEAVES.map(({ to, words }) => (
          <NavLink key={to} to={to} end>
            {words}
          </NavLink>
        ))}
      </Leaves>
      <Leaf>
        <Suspense fallback={<ReadingInSheet />}>
          <Outlet />
        </Suspense>
      </Leaf>
    </Page>
  );
}

function toldOf({ supplies }: Schemas['Shelf']): string {
  const uncounted = supplies.filter(({ left }) => left.below_nothing).length;
  const over = supplies.filter(({ containers }) => containers.some((one) => one.is_over)).length;
  return [
    `${supplies.filter((one) => one.is_kept).length} of ${supplies.length} things are counted`,
    uncounted > 0 && `${uncounted} to count anew`,
    over > 0 && `${over} past ${over === 1 ? 'its' : 'their'} time`,
  ]
    .filter(Boolean)
    .join(', ');
}
