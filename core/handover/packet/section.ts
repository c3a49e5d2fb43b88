/*
 * A packet is said once, as sections of plain blocks; a page, a PDF and the command line each show them in their way.
 */

export type Block =
  | { readonly kind: 'text'; readonly text: string; readonly strong?: boolean }
  | { readonly kind: 'list'; readonly items: readonly string[] }
  | {
      readonly kind: 'table';
      readonly head: readonly string[];
      readonly rows: readonly (readonly string[])[];
    }
  /** The drawing of an open box, by its id. */
  | { readonly kind: 'drawing'; readonly box: string; readonly title: string }
  | { readonly kind: 'photo'; readonly photo: string; readonly says: readonly string[] }
  /** A sheet that the work starts from: its picture by its id, what is drawn on an empty one, its pins; all in pixels of it. */
  | {
      readonly kind: 'sheet';
      readonly picture: string | null;
      readonly title: string;
      readonly widthPx: number;
      readonly heightPx: number;
      readonly outlines: readonly (readonly { readonly x: number; readonly y: number }[])[];
      readonly pins: readonly {
        readonly x: number;
        readonly y: number;
        readonly number: number;
        readonly state: 'met' | 'not met' | 'open';
      }[];
    };

export interface Section {
  readonly id: string;
  readonly title: string;
  readonly blocks: readonly Block[];
}

const cell = (text: string): string => text.replaceAll('|', '\\|').replaceAll('\n', ' ');
/** What Markdown would take for markup stays what it is. */
const plain = (text: string): string => text.replace(/[\\`*_{}[\]<>#]/g, '\\$&');

/** Sections as Markdown; drawings and photos by their names. */
export const markdownOf = (title: string, sections: readonly Section[]): string =>
  [
    `# ${plain(title)}`,
    ...sections.map(({ title: own, blocks }) =>
      [`## ${plain(own)}`, ...blocks.map((block) => blockMarkdown(block))].join('\n\n'),
    ),
  ].join('\n\n') + '\n';

function blockMarkdown(block: Block): string {
  switch (block.kind) {
    case 'text':
      return block.strong ? `**${plain(block.text)}**` : plain(block.text);
    case 'list':
      return block.items.map((item) => `- ${plain(item)}`).join('\n');
    case 'table':
      return [
        `| ${block.head.map((one) => cell(plain(one))).join(' | ')} |`,
        `|${block.head.map(() => ' --- ').join('|')}|`,
        ...block.rows.map((row) => `| ${row.map((one) => cell(plain(one))).join(' | ')} |`),
      ].join('\n');
    case 'drawing':
    case 'sheet':
      return `*${plain(block.title)}*`;
    case 'photo':
      return block.says.map(plain).join('\n\n');
  }
}
