import { Button, Input } from 'react-aria-components';
import styled from 'styled-components';
import { FieldFrame, type FieldProps } from '../kit/Field';
import { FieldHelp, FieldName, FieldWrong } from '../kit/fieldParts';
import { stepped } from '../offline/stepping';

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
    <FieldFrame value={value} onChange={onChange} isInvalid={error !== undefined} validationBehavior="aria">
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
    </FieldFrame>
  );
}
