import { useQuery } from '@tanstack/react-query';
import styled from 'styled-components';
import { walkQuery } from '../api/queries';
import { QuietButton } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { Fields, WrongText } from '../kit/Field';
import { Soft } from '../kit/Sheet';
import type { RuleDraft } from './ruleDraft';
import { useSpotSuggestions } from './spotChoice';

const Where = styled.div`
  display: flex; flex-direction: column; gap: 8px; border-left: 5px solid var(--hedge); padding: 2px 0 2px 14px;
`;
const Chosen = styled.ul`
  display: flex; flex-wrap: wrap; gap: 6px 18px;
  li { display: flex; gap: 10px; align-items: baseline; }
`;

type Props = {
  machine: number;
  draft: RuleDraft;
  change: (part: Partial<RuleDraft>) => void;
  fields: Record<string, string>;
};

/** Where a task is done. Its words only suggest; the keeper says. */
export function RuleSpots({ machine, draft, change, fields }: Props) {
  const walk = useQuery(walkQuery(machine)).data;
  const [suggestion] = useSpotSuggestions(machine, [{ words: draft.task, kind: draft.kind }]);
  const spots = walk?.spots ?? [];
  const named = (key: string) => spots.find((spot) => spot.key === key)?.name ?? key;
  const checks = walk?.checks.filter(({ spot }) => draft.spots.includes(spot)) ?? [];
  const isTaken = suggestion?.spots.every((key) => draft.spots.includes(key)) ?? true;
  const error = fields.spots ?? Object.entries(fields).find(([field]) => /^(spots|new_spots)\./.test(field))?.[1];
  return (
    <Where role="group" aria-label="Where it is done">
      <Chosen aria-label="Done at">
        {draft.spots.map((key) => (
          <li key={key}>
            <strong>{named(key)}</strong>
            <QuietButton
              aria-label={`Not at ${named(key)}`}
              onPress={() => change({ spots: draft.spots.filter((one) => one !== key), check: '' })}
            >
              leave out
            </QuietButton>
          </li>
        ))}
        {draft.newSpot && (
          <li>
            <strong>{draft.newSpot.name}</strong> <Soft>a new spot</Soft>
            <QuietButton onPress={() => change({ newSpot: null })}>leave out</QuietButton>
          </li>
        )}
        {draft.spots.length === 0 && !draft.newSpot && (
          <li>
            {draft.kind === 'lubricate'
              ? 'At every grease point that has no task of its own.'
              : 'Say where on the machine: that tells what wears it, what can hurt, and what else counts as done.'}
          </li>
        )}
      </Chosen>
      {suggestion && !isTaken && (
        <QuietButton onPress={() => change({ spots: suggestion.spots, newSpot: null })}>
          Yes, at {suggestion.spots.map(named).join(' and ')}
        </QuietButton>
      )}
      {suggestion &&
        suggestion.spots.length === 0 &&
        !suggestion.all_points &&
        !draft.newSpot &&
        draft.spots.length === 0 &&
        draft.task.trim() && (
          <QuietButton onPress={() => change({ newSpot: suggestion.new_spot })}>
            Make a new spot of it: {suggestion.new_spot.name}
          </QuietButton>
        )}
      <Fields $columns={2}>
        <Choice
          label={draft.spots.length === 0 ? 'Done at' : 'And at'}
          value=""
          onChange={(key) => change({ spots: [...draft.spots, key] })}
          options={[
            { value: '', label: 'choose a spot' },
            ...spots
              .filter(({ key }) => !draft.spots.includes(key))
              .map(({ key, name }) => ({ value: key, label: name })),
          ]}
        />
        {checks.length > 0 && (
          <Choice
            label="Only by the check (if so)"
            value={draft.check}
            onChange={(check) => change({ check })}
            options={[
              { value: '', label: 'in whichever way' },
              ...checks.map(({ key, title }) => ({ value: key, label: title })),
            ]}
            error={fields.check}
          />
        )}
      </Fields>
      {error && <WrongText role="alert">{error}</WrongText>}
    </Where>
  );
}
