// Made by `npm run words` from en/shell.json: change that file, not this one.
import { speaker } from '@core/base/words/speak';

export const { say, tell } = speaker({
  "root.splitTap": () => "Split Tap",
  "root.turnsWhatEachOutletHalf": () => "Turns what each outlet half, light and switch should do into verified wiring.",
  "root.openingJob": () => "Opening the job …",
  "root.notFound": () => "Not found",
  "root.somethingBroke": () => "Something broke",
  "root.nothingAddress": () => "There is nothing at this address.",
  "root.yourJobsKeptBrowserWere": () => "Your jobs are kept in this browser and were not touched. Reload, or go back to the home page.",
  "root.homePage": () => "Home page",
  "notFound.notHereSplitTap": () => "Not here · Split Tap",
  "notFound.noPageAddress": () => "There is no page at this address",
  "notFound.jobsBrowserDemoHouseHome": () => "The jobs of this browser, and the demo house, are on the home page.",
  "notFound.homePage": () => "Home page",
});
