/** However busy the page is, after so long it is done all the same. */
const PATIENCE = 4_000;

/** Does something once the page has been shown and has nothing more pressing to do; gives what takes that back. */
export function whenIdle(what: () => void): () => void {
  if (!('requestIdleCallback' in window)) {
    const timer = setTimeout(what, PATIENCE);
    return () => clearTimeout(timer);
  }
  const asked = requestIdleCallback(what, { timeout: PATIENCE });
  return () => cancelIdleCallback(asked);
}
