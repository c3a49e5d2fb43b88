// Made by `npm run words` from en/storage.json: change that file, not this one.
import { speaker, type Text } from '@core/words/speak';

export const { say, tell } = speaker({
  "jobs.noSuchJobBrowser": () => "there is no such job in this browser",
  "jobs.goHomePageImportFile": () => "Go to the home page, or import its file.",
  "jobs.noSuchJob": () => "there is no such job",
  "jobs.lastChangeNow": (d: { entry: Text }) => "the last change is now \"" + d.entry + "\"",
  "jobs.nothingLeftTakeBack": () => "there is nothing left to undo",
  "jobs.jobChangedAnotherTab": (d: { entry: Text }) => "the job was changed in another tab: " + d.entry,
  "jobs.lookThenUndoAgainIf": () => "Look at it, then undo again if that is what you want.",
  "jobs.anotherTabMadePageStill": (d: { stringify: Text; stringify2: Text }) => "another tab made it " + d.stringify + "; this page still showed " + d.stringify2,
  "jobs.whatOtherTabStoredKept": () => "What the other tab stored is kept. Change it again if yours is right.",
  "opened.storageDoesNotAnswer": () => "its storage does not answer",
  "opened.storageBlockedFull": () => "storage is blocked or full",
  "session.couldNotStored": (d: { error: Text }) => "it could not be stored (" + d.error + ")",
  "session.whatStoredBeforeKeptExport": () => "What was stored before is kept. Export the job, then reload the page.",
});
