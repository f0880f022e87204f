import { Button, ListBox, ListBoxItem, Popover, Select, SelectValue } from 'react-aria-components';
import styled, { css } from 'styled-components';
import { FieldName, FieldWrong } from './fieldParts';
import { PHONE } from './theme';

const Frame = styled(Select)`display: flex; flex-direction: column; gap: 4px; min-width: 0;`;
const boxed = css`
  min-height: 44px; padding: 8px 12px; background: var(--sheet); border: 2px solid var(--ink); border-radius: 3px;
  ${PHONE} { min-height: 52px; }
  [data-invalid] > & { border-color: var(--clay); }
`;
const lined = css`
  min-height: 34px; padding: 4px 2px; background: none; border: 0; border-bottom: 1px solid var(--hedge);
  color: var(--hedge); font-size: 15px;
  ${PHONE} { min-height: 48px; }
`;
const Trigger = styled(Button)<{ $quiet: boolean }>`
  ${({ $quiet }) => ($quiet ? lined : boxed)}
  width: 100%; display: flex; justify-content: space-between; align-items: center; gap: 10px; cursor: pointer;
  text-align: left; min-width: 0;
  &[data-focus-visible] { outline: 3px solid var(--slate); outline-offset: 2px; }
  .react-aria-SelectValue { overflow: hidden; text-overflow: ellipsis; white-space: nowrap; min-width: 0; }
`;
const Card = styled(Popover)`
  background: var(--sheet); border: 2px solid var(--ink); border-radius: 3px; min-width: var(--trigger-width);
  max-width: min(560px, 94vw); overflow: auto;
`;
const List = styled(ListBox)`
  outline: none; padding: 4px 0;
  .react-aria-ListBoxItem { padding: 9px 14px; cursor: pointer; outline: none; line-height: 1.25; ${PHONE} { padding: 14px; } }
  .react-aria-ListBoxItem[data-focused] { background: var(--paper); box-shadow: inset 4px 0 var(--hedge); }
  .react-aria-ListBoxItem[data-selected] { font-weight: 700; }
`;

/** A key must be something. */
const NONE = '~';

type Props<T extends string> = {
  label: string;
  value: T;
  onChange: (value: T) => void;
  options: readonly { value: T; label: string }[];
  error?: string;
  /** Stands in a line of words, its label only heard. */
  quiet?: boolean;
};

/** One of several. */
export function Choice<T extends string>({ label, value, onChange, options, error, quiet = false }: Props<T>) {
  return (
    <Frame
      data-choice
      value={value || NONE}
      onChange={(key) => onChange((key === NONE ? '' : key) as T)}
      aria-label={quiet ? label : undefined}
      isInvalid={error !== undefined}
      validationBehavior="aria"
      placeholder=""
    >
      {!quiet && <FieldName>{label}</FieldName>}
      <Trigger $quiet={quiet}>
        <SelectValue />
        <span aria-hidden="true">▾</span>
      </Trigger>
      <FieldWrong>{error}</FieldWrong>
      <Card>
        <List>
          {options.map((option) => (
            <ListBoxItem key={option.value} id={option.value || NONE} textValue={option.label}>
              {option.label}
            </ListBoxItem>
          ))}
        </List>
      </Card>
    </Frame>
  );
}
