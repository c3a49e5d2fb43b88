// Made by `npm run words` from en/new.json: change that file, not this one.
import { speaker, type Text } from '@core/words/speak';

export const { say, tell } = speaker({
  "route.newJobSplitTap": () => "New job · Split Tap",
  "route.always": () => "Always on",
  "route.fromSwitch": () => "From the switch",
  "route.splitTap": () => "Split Tap",
  "route.newOutletSwitch": () => "New outlet and switch",
  "route.powerArrives": () => "Power arrives at the",
  "route.switch": () => "Switch",
  "route.outlet": () => "Outlet",
  "route.upperHalf": () => "Upper half",
  "route.lowerHalf": () => "Lower half",
  "route.breaker": () => "Breaker",
  "route.circuitNumber": () => "Circuit number",
  "route.switchOutletFt": () => "Switch to outlet, ft",
  "route.nameJob": () => "Name of the job",
  "route.halfSwitchedOutlet": () => "Half-switched outlet",
  "route.showMakeUp": () => "Show the make-up",
  "route.inHouse": (d: { house: Text; circuits: Text }) => "In " + d.house + ". On its panel: " + d.circuits + ".",
});
