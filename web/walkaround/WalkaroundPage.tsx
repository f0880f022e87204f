import { useInfiniteQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Input, SearchField } from 'react-aria-components';
import { Link } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { walkaroundQuery } from '../api/queries';
import { useEveryPage } from '../api/useEveryPage';
import { usePerson } from '../api/usePerson';
import { quietLink } from '../kit/Button';
import { Empty, Lead, Page, Sheet, Soft, Title } from '../kit/Sheet';
import { PHONE } from '../kit/theme';
import { Reading } from '../trade/Reading';
import { Stamp } from '../trade/Stamp';

const Row = styled.article<{ $down: boolean }>`
  display: grid; grid-template-columns: 340px minmax(0, 1fr) auto; gap: 4px 20px; align-items: center;
  border-bottom: 1px solid var(--rule); padding: 6px 20px;
  &:last-child { border-bottom: 0; }
  h2 { font-size: 20px; display: inline; margin-right: 12px; }
  > div:nth-child(2) { display: flex; flex-wrap: wrap; gap: 2px 20px; align-items: center; }
  h2 a { text-decoration: none; }
  p { font-size: 16px; line-height: 1.35; }
  ${({ $down }) => $down && 'background: repeating-linear-gradient(-45deg, transparent 0 9px, color-mix(in srgb, var(--plate) 16%, transparent) 9px 11px);'}
  ${PHONE} { grid-template-columns: minmax(0, 1fr) auto; padding: 12px 14px; > div:nth-child(2) { grid-column: 1 / -1; order: 3; } }
`;
const Start = styled(Link)`
  display: inline-flex; align-items: center; justify-content: center; min-height: 42px; min-width: 124px; padding: 4px 16px; border: 2px solid var(--hedge);
  border-radius: 3px; font-weight: 650; text-decoration: none; color: var(--hedge); background: var(--sheet);
  white-space: nowrap;
  &[data-walked='false'] { background: var(--hedge); color: var(--on-hedge); }
  ${PHONE} { min-height: 52px; }
`;
const Find = styled(SearchField)`
  width: 260px; ${PHONE} { width: 100%; }
  input { width: 100%; border: 2px solid var(--ink); border-radius: 3px; background: var(--sheet); min-height: 48px; padding: 6px 12px; }
`;
const LabelsLink = styled(Link)`${quietLink} ${PHONE} { && { display: none; } }`;
const Found = styled.ul`
  display: flex; flex-wrap: wrap; gap: 4px 18px;
  li { font-size: 16px; display: flex; gap: 10px; align-items: center; }
  li > span:first-child > * { font-size: 11.5px; padding: 0 5px; }
`;

/** The machines to walk round, those nobody has looked at first. */
export default function WalkaroundPage() {
  const person = usePerson();
  const machines = useInfiniteQuery(walkaroundQuery);
  const [name, setName] = useState('');
  const rows = machines.data?.pages.flatMap((page) => page.data) ?? [];
  const today = machines.data?.pages[0]?.today;
  useEveryPage(machines);
  if (!today) return <Reading title="Walkaround" error={machines.error} />;
  const shown = rows.filter((row) => row.name.toLowerCase().includes(name.trim().toLowerCase()));
  return (
    <Page>
      <title>Walkaround</title>
      <Lead>
        <div>
          <Title>Walkaround</Title>
          <Soft>{toldOf(rows)}</Soft>
        </div>
        <Find aria-label="Find a machine by name" value={name} onChange={setName}>
          <Input placeholder="Find by name" />
        </Find>
        {person.role === 'keeper' && <LabelsLink to="/walkaround/labels">Print labels</LabelsLink>}
      </Lead>
      <Sheet aria-label="Machines to walk round">
        {shown.map((row) => (
          <MachineRow key={row.id} row={row} today={today} mayWalk={person.role !== 'reader'} />
        ))}
        {shown.length === 0 && (
          <Empty>
            {name
              ? 'No machine is called that.'
              : 'There is no machine here for you to walk round. A keeper says which you may use.'}
          </Empty>
        )}
      </Sheet>
    </Page>
  );
}

function MachineRow({ row, today, mayWalk }: { row: Schemas['WalkRow']; today: string; mayWalk: boolean }) {
  const walked = row.walked_today;
  return (
    <Row $down={row.stood_down !== null} aria-label={row.name}>
      <div>
        <h2>
          <Link to={`/machines/${row.id}`}>{row.name}</Link>
        </h2>
        <Soft>
          {row.class_label}, {row.place}
        </Soft>
      </div>
      <div>
        <p>{walkedSentence(row, today)}</p>
        {row.stood_down && <p>Stood down: {row.stood_down.because}</p>}
        {row.findings.length > 0 && (
          <Found aria-label={`Open on ${row.name}`}>
            {row.findings.slice(0, 3).map((finding) => (
              <li key={finding.check}>
                <span>
                  <Stamp state={finding.verdict} />
                </span>
                <Link to={`/machines/${row.id}/findings/${finding.check}`}>{finding.title}</Link>
              </li>
            ))}
            {row.findings.length > 3 && <li>and {row.findings.length - 3} more</li>}
          </Found>
        )}
      </div>
      {mayWalk && (
        <Start
          to={`/walkaround/${row.id}`}
          data-walked={walked}
          aria-label={`${walked ? 'Walk again' : 'Walk round'}: ${row.name}`}
        >
          {walked ? 'Walk again' : 'Walk round'}
        </Start>
      )}
    </Row>
  );
}

function walkedSentence(row: Schemas['WalkRow'], today: string): string {
  if (!row.last) return 'Nobody has walked round it yet.';
  const by = row.last.by.join(' and ');
  const left = row.last.left_out > 0 ? `, ${row.last.left_out} not looked at` : '';
  if (row.last.day === today)
    return `${row.last.ended ? 'Walked' : 'Begun'} today by ${by}: ${row.last.looked_at} looked at${left}.`;
  return row.days_since === 1
    ? `Walked yesterday by ${by}${left}.`
    : `Not looked at for ${row.days_since} days; last by ${by}.`;
}

function toldOf(rows: Schemas['WalkRow'][]): string {
  const walked = rows.filter((row) => row.walked_today).length;
  const open = rows.reduce((sum, row) => sum + row.findings.length, 0);
  return `${walked} of ${rows.length} walked today, ${open} ${open === 1 ? 'finding' : 'findings'} open`;
}
