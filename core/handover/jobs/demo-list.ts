import { say } from '../../base/words/demo';

/** The demo house as it is listed. */
export const DEMO_HOUSE = { id: 'alder-court-12', name: 'Alder Court 12' } as const;

/** The jobs of the demo house as they are listed: without the jobs, which are loaded when one is opened. */
export const DEMO_LIST = [
  {
    id: 'sunroom-plant-shelf',
    name: 'Sunroom plant shelf',
    says: say('list.sunroom'),
  },
  { id: 'hall-console', name: 'Hall console', says: say('list.hall') },
  {
    id: 'attic-hatch-switch',
    name: 'Attic hatch switch',
    says: say('list.attic'),
  },
  {
    id: 'laundry-counter',
    name: 'Laundry counter',
    says: say('list.laundry'),
  },
  {
    id: 'porch-soffit',
    name: 'Porch soffit',
    says: say('list.porch'),
  },
  { id: 'stair', name: 'Stair', says: say('list.stair') },
  {
    id: 'den-media-wall',
    name: 'Den media wall',
    says: say('list.den'),
  },
  { id: 'landing-three-switches', name: 'Landing with three switches', says: say('list.landing') },
] as const;
