// Made by `npm run words` from en/geometry.json: change that file, not this one.
import { speaker, type Text } from './speak';

export const { say, tell } = speaker({
  "boxDrawing.toThe": (d: { place: Text }) => " to the " + d.place,
  "boxDrawing.end": (d: { tail: Text }) => '' + d.tail + " end",
});
