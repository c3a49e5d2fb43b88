// Made by `npm run words` from en/energize.json: change that file, not this one.
import { speaker } from './speak';

export const { say, tell } = speaker({
  "instruments.openGround": () => "open ground",
  "instruments.openNeutral": () => "open neutral",
  "instruments.openHot": () => "open hot",
  "instruments.hotGroundSwapped": () => "hot and ground swapped",
  "instruments.hotNeutralSwapped": () => "hot and neutral swapped",
  "instruments.notLegend": () => "not in the legend",
  "instruments.correct": () => "correct",
});
