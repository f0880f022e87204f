import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { answer, api, type Schemas } from '../api/client';
import { walkQuery } from '../api/queries';
import { useWrite } from '../api/useWrite';
import { Actions, MainButton, PlainButton, QuietActions, QuietButton, quietLink } from '../kit/Button';
import { Choice, Field, Fields } from '../kit/Field';
import { Reading, useKnownName } from '../kit/Reading';
import { Refusal } from '../kit/Refusal';
import { Empty, Lead, Line, Margin, Page, Ruled, Sheet, Soft, Title } from '../kit/Sheet';
import { Slip } from '../kit/Slip';
import { Stamp } from '../kit/Stamp';
import { usePerson } from '../shell/Shell';
import { useAfterWrite } from '../yard/useAfterWrite';
import { Plate } from './Plate';

type Point = Schemas['Grease']['points'][number];

const WalkLink = styled(Link)`${quietLink}`;
const Beside = styled.div`display: grid; grid-template-columns: minmax(0, 1fr) 460px; gap: 22px; align-items: start; @media (max-width: 1080px) { grid-template-columns: minmax(0, 1fr); }`;
const Drawn = styled.div`position: sticky; top: 16px; @media (max-width: 1080px) { position: static; order: -1; }`;

/** A machine's grease points: on the plate, as a list, and how much grease they take. */
export default function GreasePage() {
  const machine = Number(useParams().machine);
  const known = useKnownName();
  const person = usePerson();
  const walk = useQuery(walkQuery(machine));
  const { refresh } = useAfterWrite();
  const [changing, setChanging] = useState<Point | 'new' | null>(null);
  const begin = useWrite((header) => answer(api.POST('/machines/{machine}/usual-grease-points', { params: { path: { machine }, header } })), refresh);
  if (!walk.data) return <Reading title={known} error={walk.error} />;
  const { name, grease } = walk.data;
  const keeper = person.role === 'keeper';
  const show = (point: Point) => (keeper ? setChanging(point) : document.getElementById(`point-${point.id}`)?.scrollIntoView({ block: 'center' }));
  return (
    <Page>
      <title>{`${name}, grease points`}</title>
      <Lead>
        <div>
          <Title>{name}, grease points</Title>
          <Soft>
            A whole round takes {grease.round_need}.{grease.year_hours && ` A year of ${grease.year_hours} h takes ${grease.year_need}.`}{' '}
            {grease.gun
              ? `By ${grease.gun}, ${grease.gram_a_stroke} a stroke.`
              : `At ${grease.gram_a_stroke} a stroke: weigh ten strokes of your gun and set it with the yard.`}
          </Soft>
        </div>
        <QuietActions>
          {person.role !== 'reader' && grease.points.length > 0 && <WalkLink to={`/walkaround/${machine}/grease`}>Begin a grease round</WalkLink>}
          {keeper && <QuietButton onPress={() => setChanging('new')}>Add a point</QuietButton>}
        </QuietActions>
      </Lead>
      {grease.points.length === 0 ? (
        <Sheet>
          <Empty>
            <p>No grease points are on record for {name}.</p>
            {keeper && <MainButton onPress={() => begin.send()}>Begin with those such a machine usually has</MainButton>}
            <Refusal refused={begin.refused} besides={[]} />
          </Empty>
        </Sheet>
      ) : (
        <Beside>
          <Sheet aria-label="Grease points in walking order">
            {grease.points.map((point, index) => (
              <Ruled key={point.id} id={`point-${point.id}`}>
                <Line style={{ gap: 4 }}>
                  <span>
                    <strong>
                      {index + 1}. {point.name}
                    </strong>{' '}
                    {point.state !== 'fresh' && <Stamp state={point.state} />}
                  </span>
                  <span>
                    {point.place}. {point.reach}
                    {point.job && ` Only with: ${point.job.charAt(0).toLowerCase() + point.job.slice(1)}.`}
                  </span>
                  <Soft>
                    {point.strokes} {point.strokes === 1 ? 'stroke' : 'strokes'}, {point.end_in_words}
                    {point.most !== null && `, ${point.most} at most`}; every {point.every_in_words}; {point.grease}
                  </Soft>
                </Line>
                <Margin>
                  <p>{point.why}</p>
                  {keeper && <QuietButton onPress={() => setChanging(point)}>Change this point</QuietButton>}
                </Margin>
              </Ruled>
            ))}
          </Sheet>
          <Drawn>
            <Plate of={walk.data.class} points={grease.points} onPress={show} />
          </Drawn>
        </Beside>
      )}
      {changing && <PointSlip machine={machine} point={changing === 'new' ? null : changing} onClose={() => setChanging(null)} />}
    </Page>
  );
}

