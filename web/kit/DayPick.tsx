import { type CalendarDate, parseDate } from '@internationalized/date';
import {
  Button,
  Calendar,
  CalendarCell,
  CalendarGrid,
  DateInput,
  DatePicker,
  DateSegment,
  Group,
  Heading,
  Popover,
} from 'react-aria-components';
import styled from 'styled-components';
import { FieldHelp, FieldName, FieldWrong } from './fieldParts';
import { PHONE } from './theme';

const Frame = styled(DatePicker)`display: flex; flex-direction: column; gap: 4px; min-width: 0;`;
const Box = styled(Group)`
  display: grid; grid-template-columns: minmax(0, 1fr) 44px; min-height: 44px; background: var(--sheet);
  border: 2px solid var(--ink); border-radius: 3px;
  ${PHONE} { min-height: 52px; }
  &[data-invalid] { border-color: var(--clay); }
  .react-aria-DateInput { display: flex; align-items: center; padding: 0 10px; }
  .react-aria-DateSegment { padding: 2px 3px; border-radius: 2px; outline: none; }
  .react-aria-DateSegment[data-placeholder] { color: var(--soft); }
  .react-aria-DateSegment[data-focused] { background: var(--hedge); color: var(--on-hedge); }
  > button { border: 0; border-left: 1px solid var(--rule); background: none; cursor: pointer; }
`;
const Card = styled(Popover)`
  background: var(--sheet); border: 2px solid var(--ink); border-radius: 3px; padding: 14px;
  header { display: flex; justify-content: space-between; align-items: center; padding-bottom: 8px; }
  header button { border: 0; background: none; min-width: 44px; min-height: 44px; font-size: 22px; cursor: pointer; }
  h2 { font-size: 18px; }
  table { border-collapse: collapse; }
  th { font-weight: 600; font-size: 14px; color: var(--soft); padding-bottom: 4px; }
  .react-aria-CalendarCell { width: 44px; height: 44px; display: grid; place-items: center; cursor: pointer; border-radius: 3px; outline: none; }
  .react-aria-CalendarCell[data-outside-month] { display: none; }
  .react-aria-CalendarCell[data-disabled] { color: var(--soft); cursor: default; }
  .react-aria-CalendarCell[data-hovered] { background: var(--paper); }
  .react-aria-CalendarCell[data-selected] { background: var(--hedge); color: var(--on-hedge); font-weight: 700; }
  .react-aria-CalendarCell[data-focus-visible] { outline: 3px solid var(--slate); }
`;

type Props = {
  label: string;
  /** As `2026-05-01`, or nothing. */
  value: string;
  onChange: (day: string) => void;
  error?: string;
  help?: string;
  /** The last day there is. */
  max?: string;
};

/** A day, typed in the yard's order or picked off a calendar whose weeks begin on Monday. */
export default function DayPick({ label, value, onChange, error, help, max }: Props) {
  return (
    <Frame
      data-day
      value={read(value)}
      onChange={(day) => onChange(day?.toString() ?? '')}
      maxValue={max ? parseDate(max) : undefined}
      isInvalid={error !== undefined}
      validationBehavior="aria"
      firstDayOfWeek="mon"
    >
      <FieldName>{label}</FieldName>
      <Box>
        <DateInput>{(segment) => <DateSegment segment={segment} />}</DateInput>
        <Button aria-label={`${label}: calendar`}>
          <svg width="20" height="20" viewBox="0 0 20 20" fill="none" stroke="currentColor" aria-hidden="true">
            <path d="M3 4.5h14v12.5H3zM3 8.5h14M7 2v4M13 2v4" strokeWidth="1.6" />
          </svg>
        </Button>
      </Box>
      {help && <FieldHelp>{help}</FieldHelp>}
      <FieldWrong>{error}</FieldWrong>
      <Card>
        <Calendar>
          <header>
            <Button slot="previous">‹</Button>
            <Heading />
            <Button slot="next">›</Button>
          </header>
          <CalendarGrid>{(date) => <CalendarCell date={date} />}</CalendarGrid>
        </Calendar>
      </Card>
    </Frame>
  );
}

function read(day: string): CalendarDate | null {
  return /^\d{4}-\d\d-\d\d$/.test(day) ? parseDate(day) : null;
}
