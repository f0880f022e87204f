import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { ToggleButton, ToggleButtonGroup } from 'react-aria-components';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { answer, api, type Schemas } from '../api/client';
import { plateQuery, spotQuery } from '../api/queries';
import { usePerson } from '../api/usePerson';
import { useWrite } from '../api/useWrite';
import { MainButton, QuietActions, QuietButton, quietLink } from '../kit/Button';
import { Empty, Soft } from '../kit/Sheet';
import { PHONE } from '../kit/theme';
import { usePhone } from '../kit/usePhone';
import { sheetOf } from '../notes/touched';
import { useAfterWrite } from '../notes/useAfterWrite';
import { isPressing } from '../offline/states';
import { mayUse } from '../trade/mayUse';
import { ReadingInSheet } from '../trade/Reading';
import { Refusal } from '../trade/Refusal';
import { useSheet } from '../trade/useSheet';
import { KIND_NAMES, KINDS, markOf, type PlateSpot } from './looks';
import { Plate } from './Plate';
import { SpotDialog } from './SpotDialog';
import { SpotList } from './SpotList';
import { SpotStory } from './SpotStory';

const Beside = styled.div`
  display: grid; grid-template-columns: minmax(0, 1fr) 456px; align-items: start;
  @media (max-width: 1080px) { grid-template-columns: minmax(0, 1fr) 340px; }
  ${PHONE} { grid-template-columns: minmax(0, 1fr); }
`;
const Drawn = styled.div`padding: 14px 0 12px; ${PHONE} { padding: 0 0 8px; }`;
const Told = styled.div`
  border-left: 1px solid color-mix(in srgb, var(--clay) 35%, transparent); max-height: max(560px, calc(100dvh - 230px));
  overflow: auto; align-self: stretch;
  ${PHONE} { border: 0; max-height: none; overflow: visible; border-top: 1px solid var(--rule); }
`;
const Kinds = styled(ToggleButtonGroup)`
  display: flex; flex-wrap: wrap; gap: 2px 20px; padding: 8px 20px 4px;
  button { border: 0; background: none; padding: 4px 0; min-height: 34px; font-size: 15px; font-weight: 600; color: var(--hedge); cursor: pointer; border-bottom: 2px solid transparent; }
  button[data-selected] { color: var(--ink); border-bottom-color: var(--ink); font-weight: 700; }
  button[data-focus-visible] { outline: 3px solid var(--slate); outline-offset: 2px; }
  ${PHONE} {
    display: grid; grid-auto-flow: column; gap: 0; padding: 4px 8px;
    button { min-height: 52px; display: flex; flex-direction: column; align-items: center; line-height: 1.2; }
  }
`;
const Foot = styled.div`
  display: flex; flex-wrap: wrap; gap: 4px 20px; justify-content: space-between; padding: 4px 20px 0;
  ${PHONE} { padding: 0 14px; }
`;
const BackLink = styled(Link)`${quietLink}`;
const Back = styled.p`padding: 12px 20px 0; ${PHONE} { padding: 4px 14px 0; }`;
const ActionLink = styled(Link)`${quietLink}`;

/** A machine's plate: the drawing with its spots, and beside it the list of them or the story of one. */
export default function PlateLeaf() {
  const sheet = useSheet();
  const plate = useQuery(plateQuery(sheet.id));
  if (!plate.data) return <ReadingInSheet error={plate.error} />;
  if (plate.data.spots.length === 0) return <NoSpots machine={sheet.id} name={sheet.name} />;
  return <Spots plate={plate.data} />;
}

