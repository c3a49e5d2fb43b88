// Made by `npm run words` from en/packet.json: change that file, not this one.
import { speaker, type Text } from '@core/base/words/speak';

export const { say, tell } = speaker({
  "route.packet": (d: { job: Text }) => '' + d.job + ": packet",
  "route.owner": (d: { job: Text }) => '' + d.job + ": for the owner",
  "route.for": () => "For",
  "route.inspector": () => "The inspector",
  "route.ownerShort": () => "The owner",
  "route.savePdf": () => "Save as PDF",
  "route.making": () => "Making the PDF …",
  "route.print": () => "Print",
  "route.calendar": () => "Calendar reminders",
  "route.nothingToRemind": () => "Nothing here is tested monthly, and no inspection date is set.",
  "route.noPdf": () => "The PDF was not made",
  "route.printInstead": () => "Print instead: the sheets are the same.",
  "route.puttingTogether": () => "Putting the packet together …",
  "pdf.footer": (d: { title: Text }) => '' + d.title + " · Split Tap",
  "pdf.page": (d: { number: Text; pages: Text }) => "Page " + d.number + " of " + d.pages,
  "section.drawing": (d: { place: Text; kind: Text }) => '' + d.place + " as " + d.kind,
  "route.netlist": () => "SPICE netlist",
});
