// Made by `npm run words` from en/new.json: change that file, not this one.
import { speaker, type Text } from '@core/base/words/speak';

export const { say, tell } = speaker({
  "route.newJobSplitTap": () => "New job · Split Tap",
  "route.splitTap": () => "Split Tap",
  "route.breaker": () => "Breaker",
  "route.circuitNumber": () => "Circuit number",
  "route.nameJob": () => "Name of the job",
  "route.showMakeUp": () => "Show the make-up",
  "route.inHouse": (d: { house: Text; circuits: Text }) => "In " + d.house + ". On its panel: " + d.circuits + ".",
  "route.whatIsIt": () => "What is it?",
  "route.noSuchStart": () => "there is no such starting point: choose one of the pictures",
  "route.takenForGranted": () => "Taken for granted",
  "route.otherStart": () => "Another starting point",
  "route.openFind": () => "Open Find",
  "route.openTest": () => "Say what you notice",
  "route.openLayOut": () => "Open Lay out",
  "route.circuitNumberOf": (d: { which: Text }) => "Circuit number " + d.which,
  "route.namePlace": () => "Name of the place",
});
