/** The demo house as it is listed. */
export const DEMO_HOUSE = { id: 'alder-court-12', name: 'Alder Court 12' } as const;

/** The jobs of the demo house as they are listed: without the jobs, which are loaded when one is opened. */
export const DEMO_LIST = [
  {
    id: 'sunroom-plant-shelf',
    name: 'Sunroom plant shelf',
    says: 'Grow lamps on the switched half, a humidifier on the other.',
  },
  { id: 'hall-console', name: 'Hall console', says: 'An always-on outlet tapped from the hall switch.' },
  {
    id: 'attic-hatch-switch',
    name: 'Attic hatch switch',
    says: 'The same request at a two-wire loop: the answer is no.',
  },
  {
    id: 'laundry-counter',
    name: 'Laundry counter',
    says: 'A combination device with GFCI in a one-gang box, 20 A.',
  },
  {
    id: 'porch-soffit',
    name: 'Porch soffit',
    says: 'Seasonal lights from the hall; the protection where it can be reached.',
  },
  { id: 'stair', name: 'Stair', says: 'Two 3-ways, one beside a receptacle, and a light.' },
  {
    id: 'den-media-wall',
    name: 'Den media wall',
    says: 'One duplex on two circuits: multiwire, common trip.',
  },
  { id: 'landing-three-switches', name: 'Landing with three switches', says: 'A 4-way between two 3-ways.' },
] as const;
