import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Input, SearchField } from 'react-aria-components';
import { Link } from 'react-router';
import styled from 'styled-components';
import { Empty, Lead, Page, Sheet, SheetHeading, Soft, Title } from '../kit/Sheet';
import { PHONE } from '../kit/theme';
import { Reading } from '../trade/Reading';
import { answers, calculatorsQuery } from './catalogue';

const Find = styled(SearchField)`
  width: min(460px, 100%);
  input { width: 100%; border: 2px solid var(--ink); border-radius: 3px; background: var(--sheet); min-height: 48px; padding: 6px 12px; }
`;
const Groups = styled.div`
  columns: 3; column-gap: 22px; > section { break-inside: avoid; margin: 0 0 22px; }
  @media (max-width: 1080px) { columns: 2; } ${PHONE} { columns: 1; > section { margin: 0 -14px 14px; } }
`;
const Row = styled.li`
  border-bottom: 1px solid var(--rule); &:last-child { border-bottom: 0; }
  a { display: block; padding: 10px 20px; min-height: 48px; text-decoration: none; font-weight: 600; line-height: 1.25; }
  a:hover { background: var(--paper); }
  span { display: block; font-weight: 450; padding-top: 1px; }
  ${PHONE} { a { padding: 12px 14px; } }
`;

/** The calculators, found by what somebody wants to know. */
export default function ReckonerPage() {
  const [asked, setAsked] = useState('');
  const all = useQuery(calculatorsQuery);
  if (!all.data) return <Reading title="Reckoner" error={all.error} />;
  const groups = all.data.groups
    .map(({ heading, calculators }) => ({ heading, found: calculators.filter((one) => answers(one, asked)) }))
    .filter(({ found }) => found.length > 0);
  return (
    <Page>
      <title>Reckoner</title>
      <Lead>
        <div>
          <Title>Reckoner</Title>
          <Soft>The sums of the trade, each with its reason.</Soft>
        </div>
        <Find aria-label="What do you want to know?" value={asked} onChange={setAsked}>
          <Input placeholder="What do you want to know? How many bottles …" />
        </Find>
      </Lead>
      <Groups>
        {groups.map(({ heading, found }) => (
          <Sheet key={heading} aria-label={heading}>
            <SheetHeading>{heading}</SheetHeading>
            <ul>
              {found.map(({ name, title, asks }) => (
                <Row key={name}>
                  <Link to={`/reckoner/${name}`}>
                    {title}
                    <Soft>{asks.slice(0, 2).join(', ')}</Soft>
                  </Link>
                </Row>
              ))}
            </ul>
          </Sheet>
        ))}
      </Groups>
      {groups.length === 0 && (
        <Sheet>
          <Empty>No calculator answers that. Try one word: bottles, belt, cold, torque.</Empty>
        </Sheet>
      )}
    </Page>
  );
}
