import { createContext, useContext } from 'react';

export type Opened = 'palette' | 'keys';

/** Opens the palette, or the list of keys. */
export const OpenPalette = createContext<(what: Opened) => void>(() => undefined);
export const useOpenPalette = () => useContext(OpenPalette);
