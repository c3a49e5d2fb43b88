/** Resolves in a turn of its own: what was asked for before is done, and the hand was heard. */
export const aTurn = (): Promise<void> => new Promise((then) => setTimeout(then));
