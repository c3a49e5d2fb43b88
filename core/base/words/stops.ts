// Made by `npm run words` from en/stops.json: change that file, not this one.
import { plural } from '@messageformat/runtime';
import { en, speaker, type Text } from './speak';

export const { say, tell } = speaker({
  "stop.allOn": (d: { count: number }) => '' + plural(d.count, 0, en, { one: "The breaker may", other: "All breakers may" }) + " be on as the work stands.",
  "stop.allOff": (d: { count: number }) => "Leave " + plural(d.count, 0, en, { one: "the breaker", other: "all breakers" }) + " of this job off and locked.",
  "stop.some": (d: { on: Text; off: Text }) => "On: circuit " + d.on + ". Off and locked: circuit " + d.off + ".",
  "circuit.on": (d: { number: Text }) => "Circuit " + d.number + " may be on.",
  "circuit.after": (d: { number: Text }) => "Circuit " + d.number + " stays off, or first:",
  "circuit.off": (d: { number: Text }) => "Circuit " + d.number + " stays off and locked.",
  "why.bareEnd": (d: { box: Text; ends: Text }) => '' + d.box + ": " + d.ends + " would hang bare and live",
  "why.openBox": (d: { box: Text }) => '' + d.box + " would stand open with live conductors in it",
  "why.noGround": (d: { box: Text }) => '' + d.box + ": the metal box is not bonded yet",
  "why.halfWired": (d: { part: Text }) => '' + d.part + ": its hot is there, its neutral is not yet",
  "why.notKnown": (d: { box: Text }) => '' + d.box + " is to be changed and nothing is ticked there: what is joined in it is not known. If nobody has touched it, it is as you found it.",
  "first.cap": (d: { box: Text; ends: Text }) => '' + d.box + ": cap " + d.ends,
  "first.cover": (d: { box: Text }) => '' + d.box + ": put a cover on",
  "end.pigtail": (d: { color: Text }) => '' + d.color + " pigtail",
  "end.lead": () => "the device's own lead",
});
