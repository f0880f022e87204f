import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import type { paths } from '../api/schema';
import { useSettled } from '../kit/useSettled';

export type Suggestion =
  paths['/machines/{machine}/spot-suggestions']['post']['responses']['200']['content']['application/json']['suggestions'][number];

/** Where a task is done, as it is chosen in a list: as its words suggest, at a new spot, or at the spot of that key. */
export type SpotChoice = string;

export const AS_SUGGESTED = '';
export const NEW_SPOT = '+';

type Words = { words: string; kind: Schemas['TaskKind'] };

/** Which spots some words probably mean, asked for once the typing pauses. */
export function useSpotSuggestions(machine: number, tasks: Words[]): Suggestion[] {
  const settled = useSettled(JSON.stringify(tasks), 300);
  const asked = useQuery({
    queryKey: ['machine', machine, 'spot-suggestions', settled],
    queryFn: () =>
      answer(
        api.POST('/machines/{machine}/spot-suggestions', {
          params: { path: { machine } },
          body: { tasks: JSON.parse(settled) as Words[] },
        }),
      ),
    enabled: tasks.some(({ words }) => words.trim() !== ''),
    staleTime: 60_000,
    retry: false,
  });
  return settled === JSON.stringify(tasks) ? (asked.data?.suggestions ?? []) : [];
}

type Named = { key: string; name: string };

/** The likeliest first, then a new spot of that name, then every spot of the machine. */
export function spotOptions(
  suggestion: Suggestion | undefined,
  spots: Named[],
): { value: SpotChoice; label: string }[] {
  const named = suggestion?.spots.map((key) => spots.find((spot) => spot.key === key)?.name ?? key).join(' and ');
  const likely = suggestion?.all_points ? 'every grease point without a task of its own' : named;
  return [
    ...(likely ? [{ value: AS_SUGGESTED, label: likely }] : []),
    ...(suggestion ? [{ value: NEW_SPOT, label: `a new spot: ${suggestion.new_spot.name}` }] : []),
    ...spots.map(({ key, name }) => ({ value: key, label: name })),
  ];
}

/** What is chosen where nobody has chosen yet. */
export const likeliest = (suggestion: Suggestion | undefined): SpotChoice =>
  suggestion && !suggestion.all_points && suggestion.spots.length === 0 ? NEW_SPOT : AS_SUGGESTED;

/** As the contract takes it. */
export function chosenSpots(
  choice: SpotChoice,
  suggestion: Suggestion | undefined,
): Pick<Schemas['RuleChange'], 'spots' | 'new_spots'> {
  if (choice === NEW_SPOT) return { spots: [], new_spots: suggestion ? [suggestion.new_spot] : [] };
  return { spots: choice === AS_SUGGESTED ? (suggestion?.spots ?? []) : [choice] };
}
