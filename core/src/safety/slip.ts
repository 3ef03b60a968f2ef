/** So soon after it was answered, a form that is taken back or answered anew was a slip; later what it said yes to counts. */
export const SLIP_MINUTES = 10;
