import type { QueryKey } from '@tanstack/react-query';
import { required } from './required';

/** Whether an answer has all that the contract of its address promises, as this program knows it. */
export function hasShape([, path]: QueryKey, answer: unknown): boolean {
  const names = required[path as string];
  if (!names) return true;
  const pages = (answer as { pages?: unknown[] } | null)?.pages;
  return (Array.isArray(pages) ? pages : [answer]).every(
    (page) => typeof page === 'object' && page !== null && names.every((name) => name in page),
  );
}
