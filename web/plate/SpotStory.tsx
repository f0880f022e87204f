import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { usePerson } from '../api/usePerson';
import { Capacities } from '../fluids/Capacities';
import { FluidDialog } from '../fluids/FluidDialog';
import { Actions, MainButton, PlainButton, QuietActions, QuietButton, quietLink } from '../kit/Button';
import { count, instant, within } from '../kit/format';
import { Soft } from '../kit/Sheet';
import { PHONE } from '../kit/theme';
import { isFine } from '../offline/states';
import { limitsInWords } from '../trade/limitsInWords';
import { mayUse } from '../trade/mayUse';
import { Photos } from '../trade/PhotoPick';
import { Stamp } from '../trade/Stamp';
import { DueRules, FoundRow, Row, Rows, TakesRow, UsesRows } from '../trade/storyRows';
import { WearChart } from '../trade/WearChart';
import { ROLE_OF_OPENING, ROUND_WORDS, stateWords } from '../trade/words';
import { GreaseDialog } from './GreaseDialog';

type Story = Schemas['SpotStory'];

const Told = styled.article`
  padding: 18px 20px 20px; display: flex; flex-direction: column; gap: 8px;
  h2 { font-size: 22px; display: inline; margin-right: 14px; outline: none; }
  ${PHONE} { padding: 14px; }
`;
const ActionLink = styled(Link)`${quietLink}`;
const Chart = styled.div`margin: 0 -20px; svg { max-height: 190px; }`;

type Props = { story: Story; onChange: () => void };

/** All that is known of one spot, and what can be begun there. */
export function SpotStory({ story, onChange }: Props) {
  const person = usePerson();
  const navigate = useNavigate();
  const [doing, setDoing] = useState<'top_up' | 'grease' | null>(null);
  const machine = `/machines/${story.machine_id}`;
  const walk = `/walkaround/${story.machine_id}`;
  const mayLog = mayUse(person, story.machine_id);
  const mayService = person.role === 'keeper' || person.role === 'mechanic';
  const pressing = story.rules.filter(({ standing }) => !isFine(standing.state));
  return (
    <Told aria-label={story.name}>
      <div>
        <h2 id="spot" tabIndex={-1}>
          {story.name}
        </h2>
        {!isFine(story.told) && <Stamp state={story.told} />}
      </div>
      <Soft>{[story.place, story.reach].filter(Boolean).join('. ')}</Soft>
      <Actions>
        {mayLog && story.kind === 'compartment' && (
          <MainButton onPress={() => setDoing('top_up')}>Top it up</MainButton>
        )}
        {mayLog && story.grease && <MainButton onPress={() => setDoing('grease')}>Grease it</MainButton>}
        {mayLog &&
          story.checks.map((check) => (
            <PlainButton
              key={check.key}
              aria-label={`Look at it: ${check.title}`}
              onPress={() => navigate(`${walk}/look/${check.key}`)}
            >
              {story.checks.length === 1 ? 'Look at it' : check.title}
            </PlainButton>
          ))}
        {mayService && pressing.length > 0 && (
          <PlainButton onPress={() => navigate(`${machine}/service?rules=${pressing.map(({ id }) => id).join()}`)}>
            Record it done
          </PlainButton>
        )}
      </Actions>
      <Rows>
        {story.grease && (
          <Row name="Takes">
            <span>
              <strong>
                {story.grease.about && 'about '}
                {story.grease.strokes} {story.grease.strokes === 1 ? 'stroke' : 'strokes'}
              </strong>
              , {story.grease.end_in_words}
              {story.grease.most !== null && `, ${story.grease.most} at most`}
            </span>
            <Soft>{story.grease.grease}</Soft>
          </Row>
        )}
        {story.fluid && <FluidRows fluid={story.fluid} machine={story.machine_id} />}
        {story.part_place && <PartRows of={story.part_place} />}
        {story.role && story.sheet && <OpeningRows sheet={story.sheet} />}
        {(story.rules.length > 0 || story.point) && (
          <Row name="Due">
            {story.point && (
              <span>
                {story.point.why}{' '}
                <Soft>
                  {story.point.task ? `Greased by: ${within(story.point.task)}.` : 'No task greases it.'}
                  {story.point.with && ` Laid open by: ${within(story.point.with)}.`}
                </Soft>
              </span>
            )}
            <DueRules rules={story.rules} />
          </Row>
        )}
        {story.findings.length > 0 && <FoundRow findings={story.findings} machine={story.machine_id} />}
        {story.trick && <Row name="Trick">{story.trick}</Row>}
        {story.belongs_to && (
          <Row name="Belongs to">
            <Kin machine={story.machine_id} kin={[story.belongs_to]} />
          </Row>
        )}
        {story.has.length > 0 && (
          <Row name="Has">
            <Kin machine={story.machine_id} kin={story.has} />
          </Row>
        )}
        {story.takes.length > 0 && <TakesRow takes={story.takes} />}
        {story.role && <Row name="It is for">{ROLE_OF_OPENING[story.role]}</Row>}
        <UsesRows consumption={story.consumption} />
        {story.wear.map((wear) => (
          <Row key={wear.check} name="Wear">
            <Chart>
              <WearChart wear={wear} />
            </Chart>
          </Row>
        ))}
        {story.checks.length > 0 && (
          <Row name="Looked at">
            {story.checks.map((check) => (
              <span key={check.key}>
                {check.title}: {check.rounds.map((round) => ROUND_WORDS[round]).join(', ')}.{' '}
                {check.fine && `Fine: ${within(check.fine)} `}
                {Object.keys(check.limits).length > 0 && <Soft>{limitsInWords(check)}</Soft>}
              </span>
            ))}
          </Row>
        )}
        <Row name="Lately">
          {story.acts.length === 0 && <Soft>Nothing was ever written down here.</Soft>}
          {story.acts.map((act) => (
            <span key={act.id}>
              {act.spot === story.key ? act.in_words : `${within(act.title)} ${act.in_words}`}
              {act.note && `: “${act.note}”`} <Soft>{[act.by, instant(act.at, true)].filter(Boolean).join(', ')}</Soft>
            </span>
          ))}
        </Row>
        {story.photos.length > 0 && (
          <Row name="Photos">
            <Photos ids={story.photos.map(({ id }) => id)} of={story.name} />
          </Row>
        )}
      </Rows>
      <QuietActions>
        {mayLog && <ActionLink to={`${walk}/found?spot=${story.key}`}>Something is wrong here</ActionLink>}
        {mayService && <ActionLink to={`${machine}/service?spot=${story.key}`}>Record what was done here</ActionLink>}
        {person.role === 'keeper' && <QuietButton onPress={onChange}>Change this spot</QuietButton>}
      </QuietActions>
      {doing === 'top_up' && (
        <FluidDialog
          machine={story.machine_id}
          machineName={story.machine}
          spot={story.key}
          name={story.name}
          onClose={() => setDoing(null)}
        />
      )}
      {doing === 'grease' && story.grease && (
        <GreaseDialog story={story} grease={story.grease} onClose={() => setDoing(null)} />
      )}
    </Told>
  );
}