function Spots({ plate }: { plate: Schemas['Plate'] }) {
  const person = usePerson();
  const navigate = useNavigate();
  const phone = usePhone();
  const [search, setSearch] = useSearchParams();
  const chosen = useParams().spot ?? null;
  const [changing, setChanging] = useState<{ spot: Schemas['Spot'] | null } | null>(null);
  const counts = KINDS.map((kind) => ({ kind, count: plate.spots.filter((spot) => spot.kind === kind).length }));
  const kind = kindShown(plate.spots, search.get('kind'), chosen, phone);
  const shown = kind === 'all' ? plate.spots : plate.spots.filter((spot) => spot.kind === kind);
  const to = (key: string) => `/machines/${plate.id}/plate/${key}${search.size > 0 ? `?${search}` : ''}`;
  const keeper = person.role === 'keeper';
  return (
    <Beside>
      <title>{`${plate.spots.find(({ key }) => key === chosen)?.name ?? 'Plate'}, ${plate.name}`}</title>
      <Drawn>
        <Plate
          of={plate.class}
          label={`Spots of ${plate.name} in walking order`}
          marks={shown.map(markOf)}
          chosen={chosen}
          onChoose={(key) => navigate(to(key), { replace: chosen !== null })}
        />
        <Kinds
          aria-label="Which spots"
          selectionMode="single"
          disallowEmptySelection
          selectedKeys={[kind]}
          onSelectionChange={(keys) => {
            const [next] = [...keys];
            setSearch(next === 'all' ? {} : { kind: String(next) }, { replace: true });
          }}
        >
          {!phone && <ToggleButton id="all">All {plate.spots.length}</ToggleButton>}
          {counts.map(
            ({ kind: one, count }) =>
              count > 0 && (
                <ToggleButton key={one} id={one}>
                  <span>{KIND_NAMES[one]}</span> <span>{count}</span>
                </ToggleButton>
              ),
          )}
        </Kinds>
        <Foot>
          {kind === 'grease_point' ? (
            <GreaseNeeds grease={plate.grease} />
          ) : phone ? (
            <span />
          ) : (
            <Soft>Arrow keys walk the spots, Enter opens one.</Soft>
          )}
          <QuietActions>
            {kind === 'grease_point' && mayUse(person, plate.id) && (
              <ActionLink to={`/walkaround/${plate.id}/grease`}>Begin a grease round</ActionLink>
            )}
            {keeper && (
              <QuietButton onPress={() => setChanging({ spot: null })}>
                {kind === 'grease_point' ? 'Add a point' : 'Add a spot'}
              </QuietButton>
            )}
          </QuietActions>
        </Foot>
      </Drawn>
      <Told>
        {chosen ? (
          <ChosenSpot
            key={chosen}
            machine={plate.id}
            spot={chosen}
            back={`/machines/${plate.id}/plate${search.size > 0 ? `?${search}` : ''}`}
            onChange={(spot) => setChanging({ spot })}
          />
        ) : (
          <SpotList spots={shown} to={({ key }) => to(key)} />
        )}
      </Told>
      {changing && (
        <SpotDialog
          machine={plate.id}
          of={plate.class}
          spot={changing.spot}
          kind={changing.spot?.kind ?? (kind === 'all' ? 'plain' : kind)}
          parents={plate.spots.filter((spot) => spot.kind === 'compartment')}
          onClose={() => setChanging(null)}
        />
      )}
    </Beside>
  );
}

type ChosenProps = { machine: number; spot: string; back: string; onChange: (spot: Schemas['Spot']) => void };

function ChosenSpot({ machine, spot, back, onChange }: ChosenProps) {
  const story = useQuery(spotQuery(machine, spot));
  const phone = usePhone();
  const known = story.data !== undefined;
  useEffect(() => {
    if (known) document.getElementById('spot')?.scrollIntoView({ block: phone ? 'start' : 'nearest' });
  }, [known, phone]);
  return (
    <>
      <Back>
        <BackLink to={back}>All spots</BackLink>
      </Back>
      {story.data ? (
        <SpotStory story={story.data} onChange={() => onChange(story.data)} />
      ) : (
        <ReadingInSheet error={story.error} />
      )}
    </>
  );
}

function GreaseNeeds({ grease }: { grease: Schemas['Grease'] }) {
  return (
    <Soft>
      {grease.due_need ? `For those due: ${grease.due_need}. ` : 'None is due. '}A whole round: {grease.round_need}; a
      year{grease.year_hours && ` of ${grease.year_hours} h`}: {grease.year_need}.{' '}
      {grease.gun
        ? `By ${grease.gun}, ${grease.gram_a_stroke} a stroke.`
        : `At ${grease.gram_a_stroke} a stroke: weigh ten strokes of your gun and set it with the yard.`}
    </Soft>
  );
}

function NoSpots({ machine, name }: { machine: number; name: string }) {
  const keeper = usePerson().role === 'keeper';
  const { refresh } = useAfterWrite(sheetOf(machine));
  const begin = useWrite(
    (header) => answer(api.POST('/machines/{machine}/usual-spots', { params: { path: { machine }, header } })),
    refresh,
  );
  return (
    <Empty>
      <p>No spot of {name} is on record.</p>
      {keeper && (
        <MainButton isDisabled={begin.busy} onPress={() => begin.send()}>
          Begin with those such a machine usually has
        </MainButton>
      )}
      <Refusal refused={begin.refused} besides={[]} />
    </Empty>
  );
}

/** The kind that the address asks for; on a phone one at a time, that of the chosen spot or of one that presses. */
function kindShown(
  spots: PlateSpot[],
  asked: string | null,
  chosen: string | null,
  phone: boolean,
): Schemas['SpotKind'] | 'all' {
  const known = KINDS.find((kind) => kind === asked && spots.some((spot) => spot.kind === kind));
  if (known) return known;
  if (!phone) return 'all';
  return (
    (spots.find(({ key }) => key === chosen) ?? spots.find(({ told }) => isPressing(told)) ?? spots[0])?.kind ??
    'compartment'
  );
}
