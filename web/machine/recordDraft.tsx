import type { Schemas } from '../api/client';
import { Choice } from '../kit/Choice';
import { Field, Fields } from '../kit/Field';

/** A machine's record as it stands in a form. */
export type RecordDraft = {
  name: string;
  class: Schemas['MachineClass'];
  place: string;
  maker: string;
  model: string;
  serial: string;
  note: string;
  countdown_step: string;
  reset_note: string;
  schools: Schemas['Schools'];
  severities: Schemas['SeverityMark'][];
  warranty: WarrantyDraft;
  extended_warranty: WarrantyDraft;
};

type WarrantyDraft = { until: string; hours: string };

export const EMPTY_RECORD: RecordDraft = {
  name: '',
  class: 'tractor',
  place: '',
  maker: '',
  model: '',
  serial: '',
  note: '',
  countdown_step: '1',
  reset_note: '',
  schools: {},
  severities: [],
  warranty: { until: '', hours: '' },
  extended_warranty: { until: '', hours: '' },
};

export const recordDraft = (sheet: Schemas['MachineRecord']): RecordDraft => ({
  name: sheet.name,
  class: sheet.class,
  place: sheet.place,
  maker: sheet.maker ?? '',
  model: sheet.model ?? '',
  serial: sheet.serial ?? '',
  note: sheet.note ?? '',
  countdown_step: String(Number(sheet.countdown_step)),
  reset_note: sheet.reset_note ?? '',
  schools: sheet.schools,
  severities: sheet.severities,
  warranty: { until: sheet.warranty.until ?? '', hours: sheet.warranty.hours ?? '' },
  extended_warranty: { until: sheet.extended_warranty.until ?? '', hours: sheet.extended_warranty.hours ?? '' },
});

export const recordBody = (draft: RecordDraft) => ({
  ...draft,
  maker: draft.maker || null,
  model: draft.model || null,
  serial: draft.serial || null,
  note: draft.note || null,
  reset_note: draft.reset_note || null,
  warranty: { until: draft.warranty.until || null, hours: draft.warranty.hours || null },
  extended_warranty: { until: draft.extended_warranty.until || null, hours: draft.extended_warranty.hours || null },
});

type Props = {
  draft: RecordDraft;
  change: (part: Partial<RecordDraft>) => void;
  fields: Record<string, string>;
  yard: Schemas['Yard'];
};

/** Name, class, place and what is on the plate. */
export function RecordFields({ draft, change, fields, yard }: Props) {
  return (
    <>
      <Fields $columns={3}>
        <Field
          label="Name"
          value={draft.name}
          onChange={(name) => change({ name })}
          error={fields.name}
          autoFocus
          help="The one that is called across the yard."
        />
        <Choice
          label="Class"
          value={draft.class}
          onChange={(value) => change({ class: value })}
          options={yard.classes.map(({ class: value, label }) => ({ value, label }))}
          error={fields.class}
        />
        <Field
          label="Place"
          list="places"
          value={draft.place}
          onChange={(place) => change({ place })}
          error={fields.place}
        />
      </Fields>
      <datalist id="places">
        {yard.places.map((place) => (
          <option key={place} value={place} />
        ))}
      </datalist>
      <Fields $columns={3}>
        <Field
          label="Maker, if you like"
          value={draft.maker}
          onChange={(maker) => change({ maker })}
          error={fields.maker}
        />
        <Field label="Model" value={draft.model} onChange={(model) => change({ model })} error={fields.model} />
        <Field
          label="Serial number"
          value={draft.serial}
          onChange={(serial) => change({ serial })}
          error={fields.serial}
        />
      </Fields>
    </>
  );
}
