import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { yardQuery } from '../api/queries';
import { useWrite } from '../api/useWrite';
import { Actions, MainButton, PlainButton } from '../kit/Button';
import { Field, Fields } from '../kit/Field';
import { FormSheet } from '../kit/FormSheet';
import { Refusal } from '../kit/Refusal';
import { Page } from '../kit/Sheet';
import { useDraft } from '../kit/useDraft';
import { useAfterWrite } from '../yard/useAfterWrite';
import { type RecordDraft, RecordFields, recordBody } from './recordDraft';
import { useMachine } from './useMachine';

/** Changes a machine's record, or takes the machine out of the yard. */
export default function EditMachinePage() {
  const machine = useMachine();
  const yard = useQuery(yardQuery);
  if (!machine.data || !yard.data) return <Page aria-busy="true" />;
  return <EditMachine key={machine.data.version} sheet={machine.data} yard={yard.data} />;
}

function EditMachine({ sheet, yard }: { sheet: Schemas['MachineSheet']; yard: Schemas['Yard'] }) {
  const navigate = useNavigate();
  const { toldWith } = useAfterWrite();
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
        label="Note: tricks that work, how its reminder is reset"
        lines
        value={draft.note}
        onChange={(note) => change({ note })}
        error={save.fields.note}
      />
      <Fields $columns={3}>
        <Field
          label="Its countdown is set in steps of, h"
          inputMode="decimal"
          value={draft.countdown_step}
          onChange={(countdown_step) => change({ countdown_step })}
          error={save.fields.countdown_step}
        />
      </Fields>
      <Refusal refused={save.refused} besides={Object.keys(draft)} />
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

const recordDraft = (sheet: Schemas['MachineRecord']): RecordDraft => ({
  name: sheet.name,
  class: sheet.class,
  place: sheet.place,
  maker: sheet.maker ?? '',
  model: sheet.model ?? '',
  serial: sheet.serial ?? '',
  note: sheet.note ?? '',
  countdown_step: String(Number(sheet.countdown_step)),
});

const patch = (machine: Schemas['MachineRecord'], body: Schemas['MachineChange']) =>
  answer(
    api.PATCH('/machines/{machine}', {
      params: { path: { machine: machine.id }, header: { 'If-Match': `"${machine.version}"` } },
      body,
    }),
  );
