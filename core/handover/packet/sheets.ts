import { checkPlanLines } from '../../code/brief/check-lines';
import type { Design } from '../../job/model/design';
import type { JobRecord } from '../../job/model/record';
import { tracedOn } from '../../job/sheet/trace';
import type { ShownOutcome } from '../../wiring/plan';
import { say } from '../../base/words/packet';
import type { Section } from './section';

/**
 * Each sheet that the work starts from, with its call-outs numbered as they are on the screen, and how each stands. A sheet on
 * which nothing is pinned and nothing drawn is left out.
 */
export function sheetsInPacket(
  { design, record }: { readonly design: Design; readonly record: JobRecord },
  outcome: ShownOutcome,
): Section[] {
  const checks = checkPlanLines(record.brief, design, outcome);
  return design.sheets.flatMap((sheet): Section[] => {
    const pins = checks.flatMap(({ line, state, why }, index) =>
      line.pin?.sheet === sheet.id ? [{ ...line.pin, number: index + 1, state, says: line.says, why }] : [],
    );
    const outlines = tracedOn(design, sheet).rooms.map(({ corners }) => corners);
    if (pins.length === 0 && (sheet.picture !== null || outlines.length === 0)) return [];
    return [
      {
        id: `sheet-${sheet.id}`,
        title: say('sheets.title', { name: sheet.name }),
        blocks: [
          {
            kind: 'sheet',
            picture: sheet.picture?.id ?? null,
            title: sheet.name,
            widthPx: sheet.widthPx,
            heightPx: sheet.heightPx,
            outlines: sheet.picture ? [] : outlines,
            pins: pins.map(({ x, y, number, state }) => ({ x, y, number, state })),
          },
          ...(pins.length === 0
            ? []
            : [
                {
                  kind: 'table' as const,
                  head: [say('sheets.number'), say('request.line'), say('request.state'), say('request.why')],
                  rows: pins.map(({ number, says, state, why }) => [
                    String(number),
                    says,
                    say('request.met', { state }),
                    why,
                  ]),
                },
              ]),
        ],
      },
    ];
  });
}
