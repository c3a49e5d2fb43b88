// Made by `npm run words` from en/roughin.json: change that file, not this one.
import { speaker, type Text } from './speak';

export const { say, tell } = speaker({
  "roughIn.newCable": () => "the new cable",
  "roughIn.newCables": (d: { freshCount: Text }) => '' + d.freshCount + " new cables",
  "roughIn.the": (d: { stapled: Text }) => "the " + d.stapled,
  "roughIn.newCables2": (d: { stapledCount: Text }) => '' + d.stapledCount + " new cables",
  "roughIn.freeConductorLeast6From": (d: { count: Text }) => "Free conductor of " + d.count + ": at least 6 in from the sheath and 3 in past the front; leave 7 to 8 in.",
  "roughIn.n30014CommonPractice": () => "300.14; common practice",
  "roughIn.sheathLeastInsideBoxPast": (d: { count: Text }) => "Sheath of " + d.count + ": at least ¼ in inside the box and past the clamp.",
  "roughIn.stapleWithin8BoxMeasured": (d: { held: Text }) => "Staple " + d.held + " within 8 in of the box, measured along the sheath: one gang, no clamp.",
  "roughIn.stapleWithin12Box": (d: { held: Text }) => "Staple " + d.held + " within 12 in of the box.",
  "roughIn.fishedCableNeedsNoStaples": () => "Fished cable needs no staples; a clamp holds it at the box.",
  "roughIn.mark": (d: { fresh: Text }) => "Mark: " + d.fresh + ".",
  "roughIn.commonPractice": () => "common practice",
  "roughIn.cutBoxLookStudFire": () => "Cut-in box: look for a stud, a fire block and pipes first; wings tight to the board.",
  "roughIn.frontEdgeFlushFinishedWall": () => "Front edge flush with the finished wall; back of it at most ¼ in.",
  "roughIn.ringCoverSquareBoxBefore": () => "Ring or cover on the square box before the board goes on.",
  "roughIn.centerAboveFloor": (d: { heightIn: Text }) => "Center " + d.heightIn + " in above the floor.",
  "roughIn.plan": () => "the plan",
  "roughIn.cutFtFtRunFrom": (d: { types: Text; cutLengthFt: Text; lengthFt: Text; placeName: Text; placeName2: Text }) => "Cut " + d.types + " to " + d.cutLengthFt + " ft: " + d.lengthFt + " ft run from " + d.placeName + " to " + d.placeName2 + " + 14 in at each end + 10 % waste.",
  "roughIn.aboutStaples12FromEach": (d: { staples: Text }) => "About " + d.staples + " staples: 12 in from each box, then at most 4½ ft apart, over the flat face.",
  "roughIn.holesMiddleStud1Wood": (d: { holes: Text }) => '' + d.holes + " holes, in the middle of the stud: 1¼ in of wood to each edge, or a plate.",
  "roughIn.twoCablesNoMoreThan": () => "Two cables: no more than two through one sealed hole.",
  "roughIn.cordNotInWall": (d: { cord: Text }) => '' + d.cord + ": in the open, not through walls, floors or ceilings; a strain relief at each entry",
});