const END_SIGNS = [
  { value: 'shows', label: 'until clean grease shows' },
  { value: 'strokes', label: 'by strokes counted' },
  { value: 'resistance', label: 'until it resists' },
] as const;

function PointSlip({ machine, point, onClose }: { machine: number; point: Point | null; onClose: () => void }) {
  const { refresh } = useAfterWrite();
  const every = (point?.every ?? {}) as { hours?: string; months?: number };
  const [draft, setDraft] = useState({
    name: point?.name ?? '',
    place: point?.place ?? '',
    reach: point?.reach ?? '',
    grease: point?.grease ?? 'NLGI 2, lithium complex',
    strokes: String(point?.strokes ?? 2),
    most: point?.most ? String(point.most) : '',
    hours: every.hours ?? (every.months ? '' : '50'),
    months: every.months ? String(every.months) : '',
    end_sign: point?.end_sign ?? ('shows' as const),
    job: point?.job ?? '',
    x: String(point?.x ?? 50),
    y: String(point?.y ?? 50),
  });
  const change = (part: Partial<typeof draft>) => setDraft((before) => ({ ...before, ...part }));
  const write = useWrite(
    (header, body: Schemas['GreasePointChange']) =>
      point
        ? answer(api.PATCH('/grease-points/{point}', { params: { path: { point: point.id }, header: { 'If-Match': `"${point.version}"` } }, body }))
        : answer(api.POST('/machines/{machine}/grease-points', { params: { path: { machine }, header }, body })),
    async () => {
      await refresh();
      onClose();
    },
  );
  const body = (): Schemas['GreasePointChange'] => ({
    name: draft.name,
    place: draft.place,
    reach: draft.reach,
    grease: draft.grease,
    strokes: Number(draft.strokes),
    most: draft.most ? Number(draft.most) : null,
    every: { hours: draft.hours || null, months: draft.months ? Number(draft.months) : null },
    end_sign: draft.end_sign,
    job: draft.job || null,
    x: Number(draft.x),
    y: Number(draft.y),
  });
  const text = (name: keyof typeof draft, label: string, numeric = false) => (
    <Field
      label={label}
      value={draft[name]}
      onChange={(value) => change({ [name]: value })}
      error={write.fields[name] ?? write.fields[`every.${name}`]}
      inputMode={numeric ? 'decimal' : 'text'}
    />
  );
  return (
    <Slip title={point ? `Change ${point.name}` : 'Add a grease point'} isOpen onClose={onClose}>
      {text('name', 'Name')}
      {text('place', 'Where it is')}
      {text('reach', 'How to get at it (if it needs telling)')}
      <Fields $columns={2}>
        {text('strokes', 'Strokes', true)}
        {text('most', 'At most (if more does harm)', true)}
        {text('hours', 'Every so many hours', true)}
        {text('months', 'or months', true)}
        {text('x', 'On the plate, from the front, 0 to 100', true)}
        {text('y', 'and from the left side, 0 to 100', true)}
      </Fields>
      <Choice
        label="It has had enough"
        value={draft.end_sign}
        onChange={(end_sign) => change({ end_sign })}
        options={END_SIGNS}
        error={write.fields.end_sign}
      />
      {text('grease', 'Grease')}
      {text('job', 'Reached only with this job (if so)')}
      <Refusal refused={write.refused} besides={[...Object.keys(draft), 'every', 'every.hours', 'every.months']} />
      <Actions>
        <MainButton isDisabled={write.busy} onPress={() => write.send(body())}>
          {point ? 'Change this point' : 'Add this point'}
        </MainButton>
        {point && <PlainButton onPress={() => write.send({ retired: true })}>Take it out</PlainButton>}
        <PlainButton onPress={onClose}>Leave it</PlainButton>
      </Actions>
    </Slip>
  );
}
