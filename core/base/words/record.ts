// Made by `npm run words` from en/record.json: change that file, not this one.
import { select } from '@messageformat/runtime';
import { speaker, type Text } from './speak';

export const { say, tell } = speaker({
  "log.checked": (d: { place: Text; step: Text }) => '' + d.place + ": " + d.step,
  "log.unchecked": (d: { place: Text; step: Text }) => '' + d.place + ": unchecked. " + d.step,
  "log.testRemoved": (d: { says: Text }) => "Reading removed. " + d.says,
  "log.taskNotDone": (d: { says: Text }) => "Not done after all. " + d.says,
  "log.readingRemoved": (d: { name: Text }) => '' + d.name + ": a reading removed",
  "log.reinstated": (d: { rule: Text }) => "Rule " + d.rule + " reinstated",
  "log.waived": (d: { rule: Text; reason: Text }) => "Rule " + d.rule + " waived: " + d.reason,
  "log.photo": (d: { known: boolean; what: Text }) => "Photo added" + select(String(d.known), { true: ": " + d.what, other: "" }),
  "log.photoRemoved": (d: { caption: Text }) => "Photo removed: " + d.caption,
  "log.planChanged": (d: { label: Text }) => "Plan changed: " + d.label,
  "log.undone": (d: { label: Text }) => "Plan changed: undone, " + d.label,
  "log.redone": (d: { label: Text }) => "Plan changed: redone, " + d.label,
  "picture.wayOut": () => "Take it with the camera, or choose a JPEG, PNG or WebP picture.",
  "picture.tooLarge": (d: { mb: Text; most: Text }) => "the picture has " + d.mb + " MB; at most " + d.most + " MB are kept",
  "picture.notPicture": () => "not a JPEG, PNG or WebP picture, whatever its name says",
  "picture.tooManyPixels": (d: { widthPx: Text; heightPx: Text; most: Text }) => "the picture is " + d.widthPx + " × " + d.heightPx + " pixels; a side has 1 to " + d.most,
});
