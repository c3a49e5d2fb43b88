import { say } from '~/words/glossary';

/** A stroke or a part of a small picture, in a field of 90 by 90. */
export type Mark =
  | { readonly draw: 'B' | 'W' | 'R' | 'G' | 'line' | 'plum' | 'dash' | 'dash2'; readonly d: string }
  | {
      readonly draw:
        | 'box'
        | 'dev'
        | 'well'
        | 'fill'
        | 'jacket'
        | 'brass'
        | 'silver'
        | 'green'
        | 'dark'
        | 'lamp'
        | 'btn'
        | 'open'
        | 'dot'
        | 'clock'
        | 'cap';
      readonly at: readonly number[];
    };

/** A word of the trade, with what it means in two lines and a picture (common practice). */
export interface Term {
  readonly id: string;
  readonly name: string;
  /** As it may stand in a sentence, parted by bars. */
  readonly forms: string;
  readonly says: string;
  readonly picture: readonly Mark[];
}

export const TERMS: readonly Term[] = [
  {
    id: 'pigtail',
    name: say('terms.pigtailName'),
    forms: say('terms.pigtailForms'),
    says: say('terms.pigtailSays'),
    picture: [
      { draw: 'B', d: 'M20 12V44' },
      { draw: 'B', d: 'M44 12V44' },
      { draw: 'B', d: 'M32 56V80H60' },
      { draw: 'box', at: [18, 42, 28, 16] },
      { draw: 'brass', at: [66, 80] },
    ],
  },
  {
    id: 'splice',
    name: say('terms.spliceName'),
    forms: say('terms.spliceForms'),
    says: say('terms.spliceSays'),
    picture: [
      { draw: 'B', d: 'M16 12V40' },
      { draw: 'B', d: 'M32 12V40' },
      { draw: 'B', d: 'M48 12V40' },
      { draw: 'box', at: [10, 40, 44, 20] },
    ],
  },
  {
    id: 'tab',
    name: say('terms.tabName'),
    forms: say('terms.tabForms'),
    says: say('terms.tabSays'),
    picture: [
      { draw: 'brass', at: [32, 26] },
      { draw: 'brass', at: [32, 70] },
      { draw: 'line', d: 'M32 34V44M32 52V62' },
      { draw: 'plum', d: 'M26 46l12 4' },
    ],
  },
  {
    id: 'traveler',
    name: say('terms.travelerName'),
    forms: say('terms.travelerForms'),
    says: say('terms.travelerSays'),
    picture: [
      { draw: 'B', d: 'M18 24H62' },
      { draw: 'R', d: 'M18 40H62' },
      { draw: 'dev', at: [4, 14, 14, 40] },
      { draw: 'dev', at: [62, 14, 14, 40] },
    ],
  },
  {
    id: 'common',
    name: say('terms.commonName'),
    forms: say('terms.commonForms'),
    says: say('terms.commonSays'),
    picture: [
      { draw: 'dev', at: [26, 14, 24, 64] },
      { draw: 'dark', at: [58, 62] },
      { draw: 'brass', at: [20, 26] },
      { draw: 'brass', at: [58, 26] },
      { draw: 'B', d: 'M66 62H82' },
    ],
  },
  {
    id: 'switch-leg',
    name: say('terms.switchLegName'),
    forms: say('terms.switchLegForms'),
    says: say('terms.switchLegSays'),
    picture: [
      { draw: 'dev', at: [10, 30, 20, 40] },
      { draw: 'B', d: 'M30 50H60' },
      { draw: 'lamp', at: [68, 50] },
    ],
  },
  {
    id: 'switch-loop',
    name: say('terms.switchLoopName'),
    forms: say('terms.switchLoopForms'),
    says: say('terms.switchLoopSays'),
    picture: [
      { draw: 'lamp', at: [24, 24] },
      { draw: 'B', d: 'M20 34V70' },
      { draw: 'W', d: 'M28 34V70' },
      { draw: 'dev', at: [14, 66, 20, 20] },
    ],
  },
  {
    id: 'feed',
    name: say('terms.feedName'),
    forms: say('terms.feedForms'),
    says: say('terms.feedSays'),
    picture: [
      { draw: 'B', d: 'M28 8V40' },
      { draw: 'W', d: 'M36 8V40' },
      { draw: 'G', d: 'M44 8V40' },
      { draw: 'well', at: [14, 36, 44, 46] },
    ],
  },
  {
    id: 'line',
    name: say('terms.lineName'),
    forms: say('terms.lineForms'),
    says: say('terms.lineSays'),
    picture: [
      { draw: 'dev', at: [26, 10, 24, 70] },
      { draw: 'brass', at: [58, 66] },
      { draw: 'B', d: 'M66 66H84' },
    ],
  },
  {
    id: 'load-side',
    name: say('terms.loadSideName'),
    forms: say('terms.loadSideForms'),
    says: say('terms.loadSideSays'),
    picture: [
      { draw: 'dev', at: [26, 10, 24, 70] },
      { draw: 'brass', at: [58, 24] },
      { draw: 'B', d: 'M66 24H84' },
    ],
  },
  {
    id: 'gfci',
    name: say('terms.gfciName'),
    forms: say('terms.gfciForms'),
    says: say('terms.gfciSays'),
    picture: [
      { draw: 'dev', at: [24, 8, 32, 76] },
      { draw: 'line', d: 'M34 22v10M46 24v8M34 66v10M46 68v8' },
      { draw: 'btn', at: [30, 42] },
      { draw: 'btn', at: [42, 42] },
    ],
  },
  {
    id: 'afci',
    name: say('terms.afciName'),
    forms: say('terms.afciForms'),
    says: say('terms.afciSays'),
    picture: [
      { draw: 'B', d: 'M10 46H34' },
      { draw: 'plum', d: 'M36 46l6-10 4 18 6-14 4 10' },
      { draw: 'B', d: 'M58 46H82' },
    ],
  },
  {
    id: 'dual-function',
    name: say('terms.dualFunctionName'),
    forms: say('terms.dualFunctionForms'),
    says: say('terms.dualFunctionSays'),
    picture: [
      { draw: 'dev', at: [24, 8, 32, 76] },
      { draw: 'btn', at: [30, 42] },
      { draw: 'btn', at: [42, 42] },
      { draw: 'plum', d: 'M28 24l6-6 4 10 6-8 4 6' },
    ],
  },
  {
    id: 'multiwire',
    name: say('terms.multiwireName'),
    forms: say('terms.multiwireForms'),
    says: say('terms.multiwireSays'),
    picture: [
      { draw: 'B', d: 'M14 20H78' },
      { draw: 'R', d: 'M14 44H78' },
      { draw: 'W', d: 'M14 68H78' },
    ],
  },
  {
    id: 'shared-neutral',
    name: say('terms.sharedNeutralName'),
    forms: say('terms.sharedNeutralForms'),
    says: say('terms.sharedNeutralSays'),
    picture: [
      { draw: 'W', d: 'M10 46H80' },
      { draw: 'B', d: 'M10 24H46V40' },
      { draw: 'R', d: 'M10 68H46V52' },
    ],
  },
  {
    id: 'common-trip',
    name: say('terms.commonTripName'),
    forms: say('terms.commonTripForms'),
    says: say('terms.commonTripSays'),
    picture: [
      { draw: 'dev', at: [20, 20, 22, 50] },
      { draw: 'dev', at: [46, 20, 22, 50] },
      { draw: 'plum', d: 'M26 36H62' },
    ],
  },
  {
    id: 'box-fill',
    name: say('terms.boxFillName'),
    forms: say('terms.boxFillForms'),
    says: say('terms.boxFillSays'),
    picture: [
      { draw: 'well', at: [20, 14, 48, 70] },
      { draw: 'fill', at: [20, 44, 48, 40] },
    ],
  },
  {
    id: 'bootleg',
    name: say('terms.bootlegName'),
    forms: say('terms.bootlegForms'),
    says: say('terms.bootlegSays'),
    picture: [
      { draw: 'dev', at: [26, 12, 26, 70] },
      { draw: 'silver', at: [20, 30] },
      { draw: 'green', at: [20, 66] },
      { draw: 'W', d: 'M14 30V66' },
    ],
  },
  {
    id: 'ghost',
    name: say('terms.ghostName'),
    forms: say('terms.ghostForms'),
    says: say('terms.ghostSays'),
    picture: [
      { draw: 'B', d: 'M14 28H80' },
      { draw: 'dash', d: 'M14 56H80' },
    ],
  },
  {
    id: 'floating',
    name: say('terms.floatingName'),
    forms: say('terms.floatingForms'),
    says: say('terms.floatingSays'),
    picture: [
      { draw: 'dash', d: 'M14 46H60' },
      { draw: 'open', at: [68, 46] },
    ],
  },
  {
    id: 'reversed',
    name: say('terms.reversedName'),
    forms: say('terms.reversedForms'),
    says: say('terms.reversedSays'),
    picture: [
      { draw: 'B', d: 'M12 28C40 28 44 62 76 62' },
      { draw: 'W', d: 'M12 62C40 62 44 28 76 28' },
    ],
  },
  {
    id: 'three-way',
    name: say('terms.threeWayName'),
    forms: say('terms.threeWayForms'),
    says: say('terms.threeWaySays'),
    picture: [
      { draw: 'dev', at: [28, 12, 24, 70] },
      { draw: 'dark', at: [60, 66] },
      { draw: 'brass', at: [20, 26] },
      { draw: 'brass', at: [60, 26] },
    ],
  },
  {
    id: 'four-way',
    name: say('terms.fourWayName'),
    forms: say('terms.fourWayForms'),
    says: say('terms.fourWaySays'),
    picture: [
      { draw: 'dev', at: [28, 12, 24, 70] },
      { draw: 'brass', at: [20, 26] },
      { draw: 'brass', at: [20, 66] },
      { draw: 'dark', at: [60, 26] },
      { draw: 'dark', at: [60, 66] },
    ],
  },
  {
    id: 'combination',
    name: say('terms.combinationName'),
    forms: say('terms.combinationForms'),
    says: say('terms.combinationSays'),
    picture: [
      { draw: 'dev', at: [24, 8, 32, 76] },
      { draw: 'btn', at: [34, 22] },
      { draw: 'line', d: 'M34 54v12M46 56v8' },
    ],
  },
  {
    id: 'continuous',
    name: say('terms.continuousName'),
    forms: say('terms.continuousForms'),
    says: say('terms.continuousSays'),
    picture: [{ draw: 'clock', at: [46, 46] }],
  },
  {
    id: 'tape',
    name: say('terms.tapeName'),
    forms: say('terms.tapeForms'),
    says: say('terms.tapeSays'),
    picture: [
      { draw: 'W', d: 'M10 46H80' },
      { draw: 'dash2', d: 'M38 46H50' },
    ],
  },
  {
    id: 'tester',
    name: say('terms.testerName'),
    forms: say('terms.testerForms'),
    says: say('terms.testerSays'),
    picture: [
      { draw: 'dev', at: [20, 26, 50, 42] },
      { draw: 'dot', at: [32, 40] },
      { draw: 'dot', at: [45, 40] },
      { draw: 'dot', at: [58, 40] },
    ],
  },
  {
    id: 'non-contact',
    name: say('terms.nonContactName'),
    forms: say('terms.nonContactForms'),
    says: say('terms.nonContactSays'),
    picture: [
      { draw: 'B', d: 'M10 70H80' },
      { draw: 'dev', at: [40, 16, 12, 42] },
      { draw: 'plum', d: 'M36 60l6 6M56 60l-6 6' },
    ],
  },
  {
    id: 'lever',
    name: say('terms.leverName'),
    forms: say('terms.leverForms'),
    says: say('terms.leverSays'),
    picture: [
      { draw: 'box', at: [16, 34, 56, 28] },
      { draw: 'line', d: 'M26 34V22M44 34V22M62 34V22' },
      { draw: 'B', d: 'M26 62V84' },
      { draw: 'B', d: 'M44 62V84' },
    ],
  },
  {
    id: 'twist-on',
    name: say('terms.twistOnName'),
    forms: say('terms.twistOnForms'),
    says: say('terms.twistOnSays'),
    picture: [
      { draw: 'cap', at: [30, 20] },
      { draw: 'B', d: 'M38 56V84' },
      { draw: 'B', d: 'M48 56V84' },
    ],
  },
  {
    id: 'half-switched',
    name: say('terms.halfSwitchedName'),
    forms: say('terms.halfSwitchedForms'),
    says: say('terms.halfSwitchedSays'),
    picture: [
      { draw: 'dev', at: [24, 8, 32, 76] },
      { draw: 'line', d: 'M34 22v10M46 24v8' },
      { draw: 'fill', at: [26, 46, 28, 36] },
    ],
  },
  {
    id: 'nm-b',
    name: say('terms.nmBName'),
    forms: say('terms.nmBForms'),
    says: say('terms.nmBSays'),
    picture: [
      { draw: 'jacket', at: [10, 30, 40, 30] },
      { draw: 'B', d: 'M50 36H82' },
      { draw: 'W', d: 'M50 45H82' },
      { draw: 'G', d: 'M50 54H82' },
    ],
  },
];
