import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { QuietActions, QuietButton, quietLink } from '../kit/Button';
import { metered, sinceDay } from '../kit/format';
import { Rail } from '../kit/Rail';
import { Reading, useKnownName } from '../kit/Reading';
import { Lead, Line, Margin, Page, Ruled, Sheet, SheetHeading, Soft, Title } from '../kit/Sheet';
import { Stamp } from '../kit/Stamp';
import { History } from '../logbook/History';
import { usePerson } from '../shell/Shell';
import { MachineWalk } from '../walkaround/MachineWalk';
import { LogHours } from '../yard/LogHours';
import { mayUse } from '../yard/MachineLine';
import { FirstThings } from './FirstThings';
import { MeterTruth } from './MeterTruth';
import { ReminderNote } from './ReminderNote';
import { Rulebook } from './Rulebook';
import { StandDialog } from './StandDialog';
import { severityWords } from './severityWords';
import { UseStrip } from './UseStrip';
import { useMachine } from './useMachine';

const ActionLink = styled(Link)`${quietLink}`;
const Heading = styled.div`display: flex; flex-wrap: wrap; gap: 8px 18px; align-items: center;`;
const Large = styled.span`font-size: 26px; font-weight: 650;`;
const Meters = styled.div`
  display: flex; flex-wrap: wrap; gap: 12px 40px;
  div { display: flex; flex-direction: column; }
`;

/** A machine's sheet: rail, meters, rulebook with its reasons, history. */
export default function MachinePage() {
  const machine = useMachine();
  const known = useKnownName();
  const person = usePerson();
  const navigate = useNavigate();
  const [search, setSearch] = useSearchParams();
  const [logging, setLogging] = useState(false);
  const [standing, setStanding] = useState(false);
  if (!machine.data) return <Reading title={known} error={machine.error} />;
  const sheet = machine.data;
  const { line } = sheet;
  const mayService = person.role === 'keeper' || person.role === 'mechanic';
  const keeper = person.role === 'keeper';
  const mayLog = mayUse(person, sheet.id);
  const made = [sheet.maker, sheet.model, sheet.serial && `no. ${sheet.serial}`].filter(Boolean).join(' ');
  return (
    <Page>
      <title>{`${sheet.name}, Jardinier`}</title>
      <Lead>
        <div>
          <Heading>
            <Title>{sheet.name}</Title>
            {line.state !== 'fresh' && <Stamp state={line.state} />}
          </Heading>
          <Soft>
            {sheet.class_label}, {sheet.place}
            {made && `. ${made}`}
            {sheet.retired && '. Out of the yard'}
          </Soft>
        </div>
        <QuietActions>
          {mayService && <ActionLink to="service">Record service</ActionLink>}
          {mayLog && line.meters.length > 0 && <QuietButton onPress={() => setLogging(true)}>Log hours</QuietButton>}
          {mayLog && !line.stood_down && <QuietButton onPress={() => setStanding(true)}>Stand down</QuietButton>}
          {mayService && line.stood_down && <QuietButton onPress={() => setStanding(true)}>Lift</QuietButton>}
          {keeper && <ActionLink to="edit">Change the record</ActionLink>}
        </QuietActions>
      </Lead>
      <Sheet aria-label="Rail">
        <Ruled>
          <Line>
            <Rail
              name={sheet.name}
              rail={line.rail}
              stoodDown={line.stood_down}
              onLogHours={mayLog && line.meters.length > 0 ? () => setLogging(true) : undefined}
              onRecord={mayService ? (rules) => navigate(`service?rules=${rules.join()}`) : undefined}
            />
          </Line>
          <Margin>
            <p>
              {line.stood_down
                ? `${line.stood_down.because} Nobody may use it until a keeper or mechanic lifts this.`
                : line.why}
            </p>
            {sheet.note && <Soft>{sheet.note}</Soft>}
            {sheet.severities.length > 0 && <Soft>Lives under {sheet.severities.map(severityWords).join(', ')}.</Soft>}
            {sheet.warranties.map((warranty) => (
              <Soft key={warranty}>{warranty}.</Soft>
            ))}
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
        {line.meters.length > 0 && <UseStrip machine={sheet.id} name={sheet.name} />}
      </Sheet>
      <FirstThings sheet={sheet} mayService={mayService} />
      <MachineWalk machine={sheet.id} mayWalk={mayLog && !sheet.retired} keeper={keeper} />
      <Sheet aria-labelledby="rulebook">
        <SheetHeading id="rulebook">Rulebook</SheetHeading>
        <Rulebook sheet={sheet} keeper={keeper} mayService={mayService} mayLog={mayLog} />
      </Sheet>
      <Sheet aria-labelledby="history">
        <SheetHeading id="history">History</SheetHeading>
        <History machine={sheet.id} />
      </Sheet>
      {logging && <LogHours line={line} onClose={() => setLogging(false)} />}
      {(standing || search.has('lift')) && (
        <StandDialog
          line={line}
          onClose={() => {
            setStanding(false);
            setSearch({}, { replace: true });
          }}
        />
      )}
    </Page>
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
            <ActionLink to={`meter?meter=${meter.unit === 'h' ? 'hours' : 'distance'}`}>Replace this meter</ActionLink>
          )}
        </div>
      ))}
    </Meters>
  );
}
