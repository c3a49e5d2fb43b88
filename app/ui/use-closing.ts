import { useLayoutEffect } from 'react';
import { useStable } from './use-stable';

/**
 * What stands over the page, for as long as it stands: gives what its frame calls when it is closed. Escape closes it from the
 * moment it is seen: the frames of the kit listen some turns later; where they have heard it themselves, or what stands over
 * them has, nothing is done twice.
 */
export function useClosing(onClose: () => void): (open: boolean) => void {
  const close = useStable(onClose);
  useLayoutEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.key === 'Escape' && !event.defaultPrevented) close();
    };
    document.addEventListener('keydown', press);
    return () => document.removeEventListener('keydown', press);
  }, [close]);
  return (open) => {
    if (!open) close();
  };
}
