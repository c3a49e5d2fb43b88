/** How long one day is worked on, ms; with improvements to the end of it. */
export const WORKED_MS = 5000;
