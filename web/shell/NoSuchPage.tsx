import { useLocation } from 'react-router';
import { NothingHere } from '../kit/NothingHere';
import { PLACES } from '../trade/keys';

/** An address that is none: a page that leads back. */
export function NoSuchPage() {
  const path = useLocation().pathname;
  const place = PLACES.find(({ to }) => path.startsWith(`${to}/`)) ?? PLACES[0];
  return <NothingHere says="There is no page at this address." to={place.to} leadsTo={place.does} />;
}
