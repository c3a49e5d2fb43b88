// Made by `npm run words` from en/print.json: change that file, not this one.
import { plural, select, strictNumber } from '@messageformat/runtime';
import { en, speaker, type Text } from '@core/words/speak';

export const { say, tell } = speaker({
  "route.printOneOther": (d: { boxesCount: number }) => "Print " + d.boxesCount + " " + plural(d.boxesCount, 0, en, { one: "page", other: "pages" }),
  "route.backMakeUp": () => "Back to Make up",
  "route.code": (d: { edition: Text }) => '' + d.edition + " code",
  "route.openBox": (d: { name: Text }) => "The open box at " + d.name,
  "route.boxFillTrueOther": (d: { totalIn3: Text; volumeIn3: Text; fits: boolean }) => "Box fill: " + d.totalIn3 + " of " + d.volumeIn3 + " in³" + select(String(d.fits), { true: "", other: " (over-filled)" }),
  "route.rulesWaivedJob": () => "Rules waived for this job",
  "route.deEnergizeLockTagBreaker": () => "De-energize, lock or tag the breaker, prove it dead. Local code and the device’s instructions come first. Code values are from memory: check your adopted edition.",
  "script.title": () => "Test script",
  "script.working": (d: { done: Text; of: Text }) => "Trying every mistake in every place: " + d.done + " of " + d.of + " …",
  "script.starting": () => "Trying every mistake in every place …",
  "script.answer": (d: { steps: number; told: Text }) => '' + plural(d.steps, 0, en, { one: strictNumber("en", d.steps, 0, "steps") + " test tells", other: strictNumber("en", d.steps, 0, "steps") + " tests tell" }) + " every one of " + d.told + " possible mistakes.",
  "script.number": () => "No.",
  "script.where": () => "Where",
  "script.test": () => "Test",
  "script.mustShow": () => "Must show",
  "script.shows": () => "Shows",
  "script.live": () => "live",
  "script.dead": () => "dead",
  "script.look": () => "Look",
  "script.caution": () => "Live tests are for qualified persons with the right meter and gloves. Prove the instrument on a known live source, before and after.",
  "directory.title": () => "Panel directory",
  "directory.circuit": () => "Circuit",
  "directory.breaker": () => "Breaker",
  "directory.serves": () => "Serves",
  "directory.rating": (d: { breakerA: Text; protection: string }) => '' + d.breakerA + " A" + select(String(d.protection), { none: "", gfci: " GFCI", afci: " AFCI", other: " AFCI + GFCI" }),
  "directory.check": () => "Only what this job knows of its circuits (408.4). Other loads of theirs, and circuits of other jobs, are to be added.",
  "directory.house": () => "Local code and the panel’s own labels come first (408.4). Loads that no job names are to be added by hand.",
});
