// Made by `npm run words` from en/rooms.json: change that file, not this one.
import { speaker, type Text } from './speak';

export const { say, tell } = speaker({
  "route.upPlateOverDown": (d: { ft: Text; ft2: Text; ft3: Text }) => '' + d.ft + " up to the plate, " + d.ft2 + " over, " + d.ft3 + " down",
  "route.alongWallThroughStudsUp": (d: { ft: Text; holes: Text; ft2: Text }) => '' + d.ft + " along the wall through " + d.holes + " studs, " + d.ft2 + " up or down",
  "route.ft": (d: { round: Text }) => '' + d.round + " ft",
  "spacing.switchTurnsAllOff": () => "a switch turns all of it off",
  "spacing.over5FtUp": () => "it is over 5½ ft up",
  "spacing.insideCabinet": () => "it is inside a cabinet",
});
