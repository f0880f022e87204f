import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { answer, api, type Schemas } from '../api/client';
import { spotsQuery, walkQuery } from '../api/queries';
import { useWrite } from '../api/useWrite';
import { MainButton, QuietActions, QuietButton, quietLink } from '../kit/Button';
import { within } from '../kit/format';
import { Reading, useKnownName } from '../kit/Reading';
import { Refusal } from '../kit/Refusal';
import { Empty, Lead, Line, Margin, Page, Ruled, Sheet, SheetHeading, Soft, Title } from '../kit/Sheet';
import { Stamp } from '../kit/Stamp';
import { PHONE } from '../kit/theme';
import { usePerson } from '../shell/Shell';
import { useAfterWrite } from '../yard/useAfterWrite';
import { Plate } from './Plate';
import { SpotDialog } from './SpotDialog';

type Spot = Schemas['Spot'];

const WalkLink = styled(Link)`${quietLink}`;
const Beside = styled.div`
  display: grid; grid-template-columns: minmax(0, 1fr) 460px; gap: 22px; align-items: start;
  @media (max-width: 1080px) { grid-template-columns: minmax(0, 1fr); }
`;
const PointRow = styled(
  Ruled,
)`grid-template-columns: minmax(0, 1fr) 270px; ${PHONE} { grid-template-columns: minmax(0, 1fr); }`;
const Others = styled(Sheet)`margin-top: 22px;`;
const SpotList = styled.ul`
  columns: 3 320px; column-gap: 28px; padding: 6px 20px 14px;
  li { display: flex; justify-content: space-between; gap: 12px; align-items: baseline; padding: 6px 0; border-bottom: 1px solid var(--rule); break-inside: avoid; }
`;
const Drawn = styled.div`position: sticky; top: 16px; @media (max-width: 1080px) { position: static; order: -1; }`;

/** A machine's grease points: on the plate, as a list, and how much grease they take. */
export default function GreasePage() {
  const machine = Number(useParams().machine);
  const known = useKnownName();
  const person = usePerson();
  const walk = useQuery(walkQuery(machine));
  const { refresh } = useAfterWrite();
  const [changing, setChanging] = useState<{ spot: Spot | null; kind: Schemas['SpotKind'] } | null>(null);
  const spots = useQuery(spotsQuery(machine)).data?.spots ?? [];
  const begin = useWrite(
    (header) => answer(api.POST('/machines/{machine}/usual-spots', { params: { path: { machine }, header } })),
    refresh,
  );
  if (!walk.data) return <Reading title={known} error={walk.error} />;
  const { name, grease } = walk.data;
  const keeper = person.role === 'keeper';
  const open = (spot: Spot) => setChanging({ spot, kind: spot.kind });
  const others = spots.filter(({ kind }) => kind !== 'grease_point');
  const show = (point: Spot) =>
    keeper ? open(point) : document.getElementById(`point-${point.id}`)?.scrollIntoView({ block: 'center' });
  return (
    <Page>
      <title>{`${name}, grease points`}</title>
      <Lead>
        <div>
          <Title>{name}, grease points</Title>
          <Soft>
            A whole round takes {grease.round_need}.
            {grease.year_hours && ` A year of ${grease.year_hours} h takes ${grease.year_need}.`}{' '}
            {grease.gun
              ? `By ${grease.gun}, ${grease.gram_a_stroke} a stroke.`
              : `At ${grease.gram_a_stroke} a stroke: weigh ten strokes of your gun and set it with the yard.`}
          </Soft>
        </div>
        <QuietActions>
          {person.role !== 'reader' && grease.points.length > 0 && (
            <WalkLink to={`/walkaround/${machine}/grease`}>Begin a grease round</WalkLink>
          )}
          {keeper && (
            <QuietButton onPress={() => setChanging({ spot: null, kind: 'grease_point' })}>Add a point</QuietButton>
          )}
          {keeper && (
            <QuietButton onPress={() => setChanging({ spot: null, kind: 'plain' })}>Add another spot</QuietButton>
          )}
        </QuietActions>
      </Lead>
      {grease.points.length === 0 ? (
        <Sheet>
          <Empty>
            <p>No grease points are on record for {name}.</p>
            {keeper && (
              <MainButton onPress={() => begin.send()}>Begin with those such a machine usually has</MainButton>
            )}
            <Refusal refused={begin.refused} besides={[]} />
          </Empty>
        </Sheet>
      ) : (
        <Beside>
          <Sheet aria-label="Grease points in walking order">
            {grease.points.map((point, index) => (
              <PointRow key={point.id} id={`point-${point.id}`}>
                <Line style={{ gap: 4 }}>
                  <span>
                    <strong>
                      {index + 1}. {point.name}
                    </strong>{' '}
                    {point.state !== 'fresh' && <Stamp state={point.state} />}
                  </span>
                  <span>
                    {point.place}. {point.reach}
                    {point.with && ` Laid open by: ${within(point.with)}.`}
                    {point.trick && ` ${point.trick}`}
                  </span>
                  <Soft>
                    {point.grease && greaseWords(point.grease)}
                    {point.task ? `; greased by: ${within(point.task)}` : '; no task greases it'}
                  </Soft>
                </Line>
                <Margin>
                  <p>{point.why}</p>
                  {keeper && <QuietButton onPress={() => open(point)}>Change this point</QuietButton>}
                </Margin>
              </PointRow>
            ))}
          </Sheet>
          <Drawn>
            <Plate of={walk.data.class} points={grease.points} onPress={show} />
          </Drawn>
        </Beside>
      )}
      {others.length > 0 && (
        <Others aria-label="Every other spot, in walking order">
          <SheetHeading>Every other spot</SheetHeading>
          <SpotList>
            {others.map((spot) => (
              <li key={spot.id}>
                <span>
                  <strong>{spot.name}</strong>
                  <Soft>
                    {' '}
                    {spot.kind_label}
                    {spot.place && `, ${within(spot.place)}`}
                  </Soft>
                </span>
                {keeper && (
                  <QuietButton aria-label={`Change ${spot.name}`} onPress={() => open(spot)}>
                    Change
                  </QuietButton>
                )}
              </li>
            ))}
          </SpotList>
        </Others>
      )}
      {changing && (
        <SpotDialog
          machine={machine}
          spot={changing.spot}
          kind={changing.kind}
          parents={spots.filter(({ kind }) => kind === 'compartment')}
          onClose={() => setChanging(null)}
        />
      )}
    </Page>
  );
}

function greaseWords({ strokes, most, grease, end_in_words }: Schemas['GreasePoint']): string {
  return `${strokes} ${strokes === 1 ? 'stroke' : 'strokes'}, ${end_in_words}${most === null ? '' : `, ${most} at most`}; ${grease}`;
}
