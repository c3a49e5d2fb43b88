import { openDatabase } from '~/storage/opened-database';
import { keepStanding, type Shown } from '~/storage/standing';
import { buildNow } from './early';

/** A page that has not changed for so long is kept, ms. */
const STILL_MS = 1500;
/** What lies below so many screens is left out: it is not seen before the page is alive. */
const SCREENS = 2;
/** Signs; more is not worth its reading. */
const MOST = 400_000;

/**
 * Keeps a page as it stands whenever it has come to rest, so that it stands at once when it is opened next. `shown` says
 * what it shows; null while that is not known. Gives ways to say that something it hangs on has changed, and to stop.
 */
export function keepAsItStands(
  page: Element,
  shown: () => Shown | null,
): { readonly again: () => void; readonly stop: () => void } {
  let waiting: ReturnType<typeof setTimeout> | undefined;
  const keep = () => {
    const build = buildNow();
    const what = shown();
    if (!build || !what || page.querySelector('[aria-busy=true]')) return;
    const html = drawnOf(page);
    if (html.length > MOST) return;
    const at = location.pathname + location.search;
    // What cannot be kept is drawn when it is opened, as ever.
    void openDatabase()
      .then(({ database }) => keepStanding(database, { at, build, html }, what))
      .catch(() => undefined);
  };
  const rests = () => {
    clearTimeout(waiting);
    waiting = setTimeout(() => requestIdleCallback(keep), STILL_MS);
  };
  const watching = new MutationObserver(rests);
  watching.observe(page, { childList: true, subtree: true, characterData: true, attributes: true });
  rests();
  return {
    again: rests,
    stop: () => {
      clearTimeout(waiting);
      watching.disconnect();
    },
  };
}

/** What is drawn of a page down to where nobody looks first; what lives only as long as the page is left out. */
const drawnOf = (page: Element): string => copyOf(page, innerHeight * SCREENS - scrollY).innerHTML;

/** Left out: what is gone with the page. */
const PASSING = 'img[src^="blob:"], script, [role="dialog"]';

/** A copy of what begins above a line, drawings whole. */
function copyOf(own: Element, below: number): Element {
  const { bottom } = own.getBoundingClientRect();
  // What is drawn through its children alone has no place of its own.
  const whole =
    own instanceof SVGElement || (bottom > 0 && bottom <= below && own.querySelector(PASSING) === null);
  const copy = own.cloneNode(whole) as Element;
  if (whole) return copy;
  for (const child of own.childNodes) {
    if (!(child instanceof Element)) copy.append(child.cloneNode());
    else if (!child.matches(PASSING) && child.getBoundingClientRect().top <= below)
      copy.append(copyOf(child, below));
  }
  return copy;
}
