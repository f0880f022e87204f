/** How far the yard's clock is ahead of this device's, in milliseconds. */
let ahead = 0;

/** Where the yard lies; until that is known, where the device says it is. */
let zone = Intl.DateTimeFormat().resolvedOptions().timeZone;

export function setClock(milliseconds: number): void {
  ahead = milliseconds;
}

export function setZone(name: string): void {
  zone = name;
}

/** The present moment by the yard's clock. Only what a note says of itself is told by the device's. */
export const now = (): Date => new Date(Date.now() + ahead);

/** A moment that this device's clock told, by the yard's. */
export const byYard = (at: string | number): Date => new Date(new Date(at).getTime() + ahead);

export const yardZone = (): string => zone;
