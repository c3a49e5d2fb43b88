// Made by `npm run words` from en/directory.json: change that file, not this one.
import { speaker, type Text } from './speak';

export const { say, tell } = speaker({
  "label.receptacles": (d: { places: Text }) => "receptacles: " + d.places,
  "label.lights": (d: { places: Text }) => "lights: " + d.places,
  "label.fans": (d: { places: Text }) => "fans: " + d.places,
  "label.more": (d: { places: Text; count: Text }) => '' + d.places + " and " + d.count + " more",
  "label.shared": (d: { number: Text }) => "neutral shared with " + d.number,
  "label.existing": () => "loads that this job does not name",
  "label.blank": () => "blank",
  "label.apart": (d: { label: Text; number: Text }) => '' + d.label + " (" + d.number + ")",
});
