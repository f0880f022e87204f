import { useQuery } from '@tanstack/react-query';
import { type ReactNode, useState } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { spotQuery } from '../api/queries';
import { usePerson } from '../api/usePerson';
import { Actions, MainButton, PlainButton, QuietActions, quietLink } from '../kit/Button';
import { count, instant, within } from '../kit/format';
import { Caution, Soft } from '../kit/Sheet';
import { PHONE } from '../kit/theme';
import { isFine } from '../offline/states';
import { mayUse } from '../trade/mayUse';
import { ReadingInSheet } from '../trade/Reading';
import { Stamp } from '../trade/Stamp';
import { DueRules, FoundRow, Row, Rows, TakesRow, UsesRows } from '../trade/storyRows';
import { useSheet } from '../trade/useSheet';
import { ROLE_OF_OPENING } from '../trade/words';
import { Capacities } from './Capacities';
import { FluidDialog } from './FluidDialog';
import { LifeChart } from './LifeChart';
import { compartmentQuery } from './queries';
import { WillItDo } from './WillItDo';

const ActionLink = styled(Link)`${quietLink}`;
const Body = styled.article`
  padding: 18px 20px 22px; display: flex; flex-direction: column; gap: 12px;
  h2 { font-size: 24px; display: inline; margin-right: 14px; }
  ${PHONE} { padding: 14px; }
`;
const Now = styled.dl`
  display: flex; flex-wrap: wrap; gap: 10px 44px; padding: 6px 0 2px;
  dt { color: var(--soft); font-size: 15px; } dd { font-size: 21px; font-weight: 700; line-height: 1.2; font-variant-numeric: tabular-nums; }
  dd i { font-style: normal; font-weight: 450; font-size: 15px; color: var(--soft); display: block; }
  ${PHONE} { gap: 10px 26px; }
`;
const Columns = styled.div`
  display: grid; grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr); gap: 0 40px; align-items: start;
  @media (max-width: 1000px) { grid-template-columns: minmax(0, 1fr); }
`;
/** One compartment: what is in it, since when, what was added and is missing, when it is due, and all its book says. */
export default function CompartmentLeaf() {
  const sheet = useSheet();
  const { spot = '' } = useParams();
  const person = usePerson();
  const page = useQuery(compartmentQuery(sheet.id, spot));
  const story = useQuery(spotQuery(sheet.id, spot)).data;
  const [doing, setDoing] = useState<'fluid' | 'judge' | null>(null);
  if (!page.data) return <ReadingInSheet error={page.error} />;
  const { data: of } = page;
  const { life } = of;
  const mayLog = mayUse(person, sheet.id);
  const to = `/machines/${sheet.id}/fluids`;
  return (
    <Body>
      <title>{`${sheet.name}, ${within(of.name)}`}</title>
      <div>
        <h2>{of.name}</h2>
        {story && !isFine(story.told) && <Stamp state={story.told} />}{' '}
        <Soft>{[of.place, of.reach].filter(Boolean).join('. ')}</Soft>
      </div>
      {of.shares_with && (
        <Caution>
          It shares its fluid with the <Link to={`${to}/${of.shares_with.key}`}>{within(of.shares_with.name)}</Link>:
          what is told here is told of both.
        </Caution>
      )}
      {of.shared_by.length > 0 && (
        <Soft>Its fluid also runs through the {of.shared_by.map(({ name }) => within(name)).join(', ')}.</Soft>
      )}
      <Now>
        <Fact name="In it">
          {life.fluid ?? 'not known'}
          {life.since && <i>since {instant(life.since, true)}</i>}
        </Fact>
        <Fact name="Has run">
          {life.hours === null ? 'not known' : `${count(life.hours)} h`}
          {life.since_hours !== null && <i>from {count(life.since_hours)} h</i>}
        </Fact>
        <Fact name="Added since">{life.added.display}</Fact>
        <Fact name="Probably missing">{life.missing?.display ?? 'not known'}</Fact>
      </Now>
      <Actions>
        {mayLog && <MainButton onPress={() => setDoing('fluid')}>Write down a pour or a drain</MainButton>}
        <PlainButton onPress={() => setDoing('judge')}>Will this bottle do?</PlainButton>
      </Actions>
      <Soft>{life.why}</Soft>
      <LifeChart drawn={of.drawn} name={of.name} />
      <Columns>
        <Rows>
          <Row name="Holds">
            <Capacities of={of} />
          </Row>
          <Row name="Of what">
            {of.takes.length === 0 && <Soft>Nobody has written down what its book asks for.</Soft>}
            {of.takes.map(({ book, in_words: words }) => (
              <span key={book}>
                {words} <Soft>{book}</Soft>
              </span>
            ))}
            {of.sheet?.yellow_metals === true && <span>Brass or bronze inside.</span>}
            {of.sheet?.cooling && <Soft>{of.sheet.cooling}-cooled engine</Soft>}
          </Row>
          {(of.drained || of.sheet?.valve || (of.sheet?.puts_back ?? []).length > 0) && (
            <Row name="Drained">
              {of.drained && <span>{of.drained}</span>}
              {of.sheet?.valve && <span>Valve first. {of.sheet.valve}</span>}
              {(of.sheet?.puts_back ?? []).length > 0 && <span>To put back: {of.sheet?.puts_back?.join(', ')}</span>}
              {life.last_drained && (
                <span>
                  {life.last_drained.asks ? <strong>{life.last_drained.why}</strong> : life.last_drained.why}{' '}
                  <Soft>the last time</Soft>
                </span>
              )}
            </Row>
          )}
          {of.protocol && <Row name="Level">{of.protocol}</Row>}
          {of.openings.map((opening) => (
            <Row key={opening.key} name={ROLE_OF_OPENING[opening.role]}>
              <OpeningWords of={opening} machine={sheet.id} />
            </Row>
          ))}
          {of.trick && <Row name="Trick">{of.trick}</Row>}
        </Rows>
        <Rows>
          {story && story.findings.length > 0 && <FoundRow findings={story.findings} machine={sheet.id} />}
          {story && story.rules.length > 0 && (
            <Row name="Due">
              <DueRules rules={story.rules} />
            </Row>
          )}
          {story && story.takes.length > 0 && <TakesRow takes={story.takes} />}
          {story && <UsesRows consumption={story.consumption} />}
          <Row name="Lately">
            {of.lately.length === 0 && <Soft>Nothing that went in or out was ever written down.</Soft>}
            {of.lately.map((act) => (
              <span key={act.id}>
                {act.spot === of.key ? act.in_words : `${within(act.title)} ${act.in_words}`}
                {act.why && `. ${act.why}`} <Soft>{[act.by, instant(act.at, true)].filter(Boolean).join(', ')}</Soft>
              </span>
            ))}
          </Row>
        </Rows>
      </Columns>
      <QuietActions>
        <ActionLink to={`/machines/${sheet.id}/plate/${of.key}`}>See it on the plate</ActionLink>
        {person.role === 'keeper' && <ActionLink to={`${to}/${of.key}/book`}>Write down what its book says</ActionLink>}
      </QuietActions>
      {doing === 'fluid' && (
        <FluidDialog
          machine={sheet.id}
          machineName={sheet.name}
          spot={of.key}
          name={of.name}
          onClose={() => setDoing(null)}
        />
      )}
      {doing === 'judge' && <WillItDo machine={sheet.id} spot={of.key} name={of.name} onClose={() => setDoing(null)} />}
    </Body>
  );
}

/** What is written down of an opening: `8 mm hex key, 180 in-lb, QW 3311 washer, magnet`. */
export function OpeningWords({ of, machine }: { of: Schemas['Compartment']['openings'][number]; machine: number }) {
  const sheet = of.sheet;
  const told = [
    sheet?.side,
    sheet?.tool,
    sheet?.torque,
    sheet?.seal,
    sheet?.sealant,
    sheet?.magnet ? 'magnet' : '',
    sheet?.loose?.length ? `count: ${sheet.loose.join(', ')}` : '',
  ];
  return (
    <span>
      <Link to={`/machines/${machine}/plate/${of.key}`}>{of.place || of.name}</Link>
      {told.filter(Boolean).length > 0 && `: ${told.filter(Boolean).join(', ')}`}
      {sheet?.comes_off && <Soft> First off: {sheet.comes_off}.</Soft>}
      {of.trick && <Soft> {of.trick}</Soft>}
    </span>
  );
}

function Fact({ name, children }: { name: string; children: ReactNode }) {
  return (
    <div>
      <dt>{name}</dt>
      <dd>{children}</dd>
    </div>
  );
}
