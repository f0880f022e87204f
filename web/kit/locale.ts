/** The language and the order of days in which the yard writes, here as in the sentences that it sends. */
export const YARD_LOCALE = 'en-GB';
