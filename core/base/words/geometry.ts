// Made by `npm run words` from en/geometry.json: change that file, not this one.
import { speaker, type Text } from './speak';

export const { say, tell } = speaker({
  "boxDrawing.hot": (d: { count: Text }) => "hot " + d.count,
  "boxDrawing.neutral": (d: { count: Text }) => "neutral " + d.count,
  "boxDrawing.ground": (d: { count: Text }) => "ground " + d.count,
  "boxDrawing.switched": (d: { count: Text }) => "switched " + d.count,
  "boxDrawing.traveler": (d: { count: Text }) => "traveler " + d.count,
  "contents.loose": () => "loose end",
  "boxDrawing.lead": (d: { color: Text }) => '' + d.color + " lead",
  "boxDrawing.jumper": (d: { color: Text }) => '' + d.color + " jumper",
  "boxDrawing.leadTo": (d: { color: Text; place: Text }) => '' + d.color + " lead to the " + d.place,
  "boxDrawing.pigtailTo": (d: { color: Text; place: Text }) => '' + d.color + " pigtail to the " + d.place,
  "contents.box": () => "box",
  "contents.neutralBar": () => "N bar",
  "contents.groundBar": () => "G bar",
  "boxDrawing.screwOf": (d: { screw: Text; device: Text }) => '' + d.screw + " of the " + d.device,
});
