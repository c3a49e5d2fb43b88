import { expose } from 'comlink';
import { answers, plannedAll } from './answers';
import type { DayRoom } from './day-room';
import type { DrillRoom } from './drill-room';
import type { FieldTests } from './field-tests';
import type { OptionSearch } from './option-search';

type Study = typeof import('@core/site/survey/study').study;
type HandOver = typeof import('@core/site/survey/hand-over').handOver;
type Ways = typeof import('@core/code/protection/strategies').protectionStrategies;

/** All that takes longer than a tap: one file, of which each use starts a worker of its own and loads what it needs. */
let searching: Promise<OptionSearch> | null = null;
const options = () => (searching ??= import('./option-search').then(({ optionSearch }) => optionSearch()));

let testing: Promise<FieldTests> | null = null;
const field = () => (testing ??= import('./field-tests').then(({ fieldTests }) => fieldTests()));

let daying: Promise<DayRoom> | null = null;
const days = () => (daying ??= import('./day-room').then(({ dayRoom }) => dayRoom()));

type HouseRoom = typeof import('./house-room');
const house = () => import('./house-room');

type FileRoom = typeof import('./file-room');
type GlanceRoom = typeof import('./glance-room');
type PacketRoom = typeof import('./packet-room');

let drilling: Promise<DrillRoom> | null = null;
const drills = () => (drilling ??= import('./drill-room').then(({ drillRoom }) => drillRoom()));

const worker = {
  ...answers(),
  bringJob: async (...asked: Parameters<FileRoom['bringJob']>) =>
    (await import('./file-room')).bringJob(...asked),
  bringHouse: async (...asked: Parameters<FileRoom['bringHouse']>) =>
    (await import('./file-room')).bringHouse(...asked),
  study: async (...asked: Parameters<Study>) => (await import('@core/site/survey/study')).study(...asked),
  handOver: async (...asked: Parameters<HandOver>) =>
    (await import('@core/site/survey/hand-over')).handOver(...asked),
  ways: async (...asked: Parameters<Ways>) =>
    (await import('@core/code/protection/strategies')).protectionStrategies(...asked),
  search: async (...asked: Parameters<OptionSearch['search']>) => (await options()).search(...asked),
  cancel: async () => (await options()).cancel(),
  testScript: async (...asked: Parameters<FieldTests['script']>) => (await field()).script(...asked),
  findFault: async (...asked: Parameters<FieldTests['find']>) => (await field()).find(...asked),
  cancelTests: async () => (await field()).cancel(),
  faultDrill: async (...asked: Parameters<DrillRoom['faultDrill']>) => (await drills()).faultDrill(...asked),
  isFound: async (...asked: Parameters<DrillRoom['isFound']>) => (await drills()).isFound(...asked),
  spared: async (...asked: Parameters<DrillRoom['spared']>) => (await drills()).spared(...asked),
  wallDrill: async (...asked: Parameters<DrillRoom['wallDrill']>) => (await drills()).wallDrill(...asked),
  wallShows: async (...asked: Parameters<DrillRoom['wallShows']>) => (await drills()).wallShows(...asked),
  bestAtWall: async () => (await drills()).bestAtWall(),
  makeUpDrill: async (...asked: Parameters<DrillRoom['makeUpDrill']>) =>
    (await drills()).makeUpDrill(...asked),
  judgeMakeUp: async (...asked: Parameters<DrillRoom['judgeMakeUp']>) =>
    (await drills()).judgeMakeUp(...asked),
  makeUpHint: async (...asked: Parameters<DrillRoom['makeUpHint']>) => (await drills()).makeUpHint(...asked),
  houseEffects: async (...asked: Parameters<HouseRoom['houseEffects']>) =>
    (await house()).houseEffects(...asked),
  plannedAll,
  houseTakeOff: async (...asked: Parameters<HouseRoom['houseTakeOff']>) =>
    (await house()).houseTakeOff(...asked),
  planDay: async (...asked: Parameters<DayRoom['plan']>) => (await days()).plan(...asked),
  dayOut: async (...asked: Parameters<DayRoom['out']>) => (await days()).out(...asked),
  daySheets: async (...asked: Parameters<DayRoom['sheets']>) => (await days()).sheets(...asked),
  checkOffDay: async (...asked: Parameters<DayRoom['checkOff']>) => (await days()).checkOff(...asked),
  dayStops: async (...asked: Parameters<DayRoom['stops']>) => (await days()).stops(...asked),
  cancelDay: async () => (await days()).cancel(),
  packets: async (...asked: Parameters<PacketRoom['packets']>) =>
    (await import('./packet-room')).packets(...asked),
  netlist: async (...asked: Parameters<PacketRoom['netlist']>) =>
    (await import('./packet-room')).netlist(...asked),
  calendar: async (...asked: Parameters<PacketRoom['calendar']>) =>
    (await import('./packet-room')).calendar(...asked),
  readFile: async (...asked: Parameters<FileRoom['readFile']>) =>
    (await import('./file-room')).readFile(...asked),
  writeFile: async (...asked: Parameters<FileRoom['writeFile']>) =>
    (await import('./file-room')).writeFile(...asked),
  glanceAt: async (...asked: Parameters<GlanceRoom['glanceAt']>) =>
    (await import('./glance-room')).glanceAt(...asked),
  glanceAtDemo: async (...asked: Parameters<GlanceRoom['glanceAtDemo']>) =>
    (await import('./glance-room')).glanceAtDemo(...asked),
  optionSketches: async (...asked: Parameters<GlanceRoom['optionSketches']>) =>
    (await import('./glance-room')).optionSketches(...asked),
  startSketches: async () => (await import('./glance-room')).startSketches(),
  boxToTry: async () => (await import('./glance-room')).boxToTry(),
  cancelDrill: async () => (await drills()).cancelDrill(),
};
export type CoreWorker = typeof worker;

expose(worker);
