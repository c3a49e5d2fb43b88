// Made by `npm run words` from en/load.json: change that file, not this one.
import { speaker, type Text } from './speak';

export const { say, tell } = speaker({
  "headroom.whatCircuitLeft": (d: { number: Text }) => "what circuit " + d.number + " has left",
  "headroom.n80CircuitOneAppliance": () => "80 % of the circuit for one appliance",
  "headroom.receptacle": (d: { ratingA: Text }) => "a " + d.ratingA + " A receptacle",
  "load.circuitCarriesVaBreakerAllows": (d: { number: Text; plainVA: Text; breakerA: Text; capacityVA: Text }) => "Circuit " + d.number + " carries " + d.plainVA + " VA; its " + d.breakerA + " A breaker allows " + d.capacityVA + " VA.",
  "load.continuousLoad125CircuitCounts": (d: { number: Text; countedVA: Text; capacityVA: Text }) => "With continuous load at 125 % circuit " + d.number + " counts " + d.countedVA + " VA of " + d.capacityVA + " VA.",
  "load.table21021B3": () => "Table 210.21(B)(3)",
  "load.receptacleMayNotCircuit": (d: { ratingA: Text; breakerA: Text }) => "A " + d.ratingA + " A receptacle may not be on a " + d.breakerA + " A circuit.",
  "load.table21021B2": () => "Table 210.21(B)(2)",
  "load.pluggedOver80Circuit": (d: { amps: Text; number: Text; shareA: Text }) => '' + d.amps + " A plugged in is over 80 % of circuit " + d.number + " (" + d.shareA + " A).",
  "load.pluggedOverReceptacle20Receptacle": (d: { amps: Text; allowedA: Text; ratingA: Text }) => '' + d.amps + " A plugged in is over the " + d.allowedA + " A of a " + d.ratingA + " A receptacle; a 20 A receptacle takes 16 A.",
});
