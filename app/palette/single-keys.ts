const KEPT = 'single keys';

/** Whether single letters do something on this device: whoever dictates turns them off (WCAG 2.2, 2.1.4). */
export function singleKeys(): boolean {
  try {
    return localStorage.getItem(KEPT) !== 'off';
  } catch {
    return true;
  }
}

export function setSingleKeys(on: boolean): void {
  try {
    localStorage.setItem(KEPT, on ? 'on' : 'off');
  } catch {
    // Private windows may forbid storage: the keys then stay as they are.
  }
}
