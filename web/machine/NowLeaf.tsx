import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { trendsQuery, walkQuery } from '../api/queries';
import { usePerson } from '../api/usePerson';
import { QuietActions, QuietButton, quietLink } from '../kit/Button';
import { metered, sinceDay } from '../kit/format';
import { Line, Margin, Ruled, SheetHeading, Soft } from '../kit/Sheet';
import { isFine, isUnknown } from '../offline/states';
import { mayUse } from '../trade/mayUse';
import { Rail } from '../trade/Rail';
import { Stamp } from '../trade/Stamp';
import { useLogHours, useSheet } from '../trade/useSheet';
import { FirstThings } from './FirstThings';
import { MeterTruth } from './MeterTruth';
import { ReminderNote } from './ReminderNote';
import { RuleRows } from './RuleRows';
import { LiftDialog, StandDownDialog } from './StandDialog';
import { severityWords } from './severityWords';

const ActionLink = styled(Link)`${quietLink}`;
const Large = styled.span`font-size: 26px; font-weight: 650;`;
const Meters = styled.div`
  display: flex; flex-direction: column; gap: 4px;
  div { display: flex; flex-wrap: wrap; gap: 0 18px; align-items: baseline; }
`;
const Told = styled(
  Line,
)`flex-direction: row; justify-content: flex-start; gap: 14px; align-items: center; flex-wrap: wrap;`;

/** What the machine needs now: its rail, its meters, what is due with its why, what was found, whether it stands down. */
export default function NowLeaf() {
  const sheet = useSheet();
  const person = usePerson();
  const navigate = useNavigate();
  const [search, setSearch] = useSearchParams();
  const [standing, setStanding] = useState<'down' | 'lift' | null>(null);
  const { line } = sheet;
  const to = `/machines/${sheet.id}`;
  const mayService = person.role === 'keeper' || person.role === 'mechanic';
  const mayLog = mayUse(person, sheet.id);
  const logHours = useLogHours();
  // Where nobody knows the past, what to do first is told as one list below.
  const known = sheet.first_things.length === 0;
  const pressing = sheet.rules.filter(({ told }) => !isFine(told) && (known || !isUnknown(told)));
  return (
    <>
      <title>{`${sheet.name}, now`}</title>
      <Ruled>
        <Line>
          <Rail
            name={sheet.name}
            rail={line.rail}
            stoodDown={line.stood_down}
            onLogHours={logHours}
            onLead={mayService ? (rules) => navigate(`/bench/new/${sheet.id}?rules=${rules.join()}`) : undefined}
            onRecord={mayService ? (rules) => navigate(`${to}/service?rules=${rules.join()}`) : undefined}
          />
        </Line>
        <Margin>
          {line.stood_down?.words.map(({ id, because }) => (
            <p key={id}>{because}</p>
          ))}
          <p>{line.stood_down ? 'Nobody may use it until a keeper or mechanic lifts this.' : line.why}</p>
          {sheet.note && <Soft>{sheet.note}</Soft>}
          {sheet.severities.length > 0 && <Soft>Lives under {sheet.severities.map(severityWords).join(', ')}.</Soft>}
          {sheet.warranties.map((warranty) => (
            <Soft key={warranty}>{warranty}.</Soft>
          ))}
          <QuietActions>
            {mayService && line.stood_down && <QuietButton onPress={() => setStanding('lift')}>Lift</QuietButton>}
            {mayLog && (
              <QuietButton onPress={() => setStanding('down')}>
                {line.stood_down ? 'Something else keeps it down' : 'Stand down'}
              </QuietButton>
            )}
            {person.role === 'keeper' && <ActionLink to={`${to}/edit`}>Change the record</ActionLink>}
          </QuietActions>
        </Margin>
      </Ruled>
      <Ruled>
        <Line>
          <MeterList sheet={sheet} mayReplace={mayService} />
          {sheet.meter_truth && <MeterTruth sheet={sheet} truth={sheet.meter_truth} mayAsk={mayService} />}
        </Line>
        <Margin>
          <ReminderNote sheet={sheet} maySet={mayService} />
        </Margin>
      </Ruled>
      {(pressing.length > 0 || known) && (
        <SheetHeading id="due">
          {pressing.length > 0 ? 'What is due, nearing or not known' : 'Nothing is due'}
        </SheetHeading>
      )}
      <RuleRows sheet={sheet} rules={pressing} />
      <FirstThings sheet={sheet} mayService={mayService} />
      <Found sheet={sheet} />
      {standing === 'down' && <StandDownDialog line={line} onClose={() => setStanding(null)} />}
      {(standing === 'lift' || search.has('lift')) && (
        <LiftDialog
          line={line}
          onClose={() => {
            setStanding(null);
            setSearch({}, { replace: true });
          }}
        />
      )}
    </>
  );
}

