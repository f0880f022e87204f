import type { ReactNode } from 'react';
import { Checkbox, CheckboxGroup } from 'react-aria-components';
import styled, { css } from 'styled-components';
import { FieldName, FieldWrong } from './fieldParts';
import { PHONE } from './theme';

const box = css`
  display: flex; gap: 12px; align-items: center; min-height: 44px; cursor: pointer;
  ${PHONE} { min-height: 48px; }
  &::before {
    content: ''; flex: none; width: 24px; height: 24px; border: 2px solid var(--ink); border-radius: 3px;
    background: var(--sheet);
  }
  &[data-selected]::before { background: var(--hedge); box-shadow: inset 0 0 0 4px var(--sheet); }
  &[data-focus-visible] { outline: 3px solid var(--slate); outline-offset: 2px; }
`;

const Box = styled(Checkbox)`${box}`;

type TickProps = {
  checked: boolean;
  onChange: (checked: boolean) => void;
  children?: ReactNode;
  /** Where nothing stands beside it. */
  label?: string;
  className?: string;
};

/** Yes or no. */
export function Tick({ checked, onChange, children, label, className }: TickProps) {
  return (
    <Box isSelected={checked} onChange={onChange} aria-label={label} className={className}>
      {children}
    </Box>
  );
}

const Frame = styled(CheckboxGroup)`display: flex; flex-direction: column; gap: 0;`;
const Several = styled.div<{ $inLine: boolean }>`
  display: flex; ${({ $inLine }) => ($inLine ? 'flex-wrap: wrap; gap: 0 22px;' : 'flex-direction: column; gap: 6px;')}
`;

type TicksProps<T extends string> = {
  label: string;
  value: T[];
  onChange: (value: T[]) => void;
  options: readonly { value: T; label: string }[];
  error?: string;
  inLine?: boolean;
  /** Its label is only heard. */
  quiet?: boolean;
};

/** Any of several. */
export function Ticks<T extends string>({
  label,
  value,
  onChange,
  options,
  error,
  inLine = false,
  quiet,
}: TicksProps<T>) {
  return (
    <Frame
      value={value}
      onChange={(chosen) => onChange(chosen as T[])}
      isInvalid={error !== undefined}
      validationBehavior="aria"
      aria-label={quiet ? label : undefined}
    >
      {!quiet && <FieldName>{label}</FieldName>}
      <Several $inLine={inLine}>
        {options.map((option) => (
          <Box key={option.value} value={option.value}>
            {option.label}
          </Box>
        ))}
      </Several>
      <FieldWrong>{error}</FieldWrong>
    </Frame>
  );
}
