// Made by `npm run words` from en/geometry.json: change that file, not this one.
import { speaker, type Text } from './speak';

export const { say, tell } = speaker({
  "boxDrawing.toThe": (d: { place: Text }) => " to the " + d.place,
  "boxDrawing.hot": (d: { count: Text }) => "hot " + d.count,
  "boxDrawing.neutral": (d: { count: Text }) => "neutral " + d.count,
  "boxDrawing.ground": (d: { count: Text }) => "ground " + d.count,
  "boxDrawing.switched": (d: { count: Text }) => "switched " + d.count,
  "boxDrawing.traveler": (d: { count: Text }) => "traveler " + d.count,
  "contents.loose": () => "loose end",
});
