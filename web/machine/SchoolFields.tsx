import type { Schemas } from '../api/client';
import { Choice } from '../kit/Choice';
import { Fields } from '../kit/Field';
import { Fold } from '../kit/Fold';

type Props = {
  schools: Schemas['Yard']['schools'];
  chosen: Schemas['Schools'];
  onChange: (chosen: Schemas['Schools']) => void;
};

/** Where keepers differ, and how it is done on this machine. */
export function SchoolFields({ schools, chosen, onChange }: Props) {
  return (
    <Fold label="Where keepers differ" open={false}>
      <Fields $columns={2}>
        {schools.map(({ school, asks, ways }) => (
          <Choice
            key={school}
            label={asks}
            value={chosen[school] ?? ways[0]?.way ?? ''}
            onChange={(way) => onChange({ ...chosen, [school]: way })}
            options={ways.map(({ way, says }) => ({ value: way, label: says }))}
          />
        ))}
      </Fields>
    </Fold>
  );
}
