import { useState, type ReactNode } from 'react';

/*
 * A page stands before its program does: while the scripts come, what the build has drawn of it is shown, or, where this
 * browser has been here before, what it showed last of the same things (`early.ts`, `keep.ts`). Nothing in it can be tapped
 * but its links; the live page takes its place whole.
 */

/** True once the first page is alive: from then on pages are drawn as ever. */
let awake = false;
export const wake = (): void => {
  awake = true;
};
export const isAwake = (): boolean => awake;

/** What stands now, until it is taken over. */
let standing: Element | null = null;
/** Takes over what stood on this page; null where nothing did. */
export function stood(): Element | null {
  const own = standing;
  standing = null;
  return own;
}

/** Gone from its page, it is there for what takes its place in the same turn, and for no later page. */
function holdStanding(own: Element | null): void {
  const before = standing;
  if (own) standing = own;
  else
    setTimeout(() => {
      if (standing === before) standing = null;
    });
}

/** What is given for the inside of an element that the build has drawn: it is left as it stands. */
export const AS_IT_STANDS = { __html: '' };

/** What stands until the page is alive; `children` are drawn at build, and where a page is opened by a living one. */
export function Standing({ children }: { children?: ReactNode }) {
  const [drawn] = useState(import.meta.env.SSR || awake);
  const given = drawn ? { children } : { dangerouslySetInnerHTML: AS_IT_STANDS };
  return (
    <fieldset disabled data-standing className="contents" ref={drawn ? null : holdStanding} {...given} />
  );
}
