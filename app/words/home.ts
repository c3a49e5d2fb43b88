// Made by `npm run words` from en/home.json: change that file, not this one.
import { speaker, type Text } from '@core/words/speak';

export const { say, tell } = speaker({
  "route.splitTapFromWhatShould": () => "Split Tap: from what it should do to verified wiring",
  "route.noFileChosen": () => "no file was chosen",
  "route.fileMbJobFileMost": (d: { fileCount: Text; maxfilecharacters: Text }) => "the file has " + d.fileCount + " MB; a job file has at most " + d.maxfilecharacters + " MB",
  "route.chooseFileSplitTapExported": () => "Choose a file that Split Tap exported.",
  "route.splitTap": () => "Split Tap",
  "route.enterWhatEachOutletHalf": () => "Enter what each outlet half, light and switch should do.",
  "route.splitTapWorksOutCable": () => "Split Tap works out the cable, splices, pigtails and tabs, verifies them in every switch state, and gives the make-up step by step. Everything stays in this browser.",
  "route.newJob": () => "New job",
  "route.tables": () => "Tables",
  "route.yourJobs": () => "Your jobs",
  "route.changed": (d: { value: Text }) => "changed " + d.value,
  "route.notKnownWhenChanged": () => "not known when it was changed",
  "route.demoHouseAlderCourt12": () => "Demo house: Alder Court 12",
  "route.nothingImported": () => "Nothing was imported",
  "route.importJobFile": () => "Import a job file",
  "route.jobFile": () => "Job file",
  "route.remove": (d: { name: Text }) => "Remove " + d.name,
  "route.removeFromBrowserExportFirst": (d: { name: Text }) => "Remove \"" + d.name + "\" from this browser? Export it first if you may need it.",
  "route.drills": () => "Drills",
});
