import { useQuery } from '@tanstack/react-query';
import type { Schemas } from './client';
import { sessionQuery } from './queries';

/** The signed-in person. */
export function usePerson(): Schemas['Person'] {
  const { data } = useQuery(sessionQuery);
  if (!data?.person) throw new Error('Nobody is signed in.');
  return data.person;
}
