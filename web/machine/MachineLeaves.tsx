import { lazy, Suspense, useState } from 'react';
import { Link, NavLink, Outlet, useNavigate } from 'react-router';
import styled from 'styled-components';
import { usePerson } from '../api/usePerson';
import { QuietActions, QuietButton, quietLink } from '../kit/Button';
import { metered, sinceDay, within } from '../kit/format';
import { Leaf, Leaves } from '../kit/Leaves';
import { Opening } from '../kit/Opening';
import { Lead, Page, Soft, Title } from '../kit/Sheet';
import { PHONE } from '../kit/theme';
import { isFine } from '../offline/states';
import { LEAF_KEYS } from '../trade/keys';
import { mayUse } from '../trade/mayUse';
import { Reading, ReadingInSheet, useKnownName } from '../trade/Reading';
import { Stamp } from '../trade/Stamp';
import { useKeys } from '../trade/useKeys';
import { useMachine } from '../trade/useMachine';
import type { OnLeaf } from '../trade/useSheet';

const LogHours = lazy(() => import('../yard/LogHours'));

const ActionLink = styled(Link)`${quietLink}`;
const Head = styled(Lead)`padding-bottom: 12px;`;
const Who = styled.div`
  display: flex; flex-wrap: wrap; gap: 4px 18px; align-items: baseline;
  h1 { font-size: 32px; ${PHONE} { font-size: 26px; } }
`;
const Made = styled.span`${PHONE} { display: none; }`;
/** What is known of one machine, on a few leaves: what is now, its plate, its rulebook, its book. */
export default function MachineLeaves() {
  const machine = useMachine();
  const known = useKnownName();
  const person = usePerson();
  const navigate = useNavigate();
  const [logging, setLogging] = useState(false);
  const id = machine.data?.id;
  useKeys(LEAF_KEYS, ({ leaf }) => id !== undefined && navigate(`/machines/${id}${leaf}`));
  if (!machine.data) return <Reading title={known} error={machine.error} />;
  const sheet = machine.data;
  const { line } = sheet;
  const to = `/machines/${sheet.id}`;
  const [meter] = line.meters;
  const mayLog = mayUse(person, sheet.id);
  const logHours = mayLog && meter ? () => setLogging(true) : undefined;
  const mayService = person.role === 'keeper' || person.role === 'mechanic';
  const made = [sheet.maker, sheet.model, sheet.serial && `no. ${sheet.serial}`].filter(Boolean).join(' ');
  return (
    <Page>
      <Head>
        <Who>
          <Title>{sheet.name}</Title>
          {!isFine(line.state) && <Stamp state={line.state} />}
          <Soft>
            {sheet.class_label}, {within(sheet.place)}
            {meter && ` · ${metered(meter.value, meter.unit)}, `}
            {meter && (meter.read_on ? `read ${sinceDay(meter.read_on, line.rail.today)}` : 'never read')}
            {made && <Made> · {made}</Made>}
            {sheet.retired && '. Out of the yard'}
          </Soft>
        </Who>
        <QuietActions>
          {logHours && <QuietButton onPress={logHours}>Log hours</QuietButton>}
          {mayLog && !sheet.retired && <ActionLink to={`/walkaround/${sheet.id}`}>Walk round it</ActionLink>}
          {mayService && !sheet.retired && <ActionLink to={`/bench/new/${sheet.id}`}>To the bench</ActionLink>}
          {mayService && <ActionLink to={`${to}/service`}>Record service</ActionLink>}
        </QuietActions>
      </Head>
      <Leaves aria-label={`Leaves of ${sheet.name}`}>
        {LEAF_KEYS.map(({ key, does, leaf }) => (
          <NavLink key={key} to={`${to}${leaf}`} end={leaf === ''} aria-keyshortcuts={key}>
            {does}
          </NavLink>
        ))}
      </Leaves>
      <Leaf>
        <Suspense fallback={<ReadingInSheet />}>
          <Outlet context={{ sheet, logHours } satisfies OnLeaf} />
        </Suspense>
      </Leaf>
      {logging && (
        <Opening onClose={() => setLogging(false)}>
          <LogHours line={line} onClose={() => setLogging(false)} />
        </Opening>
      )}
    </Page>
  );
}
