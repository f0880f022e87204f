import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { yardQuery } from '../api/queries';
import { useWrite } from '../api/useWrite';
import { Actions, MainButton, PlainButton } from '../kit/Button';
import DayPick from '../kit/DayPick';
import { Field, Fields } from '../kit/Field';
import { FormSheet } from '../kit/FormSheet';
import { Soft } from '../kit/Sheet';
import { sheetOf } from '../notes/touched';
import { useAfterWrite } from '../notes/useAfterWrite';
import { useDraft } from '../offline/drafts';
import { Reading, useKnownName } from '../trade/Reading';
import { Refusal } from '../trade/Refusal';
import { useMachine } from '../trade/useMachine';
import { type RecordDraft, RecordFields, recordBody, recordDraft } from './recordDraft';
import { SchoolFields } from './SchoolFields';
import { SeverityFields } from './SeverityFields';

/** Changes a machine's record, or takes the machine out of the yard. */
export default function EditMachinePage() {
  const machine = useMachine();
  const known = useKnownName();
  const yard = useQuery(yardQuery);
  if (!machine.data || !yard.data) return <Reading title={known} error={machine.error ?? yard.error} />;
  return <EditMachine key={machine.data.version} sheet={machine.data} yard={yard.data} />;
}

function EditMachine({ sheet, yard }: { sheet: Schemas['MachinePage']; yard: Schemas['Yard'] }) {
  const navigate = useNavigate();
  const { toldWith } = useAfterWrite(sheetOf(sheet.id));
  const before = useMemo(() => recordDraft(sheet), [sheet]);
  const [draft, setDraft, clear] = useDraft(`machine.${sheet.id}.${sheet.version}`, before);
  const change = (part: Partial<RecordDraft>) => setDraft((present) => ({ ...present, ...part }));
  const save = useWrite(
    (_key, body: Schemas['MachineChange']) => patch(sheet, body),
    async (changed) => {
      clear();
      navigate(changed.retired ? '/yard' : `/machines/${sheet.id}`);
      await toldWith(changed.retired ? `${sheet.name} is out of the yard.` : `${changed.name}: record changed.`, () =>
        patch(changed, { ...recordBody(before), retired: sheet.retired }),
      );
    },
  );
  return (
    <FormSheet title={`${sheet.name}: change the record`}>
      <RecordFields draft={draft} change={change} fields={save.fields} yard={yard} />
      <Field
        label="Note: where things are, tricks that work"
        lines
        value={draft.note}
        onChange={(note) => change({ note })}
        error={save.fields.note}
      />
      <SeverityFields marks={draft.severities} onChange={(severities) => change({ severities })} fields={save.fields} />
      <WarrantyFields
        name="Warranty"
        field="warranty"
        value={draft.warranty}
        onChange={(warranty) => change({ warranty })}
        fields={save.fields}
        help="While it runs, whatever is looser than the book needs a reason."
      />
      <WarrantyFields
        name="Extended warranty"
        field="extended_warranty"
        value={draft.extended_warranty}
        onChange={(extended) => change({ extended_warranty: extended })}
        fields={save.fields}
        help="While it runs, the tasks marked so are the dealer's."
      />
      <Fields $columns={2}>
        <Field
          label="How its own reminder is reset"
          lines
          value={draft.reset_note}
          onChange={(reset_note) => change({ reset_note })}
          error={save.fields.reset_note}
        />
        <Field
          label="Its countdown is set in steps of"
          inputMode="decimal"
          value={draft.countdown_step}
          onChange={(countdown_step) => change({ countdown_step })}
          error={save.fields.countdown_step}
        />
      </Fields>
      <SchoolFields schools={yard.schools} chosen={draft.schools} onChange={(schools) => change({ schools })} />
      <Refusal refused={save.refused} besides={SHOWN} />
      <Actions>
        <MainButton isDisabled={save.busy} onPress={() => save.send(recordBody(draft))}>
          Change the record
        </MainButton>
        <PlainButton isDisabled={save.busy} onPress={() => save.send({ retired: !sheet.retired })}>
          {sheet.retired ? 'Put it back in the yard' : 'Take it out of the yard'}
        </PlainButton>
        <PlainButton onPress={() => navigate(`/machines/${sheet.id}`)}>Leave it</PlainButton>
      </Actions>
    </FormSheet>
  );
}

const patch = (machine: Schemas['MachineRecord'], body: Schemas['MachineChange']) =>
  answer(
    api.PATCH('/machines/{machine}', {
      params: { path: { machine: machine.id }, header: { 'If-Match': `"${machine.version}"` } },
      body,
    }),
  );

const SHOWN = [
  ...['name', 'class', 'place', 'maker', 'model', 'serial', 'note', 'countdown_step', 'reset_note'],
  ...['warranty', 'extended_warranty'].flatMap((field) => [`${field}.until`, `${field}.hours`]),
];

type WarrantyProps = {
  name: string;
  field: 'warranty' | 'extended_warranty';
  value: RecordDraft['warranty'];
  onChange: (value: RecordDraft['warranty']) => void;
  fields: Record<string, string>;
  help: string;
};

function WarrantyFields({ name, field, value, onChange, fields, help }: WarrantyProps) {
  return (
    <div>
      <Fields $columns={2}>
        <DayPick
          label={`${name} runs to`}
          value={value.until}
          onChange={(until) => onChange({ ...value, until })}
          error={fields[`${field}.until`]}
        />
        <Field
          label="or to, hours"
          inputMode="decimal"
          value={value.hours}
          onChange={(hours) => onChange({ ...value, hours })}
          error={fields[`${field}.hours`]}
        />
      </Fields>
      <Soft>{help}</Soft>
    </div>
  );
}
