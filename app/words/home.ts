// Made by `npm run words` from en/home.json: change that file, not this one.
import { plural, strictNumber } from '@messageformat/runtime';
import { en, speaker, type Text } from '@core/base/words/speak';

export const { say, tell } = speaker({
  "route.splitTapFromWhatShould": () => "Split Tap: from what it should do to verified wiring",
  "route.splitTap": () => "Split Tap",
  "route.enterWhatEachOutletHalf": () => "Enter what each outlet half, light and switch should do.",
  "route.splitTapWorksOutCable": () => "Split Tap works out the cable, splices, pigtails and tabs, verifies them in every switch state, and gives the make-up step by step. Everything stays in this browser.",
  "route.newJob": () => "New job",
  "route.tables": () => "Tables",
  "route.importJobFile": () => "Import",
  "route.jobFile": () => "File to import",
  "route.remove": (d: { name: Text }) => "Remove " + d.name,
  "route.removeFromBrowserExportFirst": (d: { name: Text }) => "Remove \"" + d.name + "\"? It can be put back from this page for a day.",
  "route.drills": () => "Drills",
  "route.newHouse": () => "New house",
  "route.houseName": () => "Name of the house",
  "route.makeHouse": () => "Make it",
  "route.standAlone": () => "Jobs in no house",
  "route.jobs": (d: { count: number }) => '' + plural(d.count, 0, en, { one: strictNumber("en", d.count, 0, "count") + " job", other: strictNumber("en", d.count, 0, "count") + " jobs" }),
  "route.demo": () => "demo",
  "route.openHouse": () => "Panel, take-off, sheets",
  "route.houseNeedsName": () => "a house needs a name",
  "route.showAll": (d: { count: Text }) => "Show all " + d.count + " jobs",
  "route.findJob": () => "Find a job",
  "route.placeCircuitDevice": () => "Place, circuit or device",
  "route.nothingFound": (d: { typed: Text }) => "No job has \"" + d.typed + "\" in its name, places, circuits or devices.",
  "route.firstJobHere": () => "First job in this house",
  "jobCards.against": (d: { says: Text; more: Text }) => '' + d.says + " (and " + d.more + " more)",
  "matches.circuit": (d: { number: Text }) => "circuit " + d.number,
  "tryIt.openBox": () => "An open box, energized",
  "tryIt.tapSwitchPlug": () => "Tap the switch. Tap an outlet half to plug in a lamp.",
});