/** What a compartment holds, and what is in it. */
function FluidRows({ fluid, machine }: { fluid: NonNullable<Story['fluid']>; machine: number }) {
  const { life } = fluid;
  return (
    <>
      <Row name="Takes">
        <Capacities of={fluid} />
        {fluid.takes.map(({ book, in_words: words }) => (
          <span key={book}>
            {words}
            {fluid.takes.length > 1 && <Soft> {book}</Soft>}
          </span>
        ))}
        {fluid.shares_with && <span>It shares its fluid with the {within(fluid.shares_with.name)}.</span>}
      </Row>
      <Row name="In it">
        <span>
          {life.fluid ?? 'Nobody has said what.'}
          {life.since && `, since ${instant(life.since, true)}`}
          {life.hours !== null && `, ${count(life.hours)} h`}
          {life.missing && (
            <>
              . Probably <strong>{life.missing.display}</strong> missing
            </>
          )}
        </span>
        <Link to={`/machines/${machine}/fluids/${fluid.key}`}>Its life, its openings, will this bottle do</Link>
      </Row>
    </>
  );
}

/** What belongs at a part's place, and what was fitted. */
function PartRows({ of }: { of: NonNullable<Story['part_place']> }) {
  const { sheet, fitted } = of;
  const besides = [sheet?.tight, sheet?.orientation, sheet?.loose?.length ? `count ${sheet.loose.join(', ')}` : ''];
  return (
    <>
      {of.to_buy && (
        <Row name="Part">
          <span>
            <strong>{of.to_buy}</strong>
            {sheet?.superseded_by && `, instead of ${sheet.number}`}
            {sheet?.seal && `, with ${sheet.seal}`}
          </span>
          {(sheet?.equivalents ?? []).map(({ number, will_do: willDo, because }) => (
            <Soft key={number}>{willDo ? `or ${number}` : `${number} fits but will not do: ${because}`}</Soft>
          ))}
          {besides.filter(Boolean).length > 0 && <Soft>{besides.filter(Boolean).join('. ')}</Soft>}
          {sheet?.only_for && <Soft>Only for {sheet.only_for}</Soft>}
        </Row>
      )}
      {fitted?.number && (
        <Row name="Fitted">
          <span>
            {fitted.number}, {instant(fitted.at, true)}
          </span>
          {fitted.will_do === true ? <Soft>{fitted.why}</Soft> : <strong>{fitted.why}</strong>}
        </Row>
      )}
      {of.times_reused > 0 && (
        <Row name="Seal">
          The old one was used again {of.times_reused === 1 ? 'the last time' : `${of.times_reused} times`}: a new one
          is on the next list.
        </Row>
      )}
    </>
  );
}

/** What it takes to open and shut an opening. */
function OpeningRows({ sheet }: { sheet: NonNullable<Story['sheet']> }) {
  const told = [sheet.side, sheet.tool, sheet.seal, sheet.sealant, sheet.magnet ? 'with a magnet' : ''].filter(Boolean);
  return (
    <>
      {told.length > 0 && <Row name="Opened with">{told.join(', ')}</Row>}
      {sheet.torque && (
        <Row name="Tight">
          <span>
            <strong>{sheet.torque}</strong> <Soft>by hand first</Soft>
          </span>
        </Row>
      )}
      {sheet.comes_off && <Row name="First off">{sheet.comes_off}</Row>}
      {(sheet.loose ?? []).length > 0 && <Row name="Count">{sheet.loose?.join(', ')}</Row>}
    </>
  );
}

function Kin({ machine, kin }: { machine: number; kin: Schemas['SpotKin'][] }) {
  return kin.map((one) => (
    <span key={one.key}>
      <Link to={`/machines/${machine}/plate/${one.key}`}>{one.name}</Link>
      {one.place && <Soft>, {within(one.place)}</Soft>}
      {!isFine(one.told) && `, ${stateWords(one.told)}`}
    </span>
  ));
}
