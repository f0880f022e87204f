import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { machineQuery } from '../api/queries';

/** The machine that the address names. */
export function useMachine() {
  const id = Number(useParams().machine);
  return useQuery(machineQuery(id));
}
