// Made by `npm run words` from en/storage.json: change that file, not this one.
import { select } from '@messageformat/runtime';
import { speaker, type Text } from '@core/base/words/speak';

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
  "houses.cannotRead": () => "What is stored of this house cannot be read.",
  "houses.noSuchHouse": () => "This browser has no such house.",
  "houses.home": () => "Go to the home page, or import a house file.",
  "houses.undoTooLate": () => "The house has changed since: look, then undo again if you still want to.",
  "houses.breaker": (d: { number: Text; was: Text; is: Text }) => "Circuit " + d.number + ": breaker " + d.was + " A, on the panel " + d.is + " A",
  "houses.protection": (d: { number: Text; was: string; is: string }) => "Circuit " + d.number + ": breaker type " + select(String(d.was), { none: "standard", gfci: "GFCI", afci: "AFCI", dual: "dual-function", other: d.was }) + ", on the panel " + select(String(d.is), { none: "standard", gfci: "GFCI", afci: "AFCI", dual: "dual-function", other: d.is }),
  "houses.leg": (d: { number: Text; was: Text; is: Text }) => "Circuit " + d.number + ": leg " + d.was + ", on the panel " + d.is,
  "houses.load": (d: { number: Text; was: Text; is: Text }) => "Circuit " + d.number + ": existing load " + d.was + " VA, on the panel " + d.is + " VA",
  "houses.others": (d: { number: Text; VA: Text }) => "Circuit " + d.number + ": other jobs add " + d.VA + " VA",
  "houses.neutral": (d: { number: Text }) => "Circuit " + d.number + ": shared neutral as on the panel",
  "session.full": () => "there is no room left in this browser: the change was not kept",
  "session.fullWayOut": () => "What was stored before is kept and can be read and exported. Make photos smaller, back up and remove old jobs, then try again.",
});
