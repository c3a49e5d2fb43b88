/** What of the page's style a drawing needs to look the same without it. */
const PROPERTIES = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'stroke-linecap',
  'stroke-linejoin',
  'stroke-opacity',
  'opacity',
  'font-family',
  'font-size',
  'font-weight',
  'text-anchor',
  'dominant-baseline',
] as const;

/**
 * A drawing of the page as one that stands alone: in ink on white, with its styles written into it, without what only
 * ears and fingers need. Text stays text.
 */
export function standalone(drawing: SVGSVGElement): SVGSVGElement {
  const root = document.documentElement;
  const theme = root.dataset['theme'];
  const copy = drawing.cloneNode(true) as SVGSVGElement;
  // Paper is light, whatever the screen is; nothing is painted in between.
  root.dataset['theme'] = 'light';
  try {
    const from = [drawing, ...drawing.querySelectorAll<SVGElement>('*')];
    const to = [copy, ...copy.querySelectorAll<SVGElement>('*')];
    to.forEach((element, at) => {
      const shown = from[at];
      if (!shown) return;
      const style = getComputedStyle(shown);
      if (style.display === 'none' || style.visibility === 'hidden') {
        element.remove();
        return;
      }
      for (const name of ['class', 'style', 'tabindex', 'role', 'aria-label', 'aria-hidden', 'data-theme'])
        element.removeAttribute(name);
      for (const name of PROPERTIES) {
        const value = style.getPropertyValue(name);
        if (value !== '') element.setAttribute(name, value);
      }
    });
  } finally {
    if (theme === undefined) delete root.dataset['theme'];
    else root.dataset['theme'] = theme;
  }
  const { width, height } = drawing.viewBox.baseVal;
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('width', String(width));
  copy.setAttribute('height', String(height));
  return copy;
}

/** The text of an SVG file. */
export const svgText = (drawing: SVGSVGElement): string =>
  `<?xml version="1.0" encoding="UTF-8"?>\n${new XMLSerializer().serializeToString(standalone(drawing))}\n`;

/** The same as a picture on white, so many times its size. */
export async function pngOf(drawing: SVGSVGElement, times = 3): Promise<Uint8Array> {
  const own = standalone(drawing);
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(new XMLSerializer().serializeToString(own))}`;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(image.width * times);
  canvas.height = Math.round(image.height * times);
  const context = canvas.getContext('2d');
  if (!context) throw new Error('no canvas');
  context.fillStyle = '#fff';
  context.fillRect(0, 0, canvas.width, canvas.height);
  context.drawImage(image, 0, 0, canvas.width, canvas.height);
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
  if (!blob) throw new Error('no picture');
  return new Uint8Array(await blob.arrayBuffer());
}
