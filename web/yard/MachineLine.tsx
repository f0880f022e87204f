import { Link, useNavigate } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { QuietActions, QuietButton, quietLink } from '../kit/Button';
import { metered, sinceDay, within } from '../kit/format';
import { Margin } from '../kit/Sheet';
import { PHONE } from '../kit/theme';
import { isFine } from '../offline/states';
import { mayUse } from '../trade/mayUse';
import { Rail } from '../trade/Rail';
import { Stamp } from '../trade/Stamp';

const Row = styled.article`
  display: grid; grid-template-columns: 222px minmax(0, 1fr) 396px; border-bottom: 1px solid var(--rule);
  min-height: 92px; align-items: stretch;
  &:last-child { border-bottom: 0; }
  @media (max-width: 1080px) { grid-template-columns: 170px minmax(0, 1fr) 270px; }
  ${PHONE} { grid-template-columns: minmax(0, 1fr); padding: 12px 0 0; }
  break-inside: avoid;
`;
const Who = styled.div`
  padding: 8px 8px 8px 20px; line-height: 1.27; align-self: center; min-width: 0; overflow-wrap: anywhere;
  h2 { font-size: 20px; display: inline-block; }
  h2 a { text-decoration: none; }
  h2 a:hover { text-decoration: underline; text-underline-offset: 4px; text-decoration-thickness: 1px; }
  small { display: block; color: var(--soft); font-size: 14.5px; }
  b { font-weight: 450; font-size: 15px; }
  b + span { color: var(--soft); font-size: 14.5px; }
  ${PHONE} { padding: 0 14px; }
`;
const OnRail = styled.div`
  position: relative; min-width: 0; align-self: center; padding-right: 18px; ${PHONE} { padding: 0 14px; }
`;
const StampedName = styled.span`
  display: inline-block; margin-left: 12px; vertical-align: 2px;
  span { font-size: 12.5px; padding: 1px 6px; }
`;
const BenchLink = styled(Link)`${quietLink}`;

type Props = { line: Schemas['YardLine']; person: Schemas['Person']; onLogHours: () => void };

/** One machine on the yard's sheet: who, the rail, and why in the margin. */
export function MachineLine({ line, person, onLogHours }: Props) {
  const navigate = useNavigate();
  const meter = line.meters[0];
  const stamped = !isFine(line.state) && !line.stood_down;
  const mayService = person.role === 'keeper' || person.role === 'mechanic';
  const mayLog = mayUse(person, line.id) && meter !== undefined;
  const sheet = `/machines/${line.id}`;
  return (
    <Row aria-label={line.name}>
      <Who>
        <h2>
          <Link to={sheet}>{line.name}</Link>
        </h2>
        {stamped && (
          <StampedName>
            <Stamp state={line.state} />
          </StampedName>
        )}
        <small>
          {line.class_label}, {within(line.place)}
        </small>
        {meter && (
          <>
            <b>{metered(meter.value, meter.unit)}</b>{' '}
            <span>
              {meter.read_on ? `read ${sinceDay(meter.read_on, line.rail.today)}` : 'never read'}
              {meter.run !== meter.value && `, ${metered(meter.run, meter.unit)} run`}
            </span>
          </>
        )}
      </Who>
      <OnRail>
        <Rail
          name={line.name}
          rail={line.rail}
          stoodDown={line.stood_down}
          onLogHours={mayLog ? onLogHours : undefined}
          onLead={mayService ? (rules) => navigate(`/bench/new/${line.id}?rules=${rules.join()}`) : undefined}
          onRecord={mayService ? (rules) => navigate(`${sheet}/service?rules=${rules.join()}`) : undefined}
        />
      </OnRail>
      <Margin>
        <p>{line.stood_down ? standDownSentence(line) : line.why}</p>
        <QuietActions>
          {line.stood_down && mayService && <BenchLink to={`${sheet}?lift`}>Look and lift</BenchLink>}
          {!line.stood_down && mayService && !isFine(line.state) && (
            <BenchLink to={`${sheet}/service`}>Record service</BenchLink>
          )}
          {mayLog && <QuietButton onPress={onLogHours}>Log hours</QuietButton>}
          {mayUse(person, line.id) && (
            <BenchLink to={`/walkaround/${line.id}`} aria-label={`Walk round ${line.name}`}>
              Walk round
            </BenchLink>
          )}
        </QuietActions>
      </Margin>
    </Row>
  );
}

function standDownSentence(line: Schemas['YardLine']): string {
  const stand = line.stood_down;
  const by = stand?.by ? ` by ${stand.by}` : '';
  return `Stood down ${stand ? sinceDay(stand.on, line.rail.today) : ''}${by}. Nobody may use ${line.name} until a keeper or mechanic lifts this.`;
}
