import { Choice } from './Choice';
import DayPick from './DayPick';
import { Fields } from './Field';
import { dayBefore } from './format';

type Props = { today: string; value: string; onChange: (day: string) => void; error?: string; label?: string };

/** The day something happened: today, yesterday, or another. Empty means now. */
export function DayField({ today, value, onChange, error, label = 'When' }: Props) {
  const yesterday = dayBefore(today);
  const choice = value === '' ? 'now' : value === yesterday ? 'yesterday' : 'day';
  return (
    <Fields $columns={choice === 'day' ? 2 : 1}>
      <Choice
        label={label}
        value={choice}
        onChange={(chosen) => onChange({ now: '', yesterday, day: dayBefore(yesterday) }[chosen])}
        options={[
          { value: 'now', label: 'Today, just now' },
          { value: 'yesterday', label: 'Yesterday' },
          { value: 'day', label: 'Another day' },
        ]}
        error={choice === 'day' ? undefined : error}
      />
      {choice === 'day' && (
        <DayPick label="Day" max={today} value={value} onChange={(day) => day && onChange(day)} error={error} />
      )}
    </Fields>
  );
}
