import { boxFill, countBox } from '../../wiring/boxfill/box-fill';
import { totalVolumeIn3 } from '../../wiring/boxfill/boxes-that-fit';
import { circuitLoad } from '../../power/load/load';
import type { Plan } from '../../wiring/plan';
import type { Proof } from '../../power/proof/prove';
import { shownLog } from '../../job/record/log';
import { checkRules } from '../../code/rules/check';
import { siteOf } from '../../code/rules/site';
import { say } from '../../base/words/packet';
import { partNames, resetName } from './names';
import type { Section } from './section';
import { text, when, type PacketOf } from './packet-of';

/* What was worked out and measured of a job: fill, load, rules, verification, tests. */

export function fill({ design }: PacketOf, { wiring }: Plan): Section {
  return {
    id: 'fill',
    title: say('fill.title'),
    blocks: [
      {
        kind: 'table',
        head: [say('fill.box'), say('fill.counted'), say('fill.volume'), say('fill.fits')],
        rows: design.boxes.map((box) => {
          const own = boxFill(countBox(wiring, box), totalVolumeIn3(box), design.edition);
          return [
            box.name,
            own.totalIn3.toFixed(2),
            own.volumeIn3.toFixed(2),
            say('fill.yes', { fits: own.fits }),
          ];
        }),
      },
    ],
  };
}

export function load({ design }: PacketOf): Section {
  const loads = design.circuits.map((circuit) => circuitLoad(design, circuit));
  const findings = loads.flatMap((one) => one.findings);
  return {
    id: 'load',
    title: say('load.title'),
    blocks: [
      {
        kind: 'table',
        head: [
          say('load.circuit'),
          say('load.existing'),
          say('load.others'),
          say('load.added'),
          say('load.counted'),
          say('load.capacity'),
        ],
        rows: loads.map(({ circuit, existingVA, othersVA, addedVA, countedVA, capacityVA }) => [
          `${circuit.number}, ${circuit.breakerA} A`,
          ...[existingVA, othersVA, addedVA, countedVA, capacityVA].map((va) => String(Math.round(va))),
        ]),
      },
      ...(findings.length === 0
        ? []
        : [
            {
              kind: 'list' as const,
              items: findings.map(({ message, section }) => `${message} (${section})`),
            },
          ]),
    ],
  };
}

export function rules({ design, record }: PacketOf, plan: Plan): Section {
  const found = checkRules(siteOf(plan).withRecord(record));
  return {
    id: 'rules',
    title: say('rules.title', { edition: design.edition }),
    blocks: [
      found.length === 0
        ? text(say('rules.none'))
        : {
            kind: 'table',
            head: [say('rules.rule'), say('rules.weight'), say('rules.what'), say('rules.section')],
            rows: found.map(({ rule, severity, message, section }) => [
              rule,
              say('rules.severity', { severity }),
              message,
              section,
            ]),
          },
      ...(design.amendments.length === 0
        ? []
        : [
            text(say('rules.waived'), true),
            {
              kind: 'table' as const,
              head: [say('rules.rule'), say('rules.reason')],
              rows: design.amendments.map(({ rule, reason }) => [rule, reason]),
            },
          ]),
      text(say('rules.memory')),
    ],
  };
}

export function verification({ design }: PacketOf, proof: Proof): Section {
  const names = partNames(design);
  const covered = [...proof.coverage].map(([device, parts]) => [
    resetName(design, device),
    parts
      .map((key) => names.get(key) ?? '')
      .filter(Boolean)
      .join('; '),
  ]);
  return {
    id: 'verification',
    title: say('verification.title'),
    blocks: [
      text(
        proof.findings.length === 0
          ? say('verification.good', { states: proof.statesTried })
          : say('verification.bad', { count: proof.findings.length }),
        true,
      ),
      ...(proof.parts.some(({ exhaustive }) => !exhaustive) ? [text(say('verification.sampled'))] : []),
      ...(proof.findings.length === 0
        ? []
        : [{ kind: 'list' as const, items: proof.findings.map(({ message }) => message) }]),
      ...(covered.length === 0
        ? []
        : [
            {
              kind: 'table' as const,
              head: [say('verification.button'), say('verification.covers')],
              rows: covered,
            },
          ]),
    ],
  };
}

export function tests({ design, record }: PacketOf): Section {
  const done = shownLog(design, record).filter(
    ({ entry: { kind } }) => kind === 'test' || kind === 'reading',
  );
  return {
    id: 'tests',
    title: say('tests.title'),
    blocks: [
      done.length === 0
        ? text(say('tests.none'))
        : {
            kind: 'table',
            head: [say('log.time'), say('log.who'), say('log.what')],
            rows: done.map(({ entry: { at, by, says } }) => [when(at), by, says]),
          },
    ],
  };
}
