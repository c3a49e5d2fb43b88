import { checkPlanLines } from '../../code/brief/check-lines';
import { capitalize } from '../../base/capitalize';
import { dayInPacket } from '../day/in-packet';
import { directoryOf } from '../directory/directory';
import { placeName, runName } from '../../job/model/called';
import { placesToMakeUp } from '../../wiring/makeup/panel';
import { makeUpSteps } from '../../wiring/makeup/steps';
import { tickSteps } from '../../wiring/makeup/ticks';
import { planJob, type Plan, type PlanOutcome } from '../../wiring/plan';
import { prove, type Proof } from '../../power/proof/prove';
import { shownLog } from '../../job/record/log';
import { say } from '../../base/words/packet';
import { INSULATION_NAME } from '../../trade/standards/names';
import type { Section } from './section';
import { text, when, type PacketOf } from './packet-of';
import { sheetsInPacket } from './sheets';
import { fill, load, rules, tests, verification } from './checked';

/** What the inspector gets: all of a job, in the order in which it is asked for. */
export function packetOf(of: PacketOf): Section[] {
  const outcome = planJob(of.design);
  const proof = outcome.ok ? prove(of.design, outcome.plan.wiring) : null;
  return [
    cover(of, outcome, proof),
    request(of, outcome),
    ...sheetsInPacket(of, outcome),
    ...(outcome.ok ? drawings(of, outcome.plan) : []),
    ...(outcome.ok ? [fill(of, outcome.plan)] : []),
    load(of),
    ...(outcome.ok ? [rules(of, outcome.plan)] : []),
    ...(proof ? [verification(of, proof)] : []),
    tests(of),
    ...(outcome.ok ? dayInPacket(of, outcome.plan) : []),
    ...photos(of),
    directory(of),
    log(of),
  ];
}

function cover({ design, record, house, at }: PacketOf, outcome: PlanOutcome, proof: Proof | null): Section {
  const open = record.brief.lines.length;
  const rows = [
    [say('cover.site'), design.site],
    [say('cover.house'), house?.house.name ?? ''],
    [
      say('cover.circuits'),
      design.circuits.map(({ number, breakerA }) => `${number} (${breakerA} A)`).join(', '),
    ],
    [say('cover.edition'), say('cover.nec', { edition: design.edition })],
    [
      say('cover.people'),
      (house?.house.people ?? []).map(({ name, role }) => [name, role].filter(Boolean).join(', ')).join('; '),
    ],
    [say('cover.inspection'), house?.house.inspection ?? ''],
    [say('cover.made'), when(at)],
    ...(open > 0 ? [[say('cover.lines'), String(open)]] : []),
  ].filter(([, value]) => value !== '');
  return {
    id: 'cover',
    title: design.name,
    blocks: [
      text(
        !outcome.ok
          ? say('cover.refused', { why: outcome.refusals[0]?.message ?? '' })
          : proof && proof.findings.length === 0
            ? say('cover.verified', { states: proof.statesTried })
            : say('cover.notVerified', { count: proof?.findings.length ?? 0 }),
        true,
      ),
      { kind: 'table', head: [say('cover.what'), say('cover.value')], rows },
      text(say('cover.caution')),
    ],
  };
}

function request({ design, record }: PacketOf, outcome: PlanOutcome): Section {
  const { wish, facts, amendments } = record.brief;
  const lines = checkPlanLines(record.brief, design, outcome);
  return {
    id: 'request',
    title: say('request.title'),
    blocks: [
      text(wish === '' ? say('request.none') : wish),
      ...(facts === '' ? [] : [text(say('request.facts', { facts }))]),
      ...(amendments === '' ? [] : [text(say('request.amendments', { amendments }))]),
      ...(lines.length === 0
        ? []
        : [
            {
              kind: 'table' as const,
              head: [say('request.line'), say('request.state'), say('request.why')],
              rows: lines.map(({ line, state, why }) => [line.says, say('request.met', { state }), why]),
            },
          ]),
    ],
  };
}

function drawings({ design, record }: PacketOf, plan: Plan): Section[] {
  const places = placesToMakeUp(design, plan.wiring);
  return [...places].map((box): Section => {
    const title = capitalize(placeName(design, box));
    const steps = tickSteps(makeUpSteps(plan, box), record.ticks, box);
    return {
      id: `box-${box}`,
      title: say('drawing.title', { place: title }),
      blocks: [
        { kind: 'drawing', box, title },
        {
          kind: 'table',
          head: [say('drawing.step'), say('drawing.what'), say('drawing.done')],
          rows: steps.steps.map(({ step, tick, state }, index) => [
            String(index + 1),
            [step.title, step.detail].filter(Boolean).join(': '),
            tick && state === 'done' ? when(tick.at) : state === 'stale' ? say('drawing.stale') : '',
          ]),
        },
      ],
    };
  });
}

function photos({ design, record }: PacketOf): Section[] {
  const own = record.photos.filter(({ removed }) => removed === null);
  if (own.length === 0) return [];
  return [
    {
      id: 'photos',
      title: say('photos.title'),
      blocks: own.map(({ id, at, by, caption, box, marks }) => ({
        kind: 'photo',
        photo: id,
        says: [
          [caption, box === null ? '' : placeName(design, box), when(at), by].filter(Boolean).join(' · '),
          ...marks.map(({ run, insulation }, index) => {
            const cable = design.runs.find((one) => one.id === run);
            return say('photos.mark', {
              number: index + 1,
              cable: cable ? runName(design, cable) : say('photos.gone'),
              part: insulation === null ? say('photos.whole') : INSULATION_NAME[insulation],
            });
          }),
        ],
      })),
    },
  ];
}

function directory({ design, house }: PacketOf): Section {
  const lines = house ? directoryOf(house.designs, house.house) : directoryOf([design]);
  return {
    id: 'directory',
    title: say('directory.title'),
    blocks: [
      {
        kind: 'table',
        head: [say('directory.circuit'), say('directory.breaker'), say('directory.serves')],
        rows: lines.map(({ number, breakerA, protection, label }) => [
          number,
          breakerA === null ? '' : say('directory.rating', { breakerA, protection }),
          label,
        ]),
      },
    ],
  };
}

function log({ design, record }: PacketOf): Section {
  const entries = shownLog(design, record);
  return {
    id: 'log',
    title: say('log.title'),
    blocks: [
      entries.length === 0
        ? text(say('log.none'))
        : {
            kind: 'table',
            head: [say('log.time'), say('log.who'), say('log.what')],
            rows: entries.flatMap(({ entry, before }) => [
              ...before.map(({ at, by, says }) => [when(at), by, say('log.corrected', { says })]),
              [when(entry.at), entry.by, entry.says],
            ]),
          },
    ],
  };
}
