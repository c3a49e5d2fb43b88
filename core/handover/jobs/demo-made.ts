import { panelAfter } from '../../choices/house/panel';
import { Design } from '../../job/model/design';
import { House } from '../../job/model/house';
import type { Job } from '../../job/model/job';
import { JobRecord } from '../../job/model/record';
import { measured } from '../../job/rooms/route';
import { DEMO_HOUSE } from './demo-list';
import { LAUNDRY_PHOTO, sizeOf, STAIR_SHEET } from './demo-photo';
import { WORK } from './demo-work';
import { attic, hall, landing, stair } from './demo-halls';
import { den, laundry, porch, sunroom } from './demo-rooms';

/*
 * Alder Court, house 12: an invented two-story house that its owner is freshening up. Nothing in it is real.
 */

const inputs = [sunroom, hall, attic, laundry, porch, stair, den, landing];

/** The design of a job of it, read when it is first asked for: whoever opens one job reads them one by one. */
export function demoJob(id: string): Design | undefined {
  const known = read.get(id);
  const input = inputs.find((one) => one.id === id);
  if (known || !input) return known;
  const design = measured(Design.parse(enteredOf(input)));
  read.set(id, design);
  return design;
}
const read = new Map<string, Design>();
const enteredOf = ({ brief: _, surveys: __, ...design }: (typeof inputs)[number]) => design;

/** What was asked, found and done of each. */
export function demoRecord(id: string): JobRecord {
  const { brief, surveys } = inputs.find((one) => one.id === id) ?? {};
  const photos = demoPhotos.filter(({ job }) => job === id).map(({ photo }) => photo);
  return JobRecord.parse({
    ...(brief ? { brief } : {}),
    ...(surveys ? { surveys } : {}),
    ...WORK[id],
    photos,
  });
}

/** The picture drawn for the job that is half made up. */
const demoPhotos = [
  {
    job: 'laundry-counter',
    photo: {
      id: 'laundry-counter-rough-in',
      at: '2026-05-12T13:30:00.000Z',
      by: 'Mara',
      caption: 'Counter box at rough-in (drawn for the demo)',
      box: 'counter',
      type: 'image/webp' as const,
      bytes: sizeOf(LAUNDRY_PHOTO),
      widthPx: 300,
      heightPx: 375,
      marks: [],
      removed: null,
    },
  },
] as const;

/** The bytes of the pictures: of that photo, and of the sheet of the stair. */
export const demoPictures = [
  { job: 'laundry-counter', id: 'laundry-counter-rough-in', base64: LAUNDRY_PHOTO },
  { job: 'stair', id: 'alder-court-stair-sheet', base64: STAIR_SHEET },
] as const;

/** A demo job whole, as it is first opened. */
export function demoWhole(id: string): Job | undefined {
  const design = demoJob(id);
  return design && { design, record: demoRecord(id) };
}

/** The designs of the invented house. */
export const everyDemoJob = (): readonly Design[] => inputs.flatMap(({ id }) => demoJob(id) ?? []);

/** The house that the demo jobs are in: its panel is what they say of it, and a few circuits more. */
export const houseOfDemo = (): House =>
  everyDemoJob().reduce<House>(
    (house, job) => panelAfter(house, null, job),
    House.parse({
      id: DEMO_HOUSE.id,
      name: DEMO_HOUSE.name,
      site: DEMO_HOUSE.name,
      edition: '2020',
      spaces: 24,
      day: { crew: [{ name: 'Mara' }, { name: 'Theo', qualified: false }], hours: 6 },
      panel: [
        {
          number: '1',
          breakerA: 20,
          leg: 'A',
          serves: 'small appliance',
          label: 'Kitchen counter, left of the sink',
        },
        {
          number: '3',
          breakerA: 20,
          leg: 'B',
          serves: 'small appliance',
          label: 'Kitchen counter, right of the sink',
        },
        {
          number: '5',
          breakerA: 20,
          leg: 'A',
          serves: 'bathroom',
          label: 'Bathroom receptacles, upstairs and downstairs',
        },
      ],
      people: [
        { id: 'mara', name: 'Mara', role: 'journeyman' },
        { id: 'theo', name: 'Theo', role: 'apprentice' },
      ],
    }),
  );
