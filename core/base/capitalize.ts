/** The first letter large: for what begins a line. */
export const capitalize = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
