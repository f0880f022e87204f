import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Input, SearchField } from 'react-aria-components';
import { Link } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { shelfQuery } from '../api/queries';
import { Empty, Soft } from '../kit/Sheet';
import { PHONE } from '../kit/theme';
import { ReadingInSheet } from '../trade/Reading';
import { Plank } from './Plank';
import { Tally } from './Tally';

const Head = styled.div`
  display: flex; flex-wrap: wrap; gap: 8px 24px; justify-content: space-between; align-items: center; padding: 12px 20px;
  border-bottom: 1px solid var(--rule); ${PHONE} { padding: 12px 14px; }
`;
const Find = styled(SearchField)`
  width: 260px; ${PHONE} { width: 100%; }
  input { width: 100%; border: 2px solid var(--ink); border-radius: 3px; background: var(--sheet); min-height: 44px; padding: 6px 12px; }
`;
const Row = styled.li`
  display: grid; grid-template-columns: minmax(220px, 3fr) minmax(160px, 3fr) minmax(150px, 1.4fr) minmax(170px, 2fr); gap: 4px 22px;
  align-items: center; padding: 5px 20px; border-bottom: 1px solid var(--rule); min-height: 56px;
  &:last-child { border-bottom: 0; }
  a { font-weight: 650; }
  > * { min-width: 0; }
  ${PHONE} { grid-template-columns: minmax(0, 1fr) auto; padding: 10px 14px; > :nth-child(2) { grid-column: 1 / -1; order: 3; } > :nth-child(4) { grid-column: 1 / -1; order: 4; } }
`;
const Label = styled(Soft)`display: block; line-height: 1.25; overflow-wrap: anywhere;`;
const Left = styled.strong<{ $below: boolean }>`
  font-weight: 650; ${({ $below }) => $below && 'color: var(--clay);'} ${PHONE} { text-align: right; }
`;
const Says = styled.p`font-size: 15px; line-height: 1.3; color: var(--clay); font-weight: 550;`;

/** The fluids that are kept, or the parts: how much there is, where it stands, what is amiss. */
export default function KeptLeaf({ kind }: { kind: Schemas['SupplyKind'] }) {
  const shelf = useQuery(shelfQuery);
  const [name, setName] = useState('');
  if (!shelf.data) return <ReadingInSheet error={shelf.error} />;
  const all = shelf.data.supplies.filter((one) => one.kind === kind);
  const shown = all.filter(({ name: called, number, in_words: words }) =>
    `${called} ${number ?? ''} ${words}`.toLowerCase().includes(name.trim().toLowerCase()),
  );
  return (
    <>
      <Head>
        <Find aria-label="Find by name or number" value={name} onChange={setName}>
          <Input placeholder={kind === 'fluid' ? 'Find by name or grade' : 'Find by name or number'} />
        </Find>
        {kind === 'fluid' && <Soft>Green is full, straw is open, hatched is past its time.</Soft>}
      </Head>
      <ul aria-label={kind === 'fluid' ? 'Fluids' : 'Parts'}>
        {shown.map((supply) => (
          <Row key={supply.id}>
            <div>
              <Link to={`/shelf/${supply.id}`}>{supply.name}</Link>
              <Label>{supply.in_words}</Label>
            </div>
            {kind === 'fluid' ? (
              <Plank of={supply.containers} name={supply.name} />
            ) : (
              <Tally pieces={Number(supply.left.value)} />
            )}
            <Left $below={supply.left.below_nothing}>
              {supply.is_kept ? supply.left.in_words : <Soft>not counted</Soft>}
            </Left>
            <div>
              {supply.says.map((words) => (
                <Says key={words}>{words}</Says>
              ))}
              {supply.says.length === 0 && <Label>{supply.place}</Label>}
            </div>
          </Row>
        ))}
      </ul>
      {shown.length === 0 && (
        <Empty>
          {name ? 'Nothing here is called that.' : 'Nothing is kept yet. Keep something new, or buy for a list.'}
        </Empty>
      )}
    </>
  );
}
