import type { Schemas } from '../api/client';
import { Soft } from '../kit/Sheet';

/** How much a compartment takes, as the books write it, the other system in small print. */
export function Capacities({ of }: { of: Schemas['Compartment'] }) {
  if (of.capacities.length === 0) {
    return <Soft>{of.usual ? `usually ${of.usual} (common practice)` : 'not written down'}</Soft>;
  }
  return of.capacities.map(({ kind, written, other, book }) => (
    <span key={`${kind} ${book}`}>
      <strong>{written}</strong> <Soft as="i">{other}</Soft>{' '}
      <Soft>
        {kind}
        {book === 'component' && ', by the component maker'}
      </Soft>
    </span>
  ));
}
