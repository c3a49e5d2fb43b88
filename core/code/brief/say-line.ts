import { placeName, runName } from '../../job/model/called';
import type { Design } from '../../job/model/design';
import { SIDE_NAME } from '../../job/model/names';
import type { PlanLine } from '../../job/model/record';
import { FAMILY_NAME } from '../../trade/standards/names';
import { say } from '../../base/words/brief';
import { ALL_OF_NAME } from './lines-csv';
import { symbolText } from './symbols';

/** What a line of the plan asks, in words, where nobody wrote it down as it stands there; empty for a note. */
export function sayLine(job: Design, about: PlanLine['about']): string {
  switch (about.kind) {
    case 'cable': {
      const run = job.runs.find(({ id }) => id === about.run);
      return say('sayLine.of', { place: run ? runName(job, run) : about.run, what: about.type });
    }
    case 'box': {
      const family = FAMILY_NAME[about.family];
      const box =
        about.volumeIn3 === null ? family : say('sayLine.box', { family, volumeIn3: about.volumeIn3 });
      const what = about.ring === null ? box : say('sayLine.ring', { box, ring: about.ring });
      return say('sayLine.of', { place: placeName(job, about.box), what });
    }
    case 'order':
      return say('sayLine.of', {
        place: placeName(job, about.box),
        what: about.symbols.map(symbolText).join(', '),
      });
    case 'ground pin':
      return say('sayLine.pins', { pin: SIDE_NAME[about.pin] });
    case 'height':
      return say('sayLine.height', { place: placeName(job, about.box), heightIn: about.heightIn });
    case 'all heights':
      return say('sayLine.height', { place: ALL_OF_NAME[about.of], heightIn: about.heightIn });
    case 'note':
      return '';
  }
}
