import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { Count } from '../kit/Count';
import { Field } from '../kit/Field';
import { within } from '../kit/format';
import {
  HandsHead,
  HandsPage,
  MainPress,
  OnwardLink,
  Press,
  Presses,
  PressRow,
  Question,
  StoodDownPlate,
} from '../kit/Hands';
import { Caution, Soft } from '../kit/Sheet';
import { isUnknown } from '../offline/states';
import { lookOf } from '../plate/looks';
import { Plate, type PlateMark } from '../plate/Plate';
import { ReadingInHands, useKnownName } from '../trade/Reading';
import { useDigits } from './useDigits';
import { useRound } from './useRound';

type Point = Schemas['Grease']['points'][number];

const List = styled.ol`
  border-top: 1px solid var(--rule); margin-bottom: 12px; li { border-bottom: 1px solid var(--rule); }
  button { display: grid; grid-template-columns: 30px 1fr auto; gap: 10px; width: 100%; min-height: 52px; align-items: center; text-align: left; border: 0; background: none; padding: 6px 0; cursor: pointer; font-size: 16px; }
  li[aria-current] { box-shadow: inset 5px 0 var(--hedge); padding-left: 10px; }
`;

const keyOf = (point: Point): string => `point-${point.key}`;

/** From grease point to grease point in walking order, on the plate or down the list. */
export default function GreaseRoundPage() {
  const machine = Number(useParams().machine);
  const known = useKnownName();
  const round = useRound(machine, 'grease');
  const [search, setSearch] = useSearchParams();
  const heading = useRef<HTMLHeadingElement>(null);
  const { walk, progress } = round;
  const points = walk?.grease.points ?? [];
  const told = (point: Point) => progress?.answers[keyOf(point)];
  const first = points.find((point) => progress && !told(point));
  const chosen = points.find((point) => String(point.id) === search.get('point'));
  const here = chosen ?? first;
  const open = (point: Point | undefined) => setSearch(point ? { point: String(point.id) } : {});
  const over = walk !== undefined && progress !== null && points.length > 0 && !here;
  const finish = useEffectEvent(() => void round.end());
  useEffect(() => {
    if (over) finish();
  }, [over]);
  useEffect(() => {
    if (here?.id || over) heading.current?.focus();
  }, [here?.id, over]);
  if (!walk || !progress) return <ReadingInHands title={known} error={walk ? null : round.asked.error} />;
  const next = (from: Point) => {
    const later = points.slice(points.indexOf(from) + 1);
    open([...later, ...points].find((point) => point !== from && !told(point)));
  };
  return (
    <HandsPage>
      <title>{`${walk.name}, grease round`}</title>
      <HandsHead>
        <h1>{walk.name}</h1>
        <span>
          grease round, {points.filter(told).length} of {points.length}
        </span>
      </HandsHead>
      {walk.stood_down && (
        <StoodDownPlate>
          <p>Stood down: {walk.stood_down.because}</p>
        </StoodDownPlate>
      )}
      <div style={{ margin: '14px 0 0' }}>
        <Plate
          of={walk.class}
          label={`Grease points of ${walk.name} in walking order`}
          marks={points.map((point, index) => markOf(point, index, told(point)))}
          chosen={here?.key ?? null}
          onChoose={(key) => open(points.find((point) => point.key === key))}
        />
      </div>
      {here ? (
        <PointStep
          key={here.id}
          heading={heading}
          point={here}
          number={points.indexOf(here) + 1}
          said={told(here)?.words}
          onGrease={(strokes, because) => round.grease(here, strokes, because).then(() => next(here))}
          onDidNotGoIn={() => round.didNotGoIn(here).then(() => next(here))}
          onPass={() => Promise.resolve(round.passOver(keyOf(here))).then(() => next(here))}
        />
      ) : (
        <>
          <Question>
            <h2 ref={heading} tabIndex={-1}>
              {points.length === 0 ? 'No grease points on record' : 'All points told'}
            </h2>
            {points.length > 0 && <p>{sumUp(points, told)}</p>}
            <p>Wipe off what stands out: dirt sticks to it.</p>
          </Question>
          <Presses>
            <OnwardLink to="/walkaround">Next machine</OnwardLink>
          </Presses>
        </>
      )}
      <List aria-label="Grease points in walking order">
        {points.map((point, index) => (
          <li key={point.id} aria-current={point.id === here?.id ? 'step' : undefined}>
            <button type="button" onClick={() => open(point)}>
              <span>{index + 1}</span>
              <span>
                {point.name}
                {point.with && <Soft> with {within(point.with)}</Soft>}
              </span>
              <Soft>{stateOf(point, told(point))}</Soft>
            </button>
          </li>
        ))}
      </List>
    </HandsPage>
  );
}

