import type { ReactNode } from 'react';
import { Input, TextArea, TextField } from 'react-aria-components';
import styled, { css } from 'styled-components';
import { FieldHelp, FieldName, FieldWrong } from './fieldParts';
import { PHONE } from './theme';

const box = css`
  width: 100%; min-height: 44px; padding: 8px 12px; background: var(--sheet); color: var(--ink);
  border: 2px solid var(--ink); border-radius: 3px;
  ${PHONE} { min-height: 52px; }
  &[data-invalid] { border-color: var(--clay); }
`;

export const FieldFrame = styled(TextField)`display: flex; flex-direction: column; gap: 4px; min-width: 0;`;
const Box = styled(Input)`${box}`;
const Area = styled(TextArea)`${box} min-height: 76px; resize: vertical;`;

export type FieldProps = {
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
    <FieldFrame value={value} onChange={onChange} isInvalid={error !== undefined} validationBehavior="aria">
      <FieldName>{label}</FieldName>
      {lines ? <Area /> : <Box type={type} {...input} />}
      {help && <FieldHelp>{help}</FieldHelp>}
      <FieldWrong>{error}</FieldWrong>
    </FieldFrame>
  );
}

/** What is wrong, where no single field is at fault. */
export const WrongText = styled.span`font-size: 15px; color: var(--clay); font-weight: 600;`;

export const Fields = styled.div<{ $columns?: number }>`
  display: grid; gap: 16px;
  grid-template-columns: repeat(${({ $columns = 1 }) => $columns}, minmax(0, 1fr)); align-items: start;
  ${PHONE} { grid-template-columns: minmax(0, 1fr); }
`;
