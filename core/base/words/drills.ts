// Made by `npm run words` from en/drills.json: change that file, not this one.
import { speaker, type Text } from './speak';

export const { say, tell } = speaker({
  "code.unreadable": (d: { text: Text }) => "\"" + d.text + "\" is no drill code.",
  "code.wayOut": () => "A code looks like fault-2-k3f9-1a2b-stair. Copy it whole.",
  "code.noJob": (d: { job: Text }) => "The drill was made from the job \"" + d.job + "\", which is not here.",
  "code.noJobWayOut": () => "Import that job first, or take a drill of a job that is here.",
  "code.otherJob": (d: { job: Text }) => "The job \"" + d.job + "\" here is not the one that the drill was made from.",
  "code.otherJobWayOut": () => "Import the job as it was, or take a drill of the job as it is.",
  "hint.place": (d: { end: Text; planned: Text }) => '' + d.end + ": " + d.planned + ".",
});
