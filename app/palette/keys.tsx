import { lazy, Suspense, useEffect, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { toggleTheme } from '~/ui/theme';
import { say } from '~/words/palette';
import { offered, useOffer, type Offer } from './offered';
import { OpenPalette, type Opened } from './open-palette';
import { singleKeys } from './single-keys';

const Palette = lazy(() => import('./palette'));
const KeyList = lazy(() => import('./key-list'));

/** The keyboard, and everything by its name: on every page. */
export function Keys({ children }: { children: React.ReactNode }) {
  const [open, setOpen] = useState<Opened | null>(null);
  const navigate = useNavigate();
  useOffer(
    useMemo((): readonly Offer[] => {
      const page = (id: string, name: string, to: string): Offer => ({
        id,
        name,
        group: 'page',
        act: () => void navigate(to),
      });
      return [
        page('home', say('keys.home'), '/'),
        page('new', say('keys.newJob'), '/new'),
        page('tables', say('keys.tables'), '/tables'),
        page('drills', say('keys.drills'), '/drills'),
        { id: 'theme', name: say('keys.lightDark'), group: 'do', act: toggleTheme },
        {
          id: 'palette',
          name: say('keys.findAnything'),
          group: 'do',
          keys: 'Ctrl+K',
          act: () => setOpen('palette'),
        },
        { id: 'keys', name: say('keys.showKeys'), group: 'do', keys: '?', act: () => setOpen('keys') },
      ];
    }, [navigate]),
  );
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const keys = pressed(event);
      if (keys === null) return;
      const offer = offered().find((one) => one.keys?.toLowerCase() === keys.toLowerCase());
      if (!offer) return;
      event.preventDefault();
      offer.act();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, []);
  return (
    <OpenPalette value={setOpen}>
      {children}
      <Suspense>
        {open === 'palette' ? <Palette onClose={() => setOpen(null)} /> : null}
        {open === 'keys' ? <KeyList onClose={() => setOpen(null)} /> : null}
      </Suspense>
    </OpenPalette>
  );
}

const TYPES = 'input:not([type=checkbox]):not([type=radio]), textarea, select, [contenteditable]';
/** Where arrow keys have a use of their own. */
const WALKS = `${TYPES}, [role=radio], [role=slider], [role=menu], [role=tab], [role=group], summary`;

/** What was pressed, as offers name their keys; null where it belongs to what has the focus. */
function pressed(event: KeyboardEvent): string | null {
  const { key, target } = event;
  const held = event.ctrlKey || event.metaKey;
  if (event.altKey || event.defaultPrevented || event.isComposing) return null;
  const on = target instanceof Element ? target : null;
  const inDialog = on?.closest('[role=dialog], [role=alertdialog]') != null;
  if (held) {
    // A text field undoes its own typing.
    if (key.toLowerCase() === 'z' && on?.closest(TYPES)) return null;
    return `Ctrl+${event.shiftKey ? 'Shift+' : ''}${key}`;
  }
  if (inDialog || on?.closest(TYPES) || !singleKeys()) return null;
  if (key.startsWith('Arrow') && on?.closest(WALKS)) return null;
  return key;
}
