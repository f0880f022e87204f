import { FieldError, Label } from 'react-aria-components';
import styled from 'styled-components';

/** What stands round every field: its name above, help below, and what is wrong with it. */
export const FieldName = styled(Label)`font-size: 15px;`;
export const FieldHelp = styled.span`font-size: 15px; color: var(--soft);`;
export const FieldWrong = styled(FieldError)`font-size: 15px; color: var(--clay); font-weight: 600;`;
