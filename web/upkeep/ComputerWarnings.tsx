import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { computerMorningQuery } from '../api/queries';
import { usePerson } from '../api/usePerson';
import { Caution } from '../kit/Sheet';

/** What the keeper must know of the computer before anything else; to others nothing. */
export function ComputerWarnings() {
  const isKeeper = usePerson().role === 'keeper';
  const morning = useQuery({ ...computerMorningQuery, enabled: isKeeper });
  const warnings = morning.data?.warnings ?? [];
  return warnings.length === 0 ? null : (
    <Caution style={{ marginBottom: 14 }}>
      {warnings.join(' ')} <Link to="/computer">This computer</Link>
    </Caution>
  );
}
