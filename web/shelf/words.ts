import type { Schemas } from '../api/client';

export const PREFERENCES: { value: Schemas['Preference']; label: string }[] = [
  { value: 'makers', label: "the maker's own where there is one" },
  { value: 'equivalents', label: 'equivalents that will do' },
];

/** `2 × 5 L`, `4`, or what is lacking where nobody knows what it is sold in. */
export const whatToBuy = ({ count, size, amount }: Pick<Schemas['Purchase'], 'count' | 'size' | 'amount'>): string => {
  if (count === null) return amount?.display ?? '';
  return size === null ? `${count}` : `${count} × ${size}`;
};
