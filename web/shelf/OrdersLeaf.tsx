import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { usePerson } from '../api/usePerson';
import { QuietButton } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { dayAndMonth, longDay } from '../kit/format';
import { Empty, Soft } from '../kit/Sheet';
import { PHONE } from '../kit/theme';
import { ReadingInSheet } from '../trade/Reading';
import { BoughtDialog } from './BoughtDialog';
import { money } from './money';
import { ordersQuery } from './queries';
import { PREFERENCES, whatToBuy } from './words';

const Head = styled.div`
  display: flex; flex-wrap: wrap; gap: 6px 28px; justify-content: space-between; align-items: center; padding: 12px 20px;
  border-bottom: 1px solid var(--rule); ${PHONE} { padding: 12px 14px; }
`;
const Row = styled.li`
  display: grid; grid-template-columns: 116px minmax(0, 3fr) 96px minmax(0, 4fr) 84px 64px; gap: 2px 20px; align-items: baseline;
  padding: 9px 20px; border-bottom: 1px solid var(--rule);
  &:last-child { border-bottom: 0; }
  p { font-size: 15px; line-height: 1.32; }
  ${PHONE} { grid-template-columns: minmax(0, 1fr) auto; padding: 10px 14px; > :nth-child(4) { grid-column: 1 / -1; order: 5; } }
`;
const By = styled.strong<{ $now: boolean }>`font-weight: 700; ${({ $now }) => $now && 'color: var(--clay);'}`;
const Price = styled.span`text-align: right;`;
const Unknown = styled.ul`
  padding: 12px 20px 16px; font-size: 15px; color: var(--soft); columns: 2 380px; column-gap: 32px;
  li { break-inside: avoid; padding: 3px 0; line-height: 1.3; } ${PHONE} { padding: 12px 14px; }
`;

type Order = Schemas['Orders']['orders'][number];

/** What to order for what falls due in the next three months, and by when. */
export default function OrdersLeaf() {
  const [preference, setPreference] = useState<Schemas['Preference']>('makers');
  const page = useQuery(ordersQuery(preference));
  const role = usePerson().role;
  const [bought, setBought] = useState<Order | null>(null);
  if (!page.data) return <ReadingInSheet error={page.error} />;
  const { orders, until, costs, currency, unknown, is_behind } = page.data;
  return (
    <>
      <Head>
        <Soft>
          For all that falls due by {longDay(until)}, as often as it comes. Maker's own{' '}
          {money(costs.makers.cost, currency)}, equivalents {money(costs.equivalents.cost, currency)}
          {costs[preference].unpriced > 0 && `; ${costs[preference].unpriced} without a price`}.
        </Soft>
        <Choice label="Buy" quiet value={preference} onChange={setPreference} options={PREFERENCES} />
      </Head>
      <ul aria-label="To order">
        {orders.map((order) => (
          <Row key={order.key}>
            <By $now={order.is_now}>
              {order.is_now
                ? 'order now'
                : order.order_by
                  ? `by ${dayAndMonth(order.order_by)}`
                  : `for ${dayAndMonth(order.lacking_on ?? until)}`}
            </By>
            <span>
              {order.supply_id === null ? order.name : <Link to={`/shelf/${order.supply_id}`}>{order.name}</Link>}
              {order.number && order.number !== order.name && <Soft> {order.number}</Soft>}
            </span>
            <strong>{whatToBuy(order)}</strong>
            <p>{order.why}</p>
            <Price>{money(order.cost, currency)}</Price>
            {(role === 'keeper' || role === 'mechanic') && (order.kind === 'part' || order.supply_id !== null) ? (
              <QuietButton onPress={() => setBought(order)} aria-label={`Bought: ${order.name}`}>
                Bought
              </QuietButton>
            ) : (
              <span />
            )}
          </Row>
        ))}
      </ul>
      {is_behind && <Empty role="status">Something changed: what to order is being reckoned anew.</Empty>}
      {orders.length === 0 && !is_behind && <Empty>The shelf has all that the next three months ask for.</Empty>}
      {unknown.length > 0 && (
        <Unknown aria-label="Not written down">
          {unknown.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </Unknown>
      )}
      {bought && <BoughtDialog of={bought} currency={currency} onClose={() => setBought(null)} />}
    </>
  );
}
