import { isShared } from '../../job/model/wiring';
import { looseContact, openContact } from '../network/disturbance';
import { say } from '../../base/words/faults';
import { disturbed, type FaultRow, type Placed, type Wired } from './fault';
import { Places, type Contact } from './places';

/** Ω of a loose contact: in the middle of what is met (0.5 to 5, common practice). */
const LOOSE_OHMS = 2;

const atContacts = (
  wired: Wired,
  ask: (contact: Contact, places: Places) => boolean,
  put: (contact: Contact) => Placed['put'] = ({ end }) => disturbed(openContact(end)),
): Placed[] => {
  const places = new Places(wired);
  return places.contacts
    .filter((contact) => ask(contact, places))
    .map((contact) => ({
      key: contact.end,
      box: contact.box,
      points: [contact.end],
      place: contact.place,
      put: put(contact),
    }));
};

/** The neutral that two hots share. */
const shared = ({ role, domain }: Contact): boolean =>
  role === 'neutral' && domain !== null && isShared(domain);

/** The LINE neutral screw of a device that protects. */
const lineNeutral = ({ at }: Contact, { devices }: Places): boolean =>
  devices.some(
    ({ kind, terminal }) => kind.protection !== undefined && terminal(kind.protection.line.neutral) === at,
  );

export const OPEN_FAULTS: readonly FaultRow[] = [
  {
    id: 'F06',
    name: say('f06.name'),
    shows: say('f06.shows'),
    hides: '',
    fix: say('f06.fix'),
    byHand: say('byHand.pull'),
    weight: 5,
    where: (wired) =>
      atContacts(
        wired,
        (contact, places) => contact.role === 'neutral' && !shared(contact) && !lineNeutral(contact, places),
      ),
  },
  {
    id: 'F07',
    name: say('f07.name'),
    shows: say('f07.shows'),
    hides: '',
    fix: say('f07.fix'),
    byHand: say('byHand.pull'),
    weight: 5,
    where: (wired) => atContacts(wired, ({ role }) => role !== 'neutral' && role !== 'ground'),
  },
  {
    id: 'F08',
    name: say('f08.name'),
    shows: say('f08.shows'),
    hides: say('f08.hides'),
    fix: say('f08.fix'),
    byHand: say('byHand.ground'),
    weight: 4,
    where: (wired) => atContacts(wired, ({ role }) => role === 'ground'),
  },
  {
    id: 'F19',
    name: say('f19.name'),
    shows: say('f19.shows'),
    hides: say('f19.hides'),
    fix: say('f19.fix'),
    byHand: say('byHand.pull'),
    weight: 2,
    where: (wired) => atContacts(wired, shared),
  },
  {
    id: 'F27',
    name: say('f27.name'),
    shows: say('f27.shows'),
    hides: say('f27.hides'),
    fix: say('f27.fix'),
    byTug: true,
    byHand: say('byHand.loose'),
    weight: 3,
    where: (wired) =>
      atContacts(
        wired,
        ({ role }) => role !== 'ground',
        ({ end }) => disturbed(looseContact(end, LOOSE_OHMS)),
      ),
  },
  {
    id: 'F30',
    name: say('f30.name'),
    shows: say('f30.shows'),
    hides: '',
    fix: say('f30.fix'),
    byHand: say('byHand.pull'),
    weight: 2,
    where: (wired) => atContacts(wired, lineNeutral),
  },
];
