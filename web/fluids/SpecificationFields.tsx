import type { Schemas } from '../api/client';
import { QuietActions, QuietButton } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { Field, Fields } from '../kit/Field';
import { CHEMISTRIES, FLUIDS, listed } from './words';

/** A specification as it is being typed. */
export type SpecificationDraft = {
  kind: Schemas['FluidKind'] | '';
  grades: { grade: string; from: string; to: string }[];
  designations: string;
  chemistry: Schemas['Chemistry'] | '';
  makers_own: string;
};

const NO_GRADE = { grade: '', from: '', to: '' };

export const specificationDraft = (of?: Schemas['Specification'] | null): SpecificationDraft => ({
  kind: of?.kind ?? '',
  grades: of?.grades?.length
    ? of.grades.map(({ grade, from, to }) => ({ grade, from: from ?? '', to: to ?? '' }))
    : [NO_GRADE],
  designations: (of?.designations ?? []).join(', '),
  chemistry: of?.chemistry ?? '',
  makers_own: of?.makers_own ?? '',
});

export const specificationOf = (draft: SpecificationDraft): Schemas['Specification'] => ({
  kind: draft.kind || null,
  grades: draft.grades
    .filter(({ grade }) => grade.trim() !== '')
    .map(({ grade, from, to }) => ({ grade, from: from || null, to: to || null })),
  designations: listed(draft.designations),
  chemistry: draft.chemistry || null,
  makers_own: draft.makers_own || null,
});

type Props = {
  draft: SpecificationDraft;
  onChange: (part: Partial<SpecificationDraft>) => void;
  fields: Record<string, string>;
  path: string;
};

/** What a book wants poured in: a kind, grades by the warmth of the air, designations, a chemistry, the maker's own. */
export function SpecificationFields({ draft, onChange, fields, path }: Props) {
  const change = (at: number, part: Partial<(typeof draft.grades)[number]>) =>
    onChange({ grades: draft.grades.map((grade, index) => (index === at ? { ...grade, ...part } : grade)) });
  const mixes = draft.kind === 'coolant' || draft.kind === 'brake_fluid';
  return (
    <>
      <Fields $columns={2}>
        <Choice
          label="It takes"
          value={draft.kind}
          onChange={(kind) => onChange({ kind })}
          options={[{ value: '', label: 'not said' }, ...FLUIDS]}
          error={fields[`${path}kind`]}
        />
        {mixes ? (
          <Choice
            label="Only this chemistry"
            value={draft.chemistry}
            onChange={(chemistry) => onChange({ chemistry })}
            options={CHEMISTRIES}
            error={fields[`${path}chemistry`]}
          />
        ) : (
          <Field
            label="Designations, any one"
            value={draft.designations}
            onChange={(designations) => onChange({ designations })}
            error={fields[`${path}designations`]}
            placeholder="API SJ, CF-4"
          />
        )}
      </Fields>
      {draft.kind === 'brake_fluid' && (
        <Field
          label="Class, any one"
          value={draft.designations}
          onChange={(designations) => onChange({ designations })}
          error={fields[`${path}designations`]}
          placeholder="DOT 4"
        />
      )}
      {!mixes &&
        draft.grades.map((grade, at) => (
          // The rows have no name of their own while they are typed.
          // biome-ignore lint/suspicious/noArrayIndexKey: rows are only added at the end
          <Fields key={at} $columns={3}>
            <Field
              label={at === 0 ? 'Grade' : 'or'}
              value={grade.grade}
              onChange={(value) => change(at, { grade: value })}
              error={fields[`${path}grades.${at}.grade`]}
              placeholder="10W-30"
            />
            <Field
              label="down to (air)"
              value={grade.from}
              onChange={(from) => change(at, { from })}
              error={fields[`${path}grades.${at}.from`]}
              placeholder="-18 °C"
            />
            <Field
              label="up to (air)"
              value={grade.to}
              onChange={(to) => change(at, { to })}
              error={fields[`${path}grades.${at}.to`]}
            />
          </Fields>
        ))}
      {!mixes && (
        <QuietActions>
          <QuietButton onPress={() => onChange({ grades: [...draft.grades, NO_GRADE] })}>Another grade</QuietButton>
        </QuietActions>
      )}
      <Field
        label="The maker's own, by name"
        value={draft.makers_own}
        onChange={(makers_own) => onChange({ makers_own })}
        error={fields[`${path}makers_own`]}
      />
    </>
  );
}
