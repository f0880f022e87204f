import { lazy } from 'react';
import { Checkbox, CheckboxGroup, Label, Radio, RadioGroup } from 'react-aria-components';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { WrongText } from '../kit/Field';
import { Opening } from '../kit/Opening';
import { Tick } from '../kit/Tick';
import { Amount } from '../trade/Amount';

/** Few checks ask for a day, and its calendar is large. */
const DayPick = lazy(() => import('../kit/DayPick'));

type Ask = Schemas['Ask'];
export type Entered = Record<string, unknown>;

const Choices = styled.div`
  display: flex; flex-wrap: wrap; gap: 8px; margin-top: 4px;
  label { min-height: 52px; display: inline-flex; align-items: center; padding: 6px 14px; border: 2px solid var(--line); border-radius: 3px; background: var(--sheet); cursor: pointer; font-size: 16px; }
  label[data-selected] { border-color: var(--ink); box-shadow: inset 0 -5px 0 var(--hedge); font-weight: 650; }
  label[data-focus-visible] { outline: 3px solid var(--slate); outline-offset: 2px; }
`;
const Name = styled(Label)`font-size: 15px; display: block;`;
type Props = { asks: Ask[]; values: Entered; onChange: (values: Entered) => void; errors: Record<string, string> };

/** What a measurement asks for, with large keys. */
export function AskFields({ asks, values, onChange, errors }: Props) {
  const set = (name: string) => (value: unknown) => onChange({ ...values, [name]: value });
  return (
    <>
      {asks.map((ask) => (
        <AskField key={ask.name} ask={ask} value={values[ask.name]} onChange={set(ask.name)} error={errors[ask.name]} />
      ))}
    </>
  );
}

function AskField({
  ask,
  value,
  onChange,
  error,
}: {
  ask: Ask;
  value: unknown;
  onChange: (value: unknown) => void;
  error?: string;
}) {
  const text = typeof value === 'string' ? value : '';
  const label =
    ask.optional && ask.kind !== 'flag' && !ask.label.includes(' if ') ? `${ask.label} (if any)` : ask.label;
  switch (ask.kind) {
    case 'quantity':
    case 'number':
      return (
        <Amount
          label={label}
          unit={ask.unit ?? ''}
          step={ask.step ?? '1'}
          from=""
          value={text}
          onChange={onChange}
          error={error}
        />
      );
    case 'day':
      return (
        <Opening>
          <DayPick label={label} value={text} onChange={onChange} error={error} />
        </Opening>
      );
    case 'flag':
      return (
        <Tick checked={value === true} onChange={onChange}>
          {ask.label}
        </Tick>
      );
    case 'choice':
      return (
        <RadioGroup value={text || null} onChange={onChange}>
          <Name>{label}</Name>
          <Choices>
            {ask.options.map((option) => (
              <Radio key={option.value} value={option.value}>
                {option.label}
              </Radio>
            ))}
          </Choices>
          {error && <WrongText role="alert">{error}</WrongText>}
        </RadioGroup>
      );
    case 'several':
      return (
        <CheckboxGroup value={Array.isArray(value) ? value : []} onChange={onChange}>
          <Name>{label}</Name>
          <Choices>
            {ask.options.map((option) => (
              <Checkbox key={option.value} value={option.value}>
                {option.label}
              </Checkbox>
            ))}
          </Choices>
          {error && <WrongText role="alert">{error}</WrongText>}
        </CheckboxGroup>
      );
  }
}

/** Only what was entered. */
export function given(values: Entered): Entered {
  return Object.fromEntries(
    Object.entries(values).filter(
      ([, value]) =>
        value !== '' && value !== false && value !== undefined && !(Array.isArray(value) && value.length === 0),
    ),
  );
}
