/** What this device's own clock says, right or wrong. Notes are dated by it, and the yard puts it right; what is shown goes by the yard's. */
export const deviceNow = (): Date => new Date(Date.now());
