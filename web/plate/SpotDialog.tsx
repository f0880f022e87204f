import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { useWrite } from '../api/useWrite';
import { Actions, MainButton, PlainButton } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { Dialog } from '../kit/Dialog';
import { Field, Fields } from '../kit/Field';
import { sheetOf } from '../notes/touched';
import { useAfterWrite } from '../notes/useAfterWrite';
import { Refusal } from '../trade/Refusal';
import { COMPARTMENT_WORDS, ROLE_OF_OPENING, SUBJECT_WORDS } from '../trade/words';
import { PlacePicker } from './PlacePicker';
import { OpeningFields, PartFields } from './SheetFields';
import { openingSheet, partSheet, type SheetDraft, sheetDraft } from './sheetDraft';

type Spot = Schemas['Spot'];

const KINDS: { value: Schemas['SpotKind']; label: string }[] = [
  { value: 'compartment', label: 'a fluid' },
  { value: 'opening', label: 'an opening: drain, fill, level, strainer' },
  { value: 'part', label: 'a part that is replaced' },
  { value: 'grease_point', label: 'a grease point' },
  { value: 'plain', label: 'any other place' },
];

const ROLES: { value: Schemas['OpeningRole'] | ''; label: string }[] = [
  { value: '', label: 'not said' },
  ...Object.entries(ROLE_OF_OPENING).map(([value, label]) => ({ value: value as Schemas['OpeningRole'], label })),
];

const END_SIGNS: { value: Schemas['EndSign']; label: string }[] = [
  { value: 'shows', label: 'until clean grease shows' },
  { value: 'strokes', label: 'by strokes counted' },
  { value: 'resistance', label: 'until it resists' },
];

const COMPARTMENTS = Object.entries(COMPARTMENT_WORDS).map(([value, label]) => ({
  value: value as Schemas['CompartmentKind'],
  label,
}));

const SUBJECTS = Object.entries(SUBJECT_WORDS).map(([value, label]) => ({ value: value as Schemas['Subject'], label }));

type Props = {
  machine: number;
  of: Schemas['MachineClass'];
  spot: Spot | null;
  kind: Schemas['SpotKind'];
  parents: Spot[];
  onClose: () => void;
};