type StepProps = {
  heading: React.RefObject<HTMLHeadingElement | null>;
  point: Point;
  number: number;
  said?: string;
  onGrease: (strokes: number, because: string | null) => void;
  onDidNotGoIn: () => void;
  onPass: () => void;
};

function PointStep({ heading, point, number, said, onGrease, onDidNotGoIn, onPass }: StepProps) {
  const [count, setCount] = useState<number | null>(Number(said) || (point.grease?.strokes ?? 1));
  const wrong =
    count === null || !Number.isInteger(count) || count < 1 || count > 500 ? 'From 1 to 500 strokes.' : undefined;
  const isAsked = count !== null && point.grease !== null && count > point.grease.asks_over;
  const [because, setBecause] = useState('');
  const mayGrease = wrong === undefined && (!isAsked || because.trim() !== '');
  const grease = () => count !== null && mayGrease && onGrease(count, isAsked ? because : null);
  useDigits(grease, onDidNotGoIn, onPass);
  return (
    <>
      <Question>
        <h2 ref={heading} tabIndex={-1}>
          {number}. {point.name}
        </h2>
        <p>
          {point.place}. {point.reach}
        </p>
        {point.with && <Caution>Laid open by: {within(point.with)}. Engine off, key out, nothing turning.</Caution>}
        {point.trick && <Soft>{point.trick}</Soft>}
        <Count label={`Strokes, ${point.grease?.end_in_words}`} value={count} onChange={setCount} error={wrong} />
        {point.grease?.about && <p>About {point.grease.strokes}: nobody has counted here yet.</p>}
        {isAsked && (
          <>
            <Caution>More than twice what it takes. Is that so?</Caution>
            <Field label="Why so many" value={because} onChange={setBecause} placeholder="It was dry" />
          </>
        )}
        {typeof point.grease?.most === 'number' && <p>{point.grease.most} at most: more does harm here.</p>}
        <Soft>
          {point.why} {point.grease?.grease}. Wipe the nipple first.
        </Soft>
      </Question>
      <Presses>
        <MainPress isDisabled={!mayGrease} onPress={grease}>
          {count === 1 ? 'One stroke given, next' : `${count ?? 'No'} strokes given, next`}
          <sup aria-hidden="true">1</sup>
        </MainPress>
        <PressRow>
          <Press onPress={onDidNotGoIn}>
            Did not go in<sup aria-hidden="true">2</sup>
          </Press>
          <Press onPress={onPass}>
            Not reached<sup aria-hidden="true">3</sup>
          </Press>
        </PressRow>
      </Presses>
    </>
  );
}

/** A point as the plate marks it: by its turn, and whether it has had its strokes. */
function markOf(point: Point, index: number, told: { said: string; words: string } | undefined): PlateMark {
  return {
    key: point.key,
    name: point.name,
    kind: point.kind,
    x: point.x,
    y: point.y,
    look: Number(told?.words) ? 'done' : point.over_greased ? 'full' : lookOf(point.state),
    words: [stateOf(point, told), point.with && `with ${within(point.with)}`].filter(Boolean).join(', '),
    number: index + 1,
    dashed: point.with !== null,
  };
}

function stateOf(point: Point, told: { said: string; words: string } | undefined): string {
  if (told) return told.said !== 'greased' ? 'not reached' : Number(told.words) ? `${told.words} given` : told.words;
  if (isUnknown(point.state)) return 'never recorded';
  if (point.over_greased) return 'too much';
  return point.due ? 'due' : 'fresh';
}

function sumUp(points: Point[], told: (point: Point) => { said: string; words: string } | undefined): string {
  const greased = points.filter((point) => Number(told(point)?.words));
  const blocked = points.filter((point) => told(point)?.words === 'did not go in').map(({ name }) => within(name));
  const missed = points.length - greased.length - blocked.length;
  return [
    `${greased.length} of ${points.length} greased.`,
    blocked.length > 0 && `Did not go in: ${blocked.join(', ')}. That stays due, and is a finding now.`,
    missed > 0 && `${missed} not reached.`,
  ]
    .filter(Boolean)
    .join(' ');
}
