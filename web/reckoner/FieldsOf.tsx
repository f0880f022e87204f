import styled from 'styled-components';
import { answer, api } from '../api/client';
import { QuietButton } from '../kit/Button';
import { Choice } from '../kit/Choice';
import DayPick from '../kit/DayPick';
import { Field } from '../kit/Field';
import { Tick, Ticks } from '../kit/Tick';
import { PHONE } from '../kit/theme';
import { type FieldOf, startOf, type Value, type Values } from './calculator';

const Grid = styled.div`
  display: grid; grid-template-columns: repeat(auto-fill, minmax(190px, 1fr)); gap: 14px 16px; align-items: start;
  > [data-wide] { grid-column: 1 / -1; }
  ${PHONE} { grid-template-columns: minmax(0, 1fr); }
`;
const Group = styled.fieldset`
  border: 0; border-left: 3px solid var(--rule); margin: 0; padding: 2px 0 2px 14px; min-width: 0; display: flex; flex-direction: column; gap: 12px;
  legend { font-weight: 600; padding: 0 0 4px; }
`;
const Units = styled.div`display: flex; flex-wrap: wrap; gap: 0 12px; padding-top: 3px; ${PHONE} { gap: 0; }`;
const Unit = styled(
  QuietButton,
)`${PHONE} { min-width: 48px; justify-content: center; } &[data-current] { font-weight: 750; text-decoration: none; color: var(--ink); }`;
const Remove = styled(QuietButton)`align-self: end;`;

type Props = {
  fields: readonly FieldOf[];
  values: Values;
  onChange: (values: Values) => void;
  /** What is wrong, by the path of the field. */
  wrong: Record<string, string>;
  path?: string;
};

/** The fields of a calculator, sets and rows of them too. */
export function FieldsOf({ fields, values, onChange, wrong, path = '' }: Props) {
  return (
    <Grid>
      {fields.map((field) => (
        <div key={field.name} data-wide={isWide(field) || undefined}>
          <OneField
            field={field}
            value={values[field.name]}
            onChange={(value) => onChange({ ...values, [field.name]: value })}
            wrong={wrong}
            path={`${path}${field.name}`}
          />
        </div>
      ))}
    </Grid>
  );
}

const isWide = (field: FieldOf): boolean =>
  field.lines === true || field.kind === 'set' || field.kind === 'rows' || field.kind === 'ticks';

type OneProps = {
  field: FieldOf;
  value: Value | undefined;
  onChange: (value: Value) => void;
  wrong: Record<string, string>;
  path: string;
};

function OneField({ field, value, onChange, wrong, path }: OneProps) {
  const error = wrong[path];
  const typed = typeof value === 'string' ? value : '';
  switch (field.kind) {
    case 'quantity':
      return <QuantityField field={field} value={typed} onChange={onChange} error={error} />;
    case 'choice':
      return (
        <Choice label={field.label} value={typed} onChange={onChange} options={field.options ?? []} error={error} />
      );
    case 'ticks':
      return (
        <Ticks
          label={field.label}
          inLine
          value={Array.isArray(value) ? (value as string[]) : []}
          onChange={onChange}
          options={field.options ?? []}
          error={error}
        />
      );
    case 'tick':
      return (
        <Tick checked={value === true} onChange={onChange}>
          {field.label}
        </Tick>
      );
    case 'day':
      return <DayPick label={field.label} value={typed} onChange={onChange} error={error} />;
    case 'set':
      return (
        <Group>
          <legend>{field.label}</legend>
          <FieldsOf
            fields={field.fields ?? []}
            values={(value as Values) ?? {}}
            onChange={onChange}
            wrong={wrong}
            path={`${path}.`}
          />
        </Group>
      );
    case 'rows':
      return <RowsOf field={field} value={value} onChange={onChange} wrong={wrong} path={path} />;
    default:
      return (
        <Field
          label={field.label}
          value={typed}
          onChange={onChange}
          error={error}
          help={field.help}
          placeholder={field.placeholder}
          inputMode={field.kind === 'number' ? 'decimal' : undefined}
          lines={field.lines}
          autoComplete="off"
        />
      );
  }
}

function RowsOf({ field, value, onChange, wrong, path }: OneProps) {
  const { fields = [] } = field;
  const rows = Array.isArray(value) ? (value as Values[]) : [];
  const change = (at: number, row: Values) => onChange(rows.map((one, index) => (index === at ? row : one)));
  return (
    <Group>
      <legend>{field.label}</legend>
      {rows.map((row, at) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: rows are known by their place alone
        <Group key={at} aria-label={`${field.row} ${at + 1}`}>
          <FieldsOf
            fields={fields}
            values={row}
            onChange={(changed) => change(at, changed)}
            wrong={wrong}
            path={`${path}.${at}.`}
          />
          {rows.length > 1 && (
            <Remove onPress={() => onChange(rows.filter((_, index) => index !== at))}>
              Leave out {field.row} {at + 1}
            </Remove>
          )}
        </Group>
      ))}
      <QuietButton onPress={() => onChange([...rows, startOf(fields)])}>Another {field.row}</QuietButton>
    </Group>
  );
}

type QuantityProps = {
  field: FieldOf;
  value: string;
  onChange: (value: string) => void;
  error?: string;
};

/** An amount with its unit: a press on another unit has the yard convert it. */
function QuantityField({ field, value, onChange, error }: QuantityProps) {
  const { units = [] } = field;
  const written = value
    .trim()
    .replace(/^[\d.,/ ½⅓⅔¼¾⅛⅜⅝⅞−-]+/, '')
    .toLowerCase();
  const current = units.find((unit) => unit.toLowerCase() === written);
  const inUnit = async (unit: string) => {
    const typed = value.trim();
    if (typed === '' || unit === current) return;
    if (current === undefined && /^[\d.,/ ½⅓⅔¼¾⅛⅜⅝⅞-]+$/.test(typed)) {
      onChange(`${typed} ${unit}`);
      return;
    }
    const told = await answer(
      api.POST('/reckon/{name}/typing', { params: { path: { name: 'convert' } }, body: { quantity: typed, to: unit } }),
    );
    const converted = told.told?.drawn.typed;
    if (converted) onChange(converted);
  };
  return (
    <div>
      <Field
        label={field.label}
        value={value}
        onChange={onChange}
        error={error}
        help={field.help}
        placeholder={field.placeholder ?? units[0]}
        autoComplete="off"
      />
      {units.length > 1 && (
        <Units role="group" aria-label={`${field.label}: unit`}>
          {units.map((unit) => (
            <Unit key={unit} data-current={unit === current || undefined} onPress={() => inUnit(unit)}>
              {unit}
            </Unit>
          ))}
        </Units>
      )}
    </div>
  );
}
