import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { useParams } from 'react-router';
import { machineQuery } from '../api/queries';
import { useOverlay } from '../notes/overlay';

/** The machine that the address names. */
export function useMachine() {
  const id = Number(useParams().machine);
  const { ofLine } = useOverlay();
  const { data, ...rest } = useQuery(machineQuery(id));
  const sheet = useMemo(() => data && { ...data, line: ofLine(data.line) }, [data, ofLine]);
  return { ...rest, data: sheet };
}