/** What is open on it, and what wears or is used up faster than it should. */
function Found({ sheet }: { sheet: Schemas['MachinePage'] }) {
  const walk = useQuery(walkQuery(sheet.id));
  const trends = useQuery(trendsQuery(sheet.id));
  const findings = walk.data?.findings ?? [];
  const followed = [
    ...(trends.data?.wear ?? []).map((wear) => ({ ...wear, name: wear.title })),
    ...(trends.data?.consumption ?? []).map((used) => ({ ...used, name: `${used.title} used` })),
  ].filter(({ verdict }) => !isFine(verdict));
  const points = walk.data?.grease.points ?? [];
  const missed = points.filter((point) => point.due).length;
  return (
    <>
      <SheetHeading id="found">{findings.length > 0 ? 'Open findings' : 'Nothing found is open'}</SheetHeading>
      {findings.map((finding) => (
        <Ruled key={finding.check}>
          <Told>
            <Stamp state={finding.verdict} />
            <Link to={`/machines/${sheet.id}/findings/${finding.check}`}>{finding.title}</Link>
            {finding.spot_name !== finding.title && (
              <Soft>
                <Link to={`/machines/${sheet.id}/plate/${finding.spot}`}>{finding.spot_name}</Link>
              </Soft>
            )}
          </Told>
          <Margin>
            <p>
              {finding.why} {finding.do}
            </p>
            <Soft>
              {finding.by}, {sinceDay(finding.since, sheet.line.rail.today)}
              {finding.seen > 1 && `; seen ${finding.seen} times, ${finding.course_in_words}`}
            </Soft>
          </Margin>
        </Ruled>
      ))}
      {followed.map((one) => (
        <Ruled key={one.name}>
          <Told>
            <Stamp state={one.verdict} />
            <Link to={`/machines/${sheet.id}/plate/${one.spot}`}>{one.name}</Link>
          </Told>
          <Margin>{one.why}</Margin>
        </Ruled>
      ))}
      {points.length > 0 && (
        <Ruled>
          <Line>
            <span>
              {missed > 0
                ? `${missed} of ${points.length} grease points are due or were never recorded. `
                : 'Every grease point is done. '}
              <ActionLink to={`/machines/${sheet.id}/plate?kind=grease_point`}>Grease points</ActionLink>
            </span>
          </Line>
          <Margin>{walk.data?.grease.due_need && <Soft>For those due: {walk.data.grease.due_need}.</Soft>}</Margin>
        </Ruled>
      )}
    </>
  );
}

function MeterList({ sheet, mayReplace }: { sheet: Schemas['MachinePage']; mayReplace: boolean }) {
  if (sheet.meters.length === 0) return <Soft>No meter: what falls due here falls due by date.</Soft>;
  return (
    <Meters>
      {sheet.meters.map((meter) => (
        <div key={meter.id}>
          <Large>{metered(meter.value, meter.unit)}</Large>
          <Soft>
            {meter.replaced ? 'replaced meter, last read ' : 'read '}
            {meter.read_on ? sinceDay(meter.read_on, sheet.line.rail.today) : 'never'}
          </Soft>
          {meter.run !== meter.value && <Soft>{metered(meter.run, meter.unit)} run in all</Soft>}
          {!meter.replaced && mayReplace && (
            <ActionLink to={`/machines/${sheet.id}/meter?meter=${meter.unit === 'h' ? 'hours' : 'distance'}`}>
              Replace this meter
            </ActionLink>
          )}
        </div>
      ))}
    </Meters>
  );
}
