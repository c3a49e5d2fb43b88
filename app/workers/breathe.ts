/** Lets a message that has come in be heard: a cancel, or a newer question. */
export const breathe = () => new Promise<void>((resolve) => setTimeout(resolve));