/** One spot of a machine as the keeper keeps it: where it is, how one gets at it, the trick that works. */
export function SpotDialog({ machine, of, spot, kind: begins, parents, onClose }: Props) {
  const { refresh } = useAfterWrite(sheetOf(machine));
  const [draft, setDraft] = useState({
    name: spot?.name ?? '',
    kind: spot?.kind ?? begins,
    subject: spot?.subject ?? (begins === 'grease_point' ? ('grease' as const) : ('other' as const)),
    place: spot?.place ?? '',
    reach: spot?.reach ?? '',
    trick: spot?.trick ?? '',
    parent: spot?.parent ?? '',
    role: spot?.role ?? ('' as const),
    x: spot?.x ?? 50,
    y: spot?.y ?? 50,
    strokes: String(spot?.grease?.strokes ?? 2),
    most: spot?.grease?.most?.toString() ?? '',
    end_sign: spot?.grease?.end_sign ?? ('shows' as const),
    grease: spot?.grease?.grease ?? 'NLGI 2, lithium complex',
    compartment: spot?.compartment ?? ('gearbox' as const),
  });
  const [sheet, setSheet] = useState(sheetDraft(spot?.sheet));
  const changeSheet = (part: Partial<SheetDraft>) => setSheet((before) => ({ ...before, ...part }));
  const change = (part: Partial<typeof draft>) => setDraft((before) => ({ ...before, ...part }));
  const write = useWrite(
    (header, body: Schemas['SpotChange'] & Pick<Schemas['NewSpot'], 'name' | 'kind'>) =>
      spot
        ? answer(
            api.PATCH('/spots/{spot}', {
              params: { path: { spot: spot.id }, header: { 'If-Match': `"${spot.version}"` } },
              body,
            }),
          )
        : answer(api.POST('/machines/{machine}/spots', { params: { path: { machine }, header }, body })),
    async () => {
      await refresh();
      onClose();
    },
  );
  const isPoint = draft.kind === 'grease_point';
  const body = () => ({
    name: draft.name,
    kind: draft.kind,
    subject: draft.subject,
    place: draft.place,
    reach: draft.reach,
    trick: draft.trick,
    parent: draft.parent || null,
    ...(draft.kind === 'compartment' && { compartment: draft.compartment }),
    ...(draft.kind === 'opening' && { role: draft.role || null, sheet: openingSheet(sheet) }),
    ...(draft.kind === 'part' && { sheet: partSheet(sheet) }),
    x: draft.x,
    y: draft.y,
    ...(isPoint && {
      grease: {
        strokes: Number(draft.strokes),
        most: draft.most ? Number(draft.most) : null,
        end_sign: draft.end_sign,
        grease: draft.grease,
      },
    }),
  });
  const text = (name: Exclude<keyof typeof draft, 'x' | 'y'>, label: string, numeric = false) => (
    <Field
      label={label}
      value={draft[name]}
      onChange={(value) => change({ [name]: value })}
      error={write.fields[name] ?? write.fields[`grease.${name}`]}
      inputMode={numeric ? 'numeric' : 'text'}
    />
  );
  return (
    <Dialog
      title={spot ? `Change ${spot.name}` : isPoint ? 'Add a grease point' : 'Add a spot'}
      isOpen
      onClose={onClose}
    >
      {text('name', 'Name')}
      {!spot && (
        <Choice
          label="What it is"
          value={draft.kind}
          onChange={(kind) => change({ kind })}
          options={KINDS}
          error={write.fields.kind}
        />
      )}
      {text('place', 'Where it is')}
      {text('reach', 'How to get at it (if it needs telling)')}
      {text('trick', 'The trick that works (if there is one)')}
      {!isPoint && (
        <Choice
          label="Part of"
          value={draft.subject}
          onChange={(subject) => change({ subject })}
          options={SUBJECTS}
          error={write.fields.subject}
        />
      )}
      {draft.kind === 'compartment' && (
        <Choice
          label="It holds"
          value={draft.compartment}
          onChange={(compartment) => change({ compartment })}
          options={COMPARTMENTS}
          error={write.fields.compartment}
        />
      )}
      {(draft.kind === 'opening' || draft.kind === 'part') && (
        <Fields $columns={2}>
          <Choice
            label="Belongs to the fluid"
            value={draft.parent}
            onChange={(parent) => change({ parent })}
            options={[{ value: '', label: 'none' }, ...parents.map(({ key, name }) => ({ value: key, label: name }))]}
            error={write.fields.parent}
          />
          {draft.kind === 'opening' && (
            <Choice
              label="It is for"
              value={draft.role}
              onChange={(role) => change({ role })}
              options={ROLES}
              error={write.fields.role}
            />
          )}
        </Fields>
      )}
      {draft.kind === 'opening' && (
        <OpeningFields draft={sheet} onChange={changeSheet} fields={write.fields} role={draft.role || null} />
      )}
      {draft.kind === 'part' && <PartFields draft={sheet} onChange={changeSheet} fields={write.fields} />}
      {isPoint && (
        <>
          <Fields $columns={2}>
            {text('strokes', 'Strokes', true)}
            {text('most', 'At most (if more does harm)', true)}
          </Fields>
          <Choice
            label="It has had enough"
            value={draft.end_sign}
            onChange={(end_sign) => change({ end_sign })}
            options={END_SIGNS}
            error={write.fields['grease.end_sign']}
          />
          {text('grease', 'Grease')}
        </>
      )}
      <PlacePicker of={of} kind={draft.kind} x={draft.x} y={draft.y} onPlace={(x, y) => change({ x, y })} />
      <Refusal
        refused={write.refused}
        besides={[
          ...Object.keys(draft),
          ...Object.keys(draft).map((field) => `grease.${field}`),
          ...Object.keys(write.fields).filter((field) => field.startsWith('sheet.')),
        ]}
      />
      <Actions>
        <MainButton isDisabled={write.busy} onPress={() => write.send(body())}>
          {spot ? 'Change it' : 'Add it'}
        </MainButton>
        {spot && (
          <PlainButton onPress={() => write.send({ name: spot.name, kind: spot.kind, retired: true })}>
            Take it out
          </PlainButton>
        )}
        <PlainButton onPress={onClose}>Leave it</PlainButton>
      </Actions>
    </Dialog>
  );
}
