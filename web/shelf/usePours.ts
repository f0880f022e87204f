import { useQuery } from '@tanstack/react-query';
import { shelfQuery } from './queries';

type Poured = { fluid?: number; container?: number };

/** What may be poured: a fluid, out of whatever is open of it; or out of one container that is open. */
export function usePours(): { choices: { value: string; label: string }[]; poured: (chosen: string) => Poured } {
  const fluids = useQuery(shelfQuery).data?.supplies.filter(({ kind }) => kind === 'fluid') ?? [];
  const choices = fluids.flatMap(({ id, name, containers }) => [
    { value: `${id}`, label: name },
    ...containers
      .filter(({ opened_on: opened }) => opened !== null)
      .map(({ id: container, size, left }) => ({
        value: `in ${container}`,
        label: `${name}, the open ${size}: ${left.display} left`,
      })),
  ]);
  return { choices: [{ value: '', label: 'not said' }, ...choices], poured: pouredFrom };
}

export function pouredFrom(chosen: string): Poured {
  if (chosen === '') return {};
  return chosen.startsWith('in ') ? { container: Number(chosen.slice(3)) } : { fluid: Number(chosen) };
}
