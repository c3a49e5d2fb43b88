// Made by `npm run words` from en/workers.json: change that file, not this one.
import { speaker } from '@core/base/words/speak';

export const { say, tell } = speaker({
  "noAnswer.couldNotLoaded": () => "it could not be loaded",
  "noAnswer.noAnswer": () => "it gives no answer",
  "noAnswer.faultProgram": () => "a fault of the program",
});
