import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { computerQuery } from '../api/queries';
import { quietLink } from '../kit/Button';
import { instant, manyOf } from '../kit/format';
import { Caution, Lead, Page, Sheet, SheetHeading, Soft, Title } from '../kit/Sheet';
import { PHONE } from '../kit/theme';
import { Reading } from '../trade/Reading';

const Facts = styled.dl`
  padding: 4px 20px 10px;
  > div { display: grid; grid-template-columns: 240px minmax(0, 1fr) auto; gap: 4px 24px; padding: 9px 0; border-top: 1px solid var(--rule); align-items: baseline; }
  > div:first-child { border-top: 0; }
  dt { font-weight: 600; }
  dd:last-child:not(:nth-child(2)) { color: var(--soft); text-align: right; }
  ${PHONE} { padding: 2px 14px 8px; > div { grid-template-columns: minmax(0, 1fr); gap: 0; } dd:last-child:not(:nth-child(2)) { text-align: left; } }
`;
const Failed = styled.strong`color: var(--clay);`;
const ActionLink = styled(Link)`${quietLink}`;

/** What the yard's computer does by itself, in words for its keeper. */
export default function ComputerPage() {
  const computer = useQuery(computerQuery);
  if (!computer.data) return <Reading title="This computer" error={computer.error} />;
  const { warnings, programs, night, backup, disk, lan } = computer.data;
  return (
    <Page>
      <title>This computer</title>
      <Lead>
        <div>
          <Title>This computer</Title>
          <Soft>It keeps the yard's book, backs it up each night and starts again what stops.</Soft>
        </div>
        {lan && <ActionLink to="/computer/door">Sheet for the shed door</ActionLink>}
      </Lead>
      {warnings.map((warning) => (
        <Caution key={warning} style={{ marginBottom: 12 }}>
          {warning}
        </Caution>
      ))}
      <Sheet aria-label="Backups">
        <SheetHeading>Backups</SheetHeading>
        <Facts>
          <Fact name="The last good one" margin={backup ? megabytes(backup.bytes) : undefined}>
            {backup ? instant(backup.made_at, false) : 'There is none yet. The first is made this night.'}
          </Fact>
          {backup && (
            <Fact name="Proved">
              {backup.proved_at
                ? `Put back into a database of its own and counted, ${instant(backup.proved_at, false)}`
                : 'Not yet: once a week the newest is put back and counted.'}
            </Fact>
          )}
          {backup && <Fact name="Kept">{manyOf(backup.kept, 'backup')}, of the last days, weeks and months</Fact>}
          <Fact name="A second place">
            {SECOND_FOLDER[computer.data.second_folder]}
            {computer.data.second_folder === 'there' &&
              `, with ${manyOf(computer.data.second_kept, 'backup')} of this yard`}
          </Fact>
          <Fact name="Sealed">
            {computer.data.is_sealed
              ? 'with a passphrase'
              : 'no: whoever has such a file can read it, and change it without a trace'}
          </Fact>
        </Facts>
      </Sheet>
      <Sheet aria-label="The night's work">
        <SheetHeading>The night's work</SheetHeading>
        <Facts>
          {night.map(({ work, title, began_at: began, succeeded, says }) => (
            <Fact key={work} name={title} margin={began ? instant(began, false) : undefined}>
              {succeeded === false && <Failed>Failed. </Failed>}
              {began === null ? 'Not yet' : (says ?? 'Under way')}
            </Fact>
          ))}
        </Facts>
      </Sheet>
      {programs.length > 0 && (
        <Sheet aria-label="What runs">
          <SheetHeading>What runs</SheetHeading>
          <Facts>
            {programs.map((program) => (
              <Fact key={program.name} name={program.title} margin={restarts(program.restarts)}>
                {program.runs ? `for ${program.since}` : <Failed>does not run</Failed>}
              </Fact>
            ))}
          </Facts>
        </Sheet>
      )}
      <Sheet aria-label="The computer">
        <SheetHeading>The computer</SheetHeading>
        <Facts>
          <Fact name="Room on its disk">
            {disk.percent} % free, {gigabytes(disk.free)} of {gigabytes(disk.total)}
          </Fact>
          <Fact name="In the house">
            {lan
              ? `Phones open ${lan.door}, trust it once, and go on at ${lan.address}.`
              : 'Only on this computer itself. Started with --lan, the phones in the house reach it.'}
          </Fact>
        </Facts>
      </Sheet>
    </Page>
  );
}

function Fact({ name, children, margin }: { name: string; children: React.ReactNode; margin?: string }) {
  return (
    <div>
      <dt>{name}</dt>
      <dd>{children}</dd>
      {margin && <dd>{margin}</dd>}
    </div>
  );
}

const SECOND_FOLDER: Record<Schemas['Computer']['second_folder'], string> = {
  none: 'none: a stick or a share in another house survives a fire',
  there: 'there',
  missing: 'not there now. Is its stick in?',
};

const restarts = (times: number): string | undefined =>
  times === 0 ? undefined : `started again ${times === 1 ? 'once' : `${times} times`}`;

const megabytes = (bytes: number): string => `${(bytes / 1e6).toFixed(1)} MB`;
const gigabytes = (bytes: number): string => `${(bytes / 1e9).toFixed(1)} GB`;
