// Made by `npm run words` from en/takeoff.json: change that file, not this one.
import { plural, select, strictNumber } from '@messageformat/runtime';
import { en, speaker, type Text } from './speak';

export const { say, tell } = speaker({
  "list.cable": (d: { type: Text }) => '' + d.type + " cable",
  "list.cableRun": (d: { from: Text; to: Text; feet: Text; boxIn: Text; slackIn: Text; total: Text }) => '' + d.from + " to " + d.to + ": " + d.feet + " ft along the route, " + d.boxIn + " in in the box and " + d.slackIn + " in slack before it at each end: " + d.total + " in",
  "list.cableSum": (d: { inches: Text; waste: Text; wasted: Text; feet: Text }) => "Together " + d.inches + " in; with " + d.waste + " % waste " + d.wasted + " in, rounded up to " + d.feet + " ft",
  "list.boxPlain": (d: { family: Text; gangs: Text; volume: Text }) => '' + d.family + " box, " + d.gangs + "-gang, " + d.volume + " in³",
  "list.boxRound": (d: { family: Text; volume: Text }) => '' + d.family + " box, " + d.volume + " in³",
  "list.ring": (d: { volume: Text }) => "Ring or extension, " + d.volume + " in³",
  "list.device": (d: { kind: Text; rating: Text; marks: Text }) => '' + d.kind + ", " + d.rating + " A" + d.marks,
  "list.plate": (d: { gangs: Text; openings: Text }) => "Plate, " + d.gangs + "-gang: " + d.openings,
  "list.opening": (d: { opening: string }) => '' + select(String(d.opening), { duplex: "duplex", toggle: "toggle", decorator: "decorator opening", single: "single round", other: "blank" }),
  "list.cover": (d: { family: Text }) => "Blank cover for the " + d.family + " box",
  "list.noConnector": () => "Connector for more conductors than the list holds",
  "list.connectorWhy": (d: { box: Text; count: number }) => '' + d.box + ": " + plural(d.count, 0, en, { one: strictNumber("en", d.count, 0, "count") + " splice", other: strictNumber("en", d.count, 0, "count") + " splices" }),
  "list.staple": () => "Cable staple",
  "list.stapleRun": (d: { from: Text; to: Text; feet: Text; count: Text }) => '' + d.from + " to " + d.to + ": one near each box, then every 4½ ft of " + d.feet + " ft: " + d.count,
  "list.nailPlate": () => "Nail plate",
  "list.nailPlateRun": (d: { from: Text; to: Text }) => '' + d.from + " to " + d.to + ": a hole nearer than 1¼ in to the edge of a stud",
  "list.tape": () => "Black tape, roll",
  "list.tapeWhy": (d: { count: number }) => '' + plural(d.count, 0, en, { one: strictNumber("en", d.count, 0, "count") + " end", other: strictNumber("en", d.count, 0, "count") + " ends" }) + " of whites used as hots to be marked",
  "list.breaker": (d: { rating: Text; protection: string }) => "Breaker, " + d.rating + " A" + select(String(d.protection), { none: "", gfci: ", GFCI", afci: ", AFCI", other: ", AFCI and GFCI" }),
  "list.breakerWhy": (d: { number: Text }) => "Circuit " + d.number,
  "list.tie": () => "Handle tie",
  "csv.tooLong": (d: { characters: Text; most: Text }) => "the file has " + d.characters + " characters; a price list has at most " + d.most,
  "csv.tooMany": (d: { rows: Text; most: Text }) => "the file has " + d.rows + " rows; a price list has at most " + d.most,
  "csv.noColumns": () => "there are no columns \"item\" and \"price\"",
  "csv.noPrice": (d: { text: Text }) => "\"" + d.text + "\" is no price",
  "csv.wayOut": () => "Write dollars with at most four places, such as 3.25 or 0.4575, without a sign.",
  "csv.columnsWayOut": () => "Export the list once and change the prices in that file.",
  "csv.lessWayOut": () => "Leave out what this shop does not buy.",
});
