/** Set by the page's worker (sw.ts) on what it kept from last time, where the kitchen did not answer. */
export const keptHeader = 'Kept-From-Last-Time'
