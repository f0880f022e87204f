import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { usePerson } from '../api/usePerson';
import { Actions, MainButton, PlainButton, QuietActions, quietLink } from '../kit/Button';
import { instant, longDay, manyOf } from '../kit/format';
import { Lead, Line, Margin, Page, Ruled, Sheet, SheetHeading, Soft, Title } from '../kit/Sheet';
import { PHONE } from '../kit/theme';
import { Reading } from '../trade/Reading';
import { BoughtDialog } from './BoughtDialog';
import { CountDialog } from './CountDialog';
import { money } from './money';
import { Plank } from './Plank';
import { supplyQuery } from './queries';
import { ShelfCode } from './ShelfCode';
import { Tally } from './Tally';

const ActionLink = styled(Link)`${quietLink}`;
const Stock = styled.div`
  display: grid; grid-template-columns: minmax(0, 1fr) auto; gap: 16px 28px; padding: 18px 20px; align-items: center;
  border-bottom: 1px solid var(--rule); ${PHONE} { padding: 14px; grid-template-columns: minmax(0, 1fr); }
`;
const Large = styled.p<{ $below: boolean }>`
  font-size: 26px; font-weight: 650; line-height: 1.2; padding-bottom: 8px;
  ${({ $below }) => $below && 'color: var(--clay);'}
`;
const Says = styled.p`color: var(--clay); font-weight: 600; padding-top: 8px;`;
const Codes = styled.figure`
  display: flex; gap: 12px; align-items: center; img { width: 84px; height: 84px; background: #FFFFFF; display: block; }
  figcaption { font-size: 15px; color: var(--soft); }
`;
const Facts = styled.div`
  display: grid; grid-template-columns: repeat(auto-fit, minmax(190px, 1fr)); gap: 10px 26px; padding: 14px 20px; border-bottom: 1px solid var(--rule);
  dl { display: contents; } dt { font-size: 15px; color: var(--soft); } dd { line-height: 1.3; } ${PHONE} { padding: 12px 14px; }
`;

/** One thing that is kept: what is left in each container, what it costs, what came and went. */
export default function SupplyPage() {
  const id = Number(useParams().supply);
  const page = useQuery(supplyQuery(id));
  const role = usePerson().role;
  const [open, setOpen] = useState<'bought' | 'count' | null>(null);
  if (!page.data) return <Reading error={page.error} />;
  const supply = page.data;
  const mayService = role === 'keeper' || role === 'mechanic';
  const fluid = supply.kind === 'fluid';
  return (
    <Page>
      <title>{supply.name}</title>
      <Lead>
        <div>
          <Title>{supply.name}</Title>
          <Soft>{supply.in_words}</Soft>
        </div>
        <QuietActions>
          <ActionLink to={fluid ? '/shelf' : '/shelf/parts'}>The whole shelf</ActionLink>
          {mayService && <ActionLink to={`/shelf/${id}/change`}>Change what is written down</ActionLink>}
        </QuietActions>
      </Lead>
      <Sheet aria-label="What is there">
        <Stock>
          <div>
            <Large $below={supply.left.below_nothing}>
              {supply.is_kept ? supply.left.in_words : 'Nobody has counted it yet'}
            </Large>
            {fluid ? <Plank of={supply.containers} name={supply.name} /> : <Tally pieces={Number(supply.left.value)} />}
            {supply.says.map((words) => (
              <Says key={words}>{words}</Says>
            ))}
          </div>
          {mayService && (
            <Actions>
              <MainButton onPress={() => setOpen('bought')}>Some came</MainButton>
              <PlainButton onPress={() => setOpen('count')}>Count it</PlainButton>
            </Actions>
          )}
        </Stock>
        {supply.containers.map((one) => (
          <Ruled key={one.id}>
            <Line>
              <p>
                <strong>{one.left.display}</strong> left of {one.size}
              </p>
            </Line>
            <Margin>
              <p>
                {one.opened_on ? `Opened ${longDay(one.opened_on)}. ` : 'Not opened. '}
                {one.why}
                {one.below_nothing && ' More was poured out of it than was in it: count it.'}
              </p>
            </Margin>
          </Ruled>
        ))}
        <Facts>
          <dl>
            <div>
              <dt>Where</dt>
              <dd>{supply.place || 'not said'}</dd>
            </div>
            <div>
              <dt>Price</dt>
              <dd>{prices(supply)}</dd>
            </div>
            <div>
              <dt>To come</dt>
              <dd>{supply.delivery_days === null ? 'nobody knows' : manyOf(supply.delivery_days, 'day')}</dd>
            </div>
            {fluid && (
              <div>
                <dt>Once opened it keeps</dt>
                <dd>{supply.keeps_months === null ? 'not said' : manyOf(supply.keeps_months, 'month')}</dd>
              </div>
            )}
          </dl>
          <Codes>
            <ShelfCode code={supply.code} name={supply.name} />
            <figcaption>
              {supply.code}
              <br />
              <ActionLink to={`/shelf/labels?only=${id}`}>Print its label</ActionLink>
            </figcaption>
          </Codes>
        </Facts>
      </Sheet>
      <Sheet aria-label="Lately">
        <SheetHeading>What came and went</SheetHeading>
        {supply.lately.map((move) => (
          <Ruled key={move.id}>
            <Line>
              <p>
                {move.machine_id ? (
                  <>
                    {'− '}
                    <Link to={`/machines/${move.machine_id}/book`}>{move.in_words}</Link>
                  </>
                ) : (
                  move.in_words
                )}
              </p>
              {move.note && <Soft>{move.note}</Soft>}
            </Line>
            <Margin>
              {instant(move.at, false)}, {move.by}
            </Margin>
          </Ruled>
        ))}
        {supply.lately.length === 0 && (
          <Ruled>
            <Line>
              <Soft>Nothing is on record yet.</Soft>
            </Line>
          </Ruled>
        )}
      </Sheet>
      {open === 'bought' && (
        <BoughtDialog
          of={{ ...supply, supply_id: supply.id, size: supply.sold_in[0]?.size ?? null, count: null }}
          currency={supply.currency}
          onClose={() => setOpen(null)}
        />
      )}
      {open === 'count' && <CountDialog of={supply} onClose={() => setOpen(null)} />}
    </Page>
  );
}

const prices = ({ sold_in: sold, currency }: Schemas['SupplyPage']): string =>
  sold
    .map(({ size, price }) => [size, money(price, currency)].filter(Boolean).join(' at ') || '')
    .filter(Boolean)
    .join(', ') || 'not written down';
