import { type ReactNode, Suspense } from 'react';

/** Something that is fetched when it is opened; until it is here, nothing is changed under anybody's hands. */
export function Opening({ children }: { children: ReactNode }) {
  return <Suspense fallback={null}>{children}</Suspense>;
}
