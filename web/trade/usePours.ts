import { useQuery } from '@tanstack/react-query';
import { shelfQuery } from '../api/queries';

type Poured = { fluid?: number; container?: number };

/** What may be poured: a fluid, out of the one that is open of it; out of one of several that are open; or out of a new one. */
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
    ...firstOfEachSize(containers.filter(({ opened_on: opened }) => opened === null)).map(
      ({ id: container, size }) => ({ value: `in ${container}`, label: `${name}, a new ${size}` }),
    ),
  ]);
  return { choices: [{ value: '', label: 'not said' }, ...choices], poured: pouredFrom };
}

function firstOfEachSize<Container extends { size: string }>(containers: Container[]): Container[] {
  return containers.filter(({ size }, index) => containers.findIndex((other) => other.size === size) === index);
}

export function pouredFrom(chosen: string): Poured {
  if (chosen === '') return {};
  return chosen.startsWith('in ') ? { container: Number(chosen.slice(3)) } : { fluid: Number(chosen) };
}
