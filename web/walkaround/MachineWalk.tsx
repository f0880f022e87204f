import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { trendsQuery, walkQuery } from '../api/queries';
import { QuietActions, quietLink } from '../kit/Button';
import { sinceDay } from '../kit/format';
import { Line, Margin, Ruled, Sheet, SheetHeading, Soft } from '../kit/Sheet';
import { VerdictStamp } from '../kit/Stamp';

const ActionLink = styled(Link)`${quietLink}`;
const Heading = styled.div`
  display: flex; justify-content: space-between; align-items: baseline; flex-wrap: wrap; gap: 4px 20px;
  border-bottom: 1px solid var(--rule); padding-right: 20px;
  h2 { border: 0; }
`;

type Props = { machine: number; mayWalk: boolean; keeper: boolean };

/** On a machine's sheet: what is open on it, how its parts wear, what it uses. */
export function MachineWalk({ machine, mayWalk, keeper }: Props) {
  const walk = useQuery(walkQuery(machine));
  const trends = useQuery(trendsQuery(machine));
  if (!walk.data) return null;
  const { findings, today, grease } = walk.data;
  const missed = grease.points.filter((point) => point.due);
  return (
    <Sheet aria-labelledby="walkaround">
      <Heading>
        <SheetHeading id="walkaround">Walkaround</SheetHeading>
        <QuietActions>
          {mayWalk && <ActionLink to={`/walkaround/${machine}`}>Walk round it</ActionLink>}
          <ActionLink to="grease">Grease points</ActionLink>
          {keeper && <ActionLink to="checks">Change the check sheet</ActionLink>}
        </QuietActions>
      </Heading>
      {findings.map((finding) => (
        <FindingRow key={finding.check} machine={machine} finding={finding} today={today} />
      ))}
      {trends.data?.wear.map((wear) => (
        <TrendRow
          key={wear.check}
          machine={machine}
          title={wear.title}
          check={wear.check}
          verdict={wear.verdict}
          why={wear.why}
          says={lastOf(wear)}
        />
      ))}
      {trends.data?.consumption.map((used) => (
        <TrendRow
          key={used.spot}
          machine={machine}
          title={`${used.title} used`}
          check={used.check}
          verdict={used.verdict}
          why={used.why}
          says={`${used.per_100h} per 100 h`}
        />
      ))}
      <Ruled>
        <Line>
          <span>
            {findings.length === 0 && 'Nothing found is open. '}
            {missed.length > 0
              ? `${missed.length} of ${grease.points.length} grease points are due or were never recorded.`
              : grease.points.length > 0
                ? 'Every grease point is done.'
                : ''}
          </span>
        </Line>
        <Margin>{grease.due_need && <Soft>For those due: {grease.due_need}.</Soft>}</Margin>
      </Ruled>
    </Sheet>
  );
}

function FindingRow({ machine, finding, today }: { machine: number; finding: Schemas['Finding']; today: string }) {
  return (
    <Ruled>
      <Line style={{ flexDirection: 'row', justifyContent: 'flex-start', gap: 14, alignItems: 'center' }}>
        <VerdictStamp verdict={finding.verdict} />
        <Link to={`/machines/${machine}/findings/${finding.check}`}>{finding.title}</Link>
      </Line>
      <Margin>
        <p>
          {finding.why} {finding.do}
        </p>
        <Soft>
          {finding.by}, {sinceDay(finding.since, today)}
          {finding.seen > 1 && `; seen ${finding.seen} times, ${finding.course_in_words}`}
        </Soft>
      </Margin>
    </Ruled>
  );
}

function lastOf(wear: Schemas['Trends']['wear'][number]): string {
  const last = wear.points.at(-1);
  return `${last?.value} ${wear.unit} at ${last?.hours} ${wear.along}; limit ${wear.limit} ${wear.unit}`;
}

type TrendProps = {
  machine: number;
  check: string | null;
  title: string;
  verdict: Schemas['Verdict'];
  says: string;
  why: string;
};

function TrendRow({ machine, check, title, verdict, says, why }: TrendProps) {
  return (
    <Ruled>
      <Line
        style={{ flexDirection: 'row', justifyContent: 'flex-start', gap: 14, alignItems: 'center', flexWrap: 'wrap' }}
      >
        <VerdictStamp verdict={verdict} />
        {check ? <Link to={`/machines/${machine}/findings/${check}`}>{title}</Link> : title}
        <Soft>{says}</Soft>
      </Line>
      <Margin>{why}</Margin>
    </Ruled>
  );
}
