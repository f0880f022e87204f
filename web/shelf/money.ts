/** A price with the yard's own sign before it: `£31.50`. */
export const money = (amount: string | number | null | undefined, currency: string): string =>
  amount === null || amount === undefined || amount === '' ? '' : `${currency}${amount}`;
