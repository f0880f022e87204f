import type { ReactNode } from 'react';
import { Button, Group, Input, NumberField } from 'react-aria-components';
import styled from 'styled-components';
import { FieldHelp, FieldName, FieldWrong } from './fieldParts';

const Frame = styled(NumberField)`display: flex; flex-direction: column; gap: 4px; min-width: 0;`;
const Stepper = styled(Group)`
  display: grid; grid-template-columns: 64px minmax(0, 1fr) 64px; border: 2px solid var(--ink); border-radius: 3px;
  background: var(--sheet); min-height: 64px;
  &[data-invalid] { border-color: var(--clay); }
  input { width: 100%; border: 0; background: none; min-height: 60px; font-size: 30px; font-weight: 700; text-align: center; }
  button { border: 0; background: none; font-size: 30px; font-weight: 500; cursor: pointer; }
  button:first-child { border-right: 1px solid var(--rule); }
  button:last-child { border-left: 1px solid var(--rule); }
`;

type Props = {
  label: string;
  /** Nothing while nothing is typed. */
  value: number | null;
  onChange: (value: number | null) => void;
  error?: string;
  help?: ReactNode;
  autoFocus?: boolean;
};

/** How many, with large keys beside it for gloves. What cannot be is kept as it was typed, and said. */
export function Count({ label, value, onChange, error, help, autoFocus }: Props) {
  return (
    <Frame
      value={value ?? Number.NaN}
      onChange={(typed) => onChange(Number.isNaN(typed) ? null : typed)}
      incrementAriaLabel={`${label} more`}
      decrementAriaLabel={`${label} less`}
      isInvalid={error !== undefined}
      validationBehavior="aria"
    >
      <FieldName>{label}</FieldName>
      <Stepper>
        <Button slot="decrement">−</Button>
        <Input autoFocus={autoFocus} />
        <Button slot="increment">+</Button>
      </Stepper>
      {help && <FieldHelp>{help}</FieldHelp>}
      <FieldWrong>{error}</FieldWrong>
    </Frame>
  );
}
