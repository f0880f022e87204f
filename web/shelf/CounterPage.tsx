import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import styled from 'styled-components';
import { answer, api } from '../api/client';
import { PlainButton } from '../kit/Button';
import { headingDay, instant } from '../kit/format';
import { Lead, Page, Sheet, Soft, Title } from '../kit/Sheet';
import { PHONE } from '../kit/theme';
import { Reading } from '../trade/Reading';
import { whatToBuy } from './words';

const Row = styled.li`
  display: grid; grid-template-columns: 130px minmax(0, 1fr) minmax(0, 1fr); gap: 2px 20px; padding: 11px 20px; border-bottom: 1px solid var(--rule);
  font-size: 19px; strong { font-weight: 700; }
  &:last-child { border-bottom: 0; }
  ${PHONE} { grid-template-columns: 96px minmax(0, 1fr); padding: 12px 14px; > :nth-child(3) { grid-column: 2; } }
`;
const Screen = styled.div`@media print { display: none; }`;

/** For the person at the counter: what is to be bought for one list, and nothing else. */
export default function CounterPage() {
  const { token = '' } = useParams();
  const list = useQuery({
    queryKey: ['counter', token],
    queryFn: () => answer(api.GET('/counter/{token}', { params: { path: { token } } })),
    retry: false,
  });
  if (!list.data) return <Reading title="A list" error={list.error} />;
  const { name, yard, for_day: day, ends_at: ends, to_buy: lines, wanted } = list.data;
  return (
    <Page>
      <title>{name}</title>
      <Lead>
        <div>
          <Title>{yard}</Title>
          <Soft>
            {name}
            {day && `, for ${headingDay(day)}`}. This link ends on {instant(ends, true)}.
          </Soft>
        </div>
        <Screen>
          <PlainButton onPress={() => window.print()}>Print it</PlainButton>
        </Screen>
      </Lead>
      <Sheet aria-label="To buy">
        <ul>
          {lines.map((line) => (
            <Row key={line.key}>
              <strong>{whatToBuy(line)}</strong>
              <span>{line.name}</span>
              <span>{line.number !== line.name && line.number}</span>
            </Row>
          ))}
          {wanted.map((thing) => (
            <Row key={thing.key}>
              <strong>{thing.count}</strong>
              <span>{thing.name}</span>
              <span />
            </Row>
          ))}
          {lines.length + wanted.length === 0 && (
            <Row>
              <span />
              <span>Nothing is to be bought.</span>
            </Row>
          )}
        </ul>
      </Sheet>
    </Page>
  );
}
