import { options, type VNode } from 'preact';
import { hydrateRoot } from 'react-dom/client';
import { HydratedRouter } from 'react-router/dom';

/**
 * What a page was rendered with is decoded before it is made alive: the router, asked for the first time, throws what there
 * is to wait for, and a document cannot wait in the middle of it.
 */
async function decoded(): Promise<void> {
  try {
    HydratedRouter({});
  } catch (waiting) {
    await waiting;
  }
}

/** In a drawing the names of attributes are told apart by their case, and what the keyboard reaches is written small. */
const before: ((node: VNode) => void) | undefined = options.vnode?.bind(options);
options.vnode = (node) => {
  const given =
    typeof node.type === 'string' ? (node.props as { tabIndex?: number; tabindex?: number }) : undefined;
  if (given?.tabIndex !== undefined) {
    given.tabindex = given.tabIndex;
    delete given.tabIndex;
  }
  before?.(node);
};

/**
 * What follows from what is drawn is done in the next task and not after the next picture: a page that is seen already
 * listens to its keys. (What takes several turns does not: see `ui/use-closing`.)
 */
options.requestAnimationFrame = (then) => void setTimeout(then);

/** The document as what holds the page: given as such, what is rendered would be put into its root element and not be it. */
const whole = {
  nodeType: 1,
  namespaceURI: document.documentElement.namespaceURI,
  ownerDocument: document,
  firstChild: document.documentElement,
  childNodes: [document.documentElement],
  contains: (node: Node) => document.contains(node),
  insertBefore: (node: Node, before: Node | null) => document.insertBefore(node, before),
};

void decoded().then(() => hydrateRoot(whole as unknown as Element, <HydratedRouter />));
