import { useLayoutEffect } from 'react';
import { useStable } from './use-stable';

/**
 * Escape closes what stands over the page from the moment it is seen. The dialogs of the kit listen some turns later; where
 * they have heard it themselves, or what stands over them has, nothing is done twice.
 */
export function useEscape(onClose: () => void): void {
  const close = useStable(onClose);
  useLayoutEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.key === 'Escape' && !event.defaultPrevented) close();
    };
    document.addEventListener('keydown', press);
    return () => document.removeEventListener('keydown', press);
  }, [close]);
}
