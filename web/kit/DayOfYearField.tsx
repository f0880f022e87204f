import { Choice } from './Choice';
import { Field } from './Field';
import { YARD_LOCALE } from './locale';

const months = new Intl.DateTimeFormat(YARD_LOCALE, { month: 'long', timeZone: 'UTC' });
const MONTHS = Array.from({ length: 12 }, (_, month) => ({
  value: String(month + 1).padStart(2, '0'),
  label: months.format(new Date(Date.UTC(2000, month, 1))),
}));

type Props = { label: string; value: string; onChange: (value: string) => void; error?: string };

/** A day of every year, as `03-01`: its number and its month. */
export function DayOfYearField({ label, value, onChange, error }: Props) {
  const [month = '01', day = '01'] = value.split('-');
  return (
    <>
      <Field
        label={`${label} the`}
        inputMode="numeric"
        value={day.replace(/^0/, '')}
        onChange={(typed) => onChange(`${month}-${typed.replace(/\D/g, '').slice(0, 2).padStart(2, '0')}`)}
        error={error}
      />
      <Choice label="of" value={month} onChange={(chosen) => onChange(`${chosen}-${day}`)} options={MONTHS} />
    </>
  );
}
