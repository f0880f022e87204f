import type { Schemas } from '../api/client';
import { Choice } from '../kit/Choice';
import { Field, Fields } from '../kit/Field';
import { CHEMISTRIES, FLUIDS, listed } from './words';

/** A label as it is being typed. */
export type LabelDraft = {
  kind: Schemas['FluidKind'];
  grade: string;
  designations: string;
  chemistry: Schemas['Chemistry'] | '';
  makers_own: string;
};

export const EMPTY_LABEL: LabelDraft = {
  kind: 'engine_oil',
  grade: '',
  designations: '',
  chemistry: '',
  makers_own: '',
};

export const labelOf = (draft: LabelDraft): Schemas['Label'] => ({
  kind: draft.kind,
  grade: draft.grade || null,
  designations: listed(draft.designations),
  chemistry: draft.chemistry || null,
  makers_own: draft.makers_own || null,
});

export const labelDraft = (label: Schemas['Label']): LabelDraft => ({
  kind: label.kind,
  grade: label.grade ?? '',
  designations: (label.designations ?? []).join(', '),
  chemistry: label.chemistry ?? '',
  makers_own: label.makers_own ?? '',
});

type Props = {
  draft: LabelDraft;
  onChange: (part: Partial<LabelDraft>) => void;
  fields: Record<string, string>;
  /** Before the names of the fields at fault. */
  path: string;
};

/** What stands on a bottle. */
export function BottleFields({ draft, onChange, fields, path }: Props) {
  const mixes = draft.kind === 'coolant' || draft.kind === 'brake_fluid';
  return (
    <>
      <Fields $columns={2}>
        <Choice
          label="The bottle holds"
          value={draft.kind}
          onChange={(kind) => onChange({ kind })}
          options={FLUIDS}
          error={fields[`${path}kind`]}
        />
        {mixes ? (
          <Choice
            label="Made of"
            value={draft.chemistry}
            onChange={(chemistry) => onChange({ chemistry })}
            options={CHEMISTRIES}
            error={fields[`${path}chemistry`]}
          />
        ) : (
          <Field
            label="Grade"
            value={draft.grade}
            onChange={(grade) => onChange({ grade })}
            error={fields[`${path}grade`]}
            placeholder="10W-30"
          />
        )}
      </Fields>
      <Fields $columns={2}>
        <Field
          label="It says (API, GL, DOT …)"
          value={draft.designations}
          onChange={(designations) => onChange({ designations })}
          error={fields[`${path}designations`]}
          placeholder="API SN, CF"
        />
        <Field
          label="Sold by the machine's maker as"
          value={draft.makers_own}
          onChange={(makers_own) => onChange({ makers_own })}
          error={fields[`${path}makers_own`]}
        />
      </Fields>
    </>
  );
}
