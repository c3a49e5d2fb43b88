// Made by `npm run words` from en/boxfill.json: change that file, not this one.
import { speaker, type Text } from './speak';

export const { say, tell } = speaker({
  "boxFill.awg": (d: { what: Text; gauge: Text }) => '' + d.what + ", " + d.gauge + " AWG",
  "boxFill.insulatedConductor": () => "insulated conductor",
  "boxFill.insulatedConductors": () => "insulated conductors",
  "boxFill.internalClamps": () => "internal clamps",
  "boxFill.deviceYoke2Each": () => "device on its yoke, 2 each",
  "boxFill.devicesYokes2Each": () => "devices on yokes, 2 each",
  "boxFill.groundsTogether": () => "grounds, together",
  "boxFill.ground": () => "ground",
});
