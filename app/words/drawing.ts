// Made by `npm run words` from en/drawing.json: change that file, not this one.
import { select } from '@messageformat/runtime';
import { speaker, type Text } from '@core/words/speak';

export const { say, tell } = speaker({
  "boxFigure.cappedConductor": () => "capped conductor",
  "boxFigure.splice": (d: { splice: Text }) => '' + d.splice + " splice",
  "runSpine.runFromPanelOutward": () => "The run, from the panel outward",
  "runSpine.from": (d: { placeName: Text }) => " · from " + d.placeName,
  "runSpine.ftTrueOther": (d: { lengthFt: Text; existing: boolean; from: Text }) => '' + d.lengthFt + " ft · " + select(String(d.existing), { true: "existing", other: "new" }) + d.from,
  "runSpine.panel": () => "Panel",
  "runSpine.circuit": (d: { number: Text; breakerA: Text }) => "circuit " + d.number + " · " + d.breakerA + " A",
  "runSpine.holdsSplices": () => "holds splices",
  "runSpine.duplexHalfSwitched": () => "duplex, half-switched",
  "runSpine.duplexSwitched": () => "duplex, switched",
  "runSpine.splicesOnly": () => "splices only",
  "screws.broken": () => "broken",
  "symbols.s": () => "S",
  "half.trueOther": (d: { live: boolean }) => ", " + select(String(d.live), { true: "live", other: "dead" }),
  "protectedFace.button": (d: { name: Text }) => '' + d.name + " button",
  "toggle.switch": () => " switch",
});
