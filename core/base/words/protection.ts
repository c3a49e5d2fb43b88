// Made by `npm run words` from en/protection.json: change that file, not this one.
import { plural, select } from '@messageformat/runtime';
import { en, speaker, type Text } from './speak';

export const { say, tell } = speaker({
  "needs.tamperResistant40612": () => "tamper-resistant, 406.12",
  "needs.weatherResistant4069": () => "weather-resistant, 406.9",
  "needs.useCover4069B": () => "in-use cover, 406.9(B)",
  "needs.dampCover4069": () => "damp cover, 406.9(A)",
  "strategies.twoPole": (d: { protection: Text }) => "two-pole " + d.protection,
  "strategies.breakerCircuitTrueOther": (d: { word: Text; circuitsCount: boolean; numbers: Text }) => '' + d.word + " breaker on circuit" + select(String(d.circuitsCount), { true: "s", other: "" }) + " " + d.numbers,
  "strategies.whatFollowsOneOtherLoad": (d: { namesCount: number }) => ", what follows on " + plural(d.namesCount, 0, en, { one: "its", other: "their" }) + " LOAD side",
  "strategies.receptacle": (d: { kind: Text; names: Text; onLoad: Text }) => '' + d.kind + " receptacle at " + d.names + d.onLoad,
  "strategies.receptacleEach": (d: { words: Text; bareCount: Text }) => '' + d.words + " receptacle at each of " + d.bareCount,
  "needs.afciRoom": (d: { kind: Text }) => '' + d.kind + ", 210.12",
});
