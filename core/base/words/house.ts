// Made by `npm run words` from en/house.json: change that file, not this one.
import { speaker, type Text } from './speak';

export const { say, tell } = speaker({
  "circuits.over": (d: { number: Text; plainVA: Text; breakerA: Text; capacityVA: Text }) => "Circuit " + d.number + " carries " + d.plainVA + " VA with all jobs; its " + d.breakerA + " A breaker allows " + d.capacityVA + " VA.",
  "circuits.overContinuous": (d: { number: Text; countedVA: Text; capacityVA: Text }) => "With continuous load at 125 % circuit " + d.number + " counts " + d.countedVA + " VA of " + d.capacityVA + " VA with all jobs.",
  "circuits.partnerMissing": (d: { job: Text; number: Text; partner: Text }) => '' + d.job + " uses circuit " + d.number + ", which shares its neutral with circuit " + d.partner + ": add circuit " + d.partner + " to the job, or its neutral is judged alone.",
});
