import type { Box, Circuit, Device, RoomKind, Run } from './design';
import type { Survey } from './survey';
import { say } from '../../base/words/model';

/* What the kinds of rooms, surroundings, marks and wiring methods are called. */

type Names<Value extends string> = Readonly<Record<Value, string>>;

export const ROOM_KIND_NAME: Names<RoomKind> = {
  other: say('names.roomOther'),
  bathroom: say('names.bathroom'),
  kitchen: say('names.kitchen'),
  dining: say('names.dining'),
  pantry: say('names.pantry'),
  living: say('names.living'),
  family: say('names.family'),
  den: say('names.den'),
  library: say('names.library'),
  bedroom: say('names.bedroom'),
  sunroom: say('names.sunroom'),
  recreation: say('names.recreation'),
  closet: say('names.closet'),
  hallway: say('names.hallway'),
  stairway: say('names.stairway'),
  laundry: say('names.laundry'),
  garage: say('names.garage'),
  'accessory building': say('names.accessoryBuilding'),
  'basement, finished': say('names.basementFinished'),
  'basement, unfinished': say('names.basementUnfinished'),
  'crawl space': say('names.crawlSpace'),
  attic: say('names.attic'),
  outdoors: say('names.outdoors'),
  boathouse: say('names.boathouse'),
  'wet bar': say('names.wetBar'),
};

export const MARK_NAME: Names<Device['marks'][number]> = {
  'tamper-resistant': say('names.tamperResistant'),
  'weather-resistant': say('names.weatherResistant'),
  'in-use cover': say('names.inUseCover'),
  'damp cover': say('names.dampCover'),
  'no equipment ground': say('names.noEquipmentGround'),
  'gfci protected': say('names.gfciProtected'),
  'listed for receptacles': say('names.listedForReceptacles'),
};

export const DEVICE_COLOR_NAME: Names<NonNullable<Device['color']>> = {
  white: say('names.colorWhite'),
  'light almond': say('names.colorLightAlmond'),
  ivory: say('names.colorIvory'),
  almond: say('names.colorAlmond'),
  gray: say('names.colorGray'),
  brown: say('names.colorBrown'),
  black: say('names.colorBlack'),
};

export const SERVES_NAME: Names<Circuit['serves']> = {
  general: say('names.general'),
  'small appliance': say('names.smallAppliance'),
  laundry: say('names.laundryCircuit'),
  bathroom: say('names.bathroomCircuit'),
  garage: say('names.garageCircuit'),
  individual: say('names.individual'),
};

/** How a breaker, or a device, protects. */
export const EXPOSURE_NAME: Names<Run['rough']['exposure']> = {
  dry: say('names.dry'),
  damp: say('names.damp'),
  wet: say('names.wet'),
  buried: say('names.buried'),
};

export const REACH_NAME: Names<Box['reach']> = {
  open: say('names.reachOpen'),
  ceiling: say('names.reachCeiling'),
  'behind appliance': say('names.behindAppliance'),
  'above reach': say('names.aboveReach'),
  'in cabinet': say('names.inCabinet'),
};

export const FACES_NAME: Names<Box['faces']> = {
  wall: say('names.inWall'),
  'up in a counter': say('names.upCounter'),
  'in a floor': say('names.inFloor'),
  'listed floor or counter box': say('names.listedFloor'),
};

/** A direction: how a cable comes in, where a door or a pin is, whereto something moves. */
export const OUTSIDE_NAME: Names<Survey['outside'][number]> = {
  aluminum: say('names.aluminum'),
  'cloth or rubber': say('names.clothRubber'),
  'knob-and-tube': say('names.knobTube'),
  scorched: say('names.scorched'),
  conduit: say('names.conduit'),
  'armored cable': say('names.armoredCable'),
  'other wiring method': say('names.otherMethod'),
};
