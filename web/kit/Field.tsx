import type { ReactNode } from 'react';
import { Button, Input, TextArea, TextField } from 'react-aria-components';
import styled, { css } from 'styled-components';
import { stepped } from '../offline/stepping';
import { FieldHelp, FieldName, FieldWrong } from './fieldParts';
import { PHONE } from './theme';

const box = css`
  width: 100%; min-height: 44px; padding: 8px 12px; background: var(--sheet); color: var(--ink);
  border: 2px solid var(--ink); border-radius: 3px;
  ${PHONE} { min-height: 52px; }
  &[data-invalid] { border-color: var(--clay); }
`;

const Frame = styled(TextField)`display: flex; flex-direction: column; gap: 4px; min-width: 0;`;
const Box = styled(Input)`${box}`;
const Area = styled(TextArea)`${box} min-height: 76px; resize: vertical;`;

type FieldProps = {
  label: string;
  value: string;
  onChange: (value: string) => void;
  /** What is wrong with it, in words. */
  error?: string;
  help?: ReactNode;
  type?: 'text' | 'password' | 'search';
  inputMode?: 'text' | 'decimal' | 'numeric';
  lines?: boolean;
  autoFocus?: boolean;
  autoComplete?: string;
  placeholder?: string;
  name?: string;
  list?: string;
};

/** A labelled field that keeps what was typed and says beside it what is wrong. */
export function Field({ label, value, onChange, error, help, type = 'text', lines, ...input }: FieldProps) {
  return (
    <Frame value={value} onChange={onChange} isInvalid={error !== undefined} validationBehavior="aria">
      <FieldName>{label}</FieldName>
      {lines ? <Area /> : <Box type={type} {...input} />}
      {help && <FieldHelp>{help}</FieldHelp>}
      <FieldWrong>{error}</FieldWrong>
    </Frame>
  );
}

const Stepper = styled.div`
  display: grid; grid-template-columns: 64px minmax(0, 1fr) 64px; border: 2px solid var(--ink); border-radius: 3px;
  background: var(--sheet); min-height: 64px;
  &[data-invalid='true'] { border-color: var(--clay); }
  input { width: 100%; border: 0; background: none; min-height: 60px; font-size: 30px; font-weight: 700; text-align: center; letter-spacing: 0.02em; }
  input::placeholder { font-weight: 400; }
`;
const Step = styled(Button)`
  border: 0; background: none; font-size: 30px; font-weight: 500; cursor: pointer; color: var(--ink);
  &:first-child { border-right: 1px solid var(--rule); } &:last-child { border-left: 1px solid var(--rule); }
`;

type AmountProps = Pick<FieldProps, 'label' | 'value' | 'onChange' | 'error' | 'help' | 'autoFocus'> & {
  unit: string;
  /** What one press of + or − changes: `0.1`, `1/16`. */
  step: string;
  /** Where the steps begin while nothing is typed. */
  from: string;
};

/** A number with large keys beside it for gloves. */
export function Amount({ label, value, onChange, error, help, autoFocus, unit, step, from }: AmountProps) {
  const stepBy = (sign: 1 | -1) => onChange(stepped(value || from, step, sign));
  return (
    <Frame value={value} onChange={onChange} isInvalid={error !== undefined} validationBehavior="aria">
      <FieldName>{unit ? `${label}, ${unit}` : label}</FieldName>
      <Stepper data-invalid={error !== undefined}>
        <Step slot={null} aria-label={`${label} less`} onPress={() => stepBy(-1)} excludeFromTabOrder>
          −
        </Step>
        <Input inputMode="decimal" placeholder={from} autoFocus={autoFocus} autoComplete="off" />
        <Step slot={null} aria-label={`${label} more`} onPress={() => stepBy(1)} excludeFromTabOrder>
          +
        </Step>
      </Stepper>
      {help && <FieldHelp>{help}</FieldHelp>}
      <FieldWrong>{error}</FieldWrong>
    </Frame>
  );
}

/** What is wrong, where no single field is at fault. */
export const WrongText = styled.span`font-size: 15px; color: var(--clay); font-weight: 600;`;

export const Fields = styled.div<{ $columns?: number }>`
  display: grid; gap: 16px;
  grid-template-columns: repeat(${({ $columns = 1 }) => $columns}, minmax(0, 1fr)); align-items: start;
  ${PHONE} { grid-template-columns: minmax(0, 1fr); }
`;
