import { placeName } from '../../job/model/called';
import { consumers } from '../../wiring/layout/nets';
import { partKey } from '../../job/model/keys';
import type { Design } from '../../job/model/design';
import { planJob } from '../../wiring/plan';
import { prove, type Proof } from '../../power/proof/prove';
import { say } from '../../base/words/packet';
import { partNames, resetName } from './names';
import type { Section } from './section';

/** What the owner gets, on one page in plain words: which switch does what, where to reset, what to test each month. */
export function ownerSheet(design: Design): Section[] {
  const outcome = planJob(design);
  if (!outcome.ok)
    return [
      {
        id: 'owner',
        title: design.name,
        blocks: [{ kind: 'text', text: say('owner.notYet') }],
      },
    ];
  const names = partNames(design);
  const named = (works: readonly { readonly device: { readonly id: string }; readonly part: string }[]) =>
    works.map(({ device, part }) => names.get(partKey(device.id, part)) ?? '').join('; ');
  const all = consumers(design);
  const switches = design.groups.flatMap(({ id }) => {
    const works = all.filter(({ want }) => want.control === id);
    const places = design.devices
      .filter(({ wants }) =>
        Object.values(wants).some((want) => want.does === 'control' && want.group === id),
      )
      .map(({ box }) => placeName(design, box));
    return works.length === 0 || places.length === 0
      ? []
      : [
          say('owner.switch', {
            places: [...new Set(places)].join(' · '),
            count: places.length,
            parts: named(works),
          }),
        ];
  });
  const always = all.filter(({ want }) => want.control === null);
  const { coverage } = prove(design, outcome.plan.wiring);
  const resets = [...coverage].map(([device, parts]) =>
    say('owner.reset', {
      where: resetName(design, device),
      parts: parts
        .map((key) => names.get(key) ?? '')
        .filter(Boolean)
        .join('; '),
    }),
  );
  const tested = tests(design, coverage);
  return [
    {
      id: 'owner',
      title: say('owner.title', { job: design.name }),
      blocks: [
        ...(switches.length === 0
          ? []
          : [
              { kind: 'text' as const, text: say('owner.switches'), strong: true },
              { kind: 'list' as const, items: switches },
            ]),
        ...(always.length === 0
          ? []
          : [
              { kind: 'text' as const, text: say('owner.always'), strong: true },
              { kind: 'list' as const, items: [named(always)] },
            ]),
        ...(resets.length === 0
          ? []
          : [
              { kind: 'text' as const, text: say('owner.resets'), strong: true },
              { kind: 'list' as const, items: resets },
            ]),
        { kind: 'text', text: say('owner.monthly'), strong: true },
        {
          kind: 'list',
          items: tested.length === 0 ? [say('owner.nothingToTest')] : tested,
        },
        { kind: 'text', text: say('owner.trouble') },
      ],
    },
  ];
}

/** What is to be tested each month, a sentence each; none where the job cannot be wired. */
export function monthlyTests(design: Design): readonly string[] {
  const outcome = planJob(design);
  return outcome.ok ? tests(design, prove(design, outcome.plan.wiring).coverage) : [];
}

/** Every TEST button of devices and breakers, once. */
function tests(design: Design, coverage: Proof['coverage']): string[] {
  const breakers = design.circuits.filter(({ protection }) => protection !== 'none');
  return [
    ...[...coverage.keys()].map((device) => say('owner.test', { where: resetName(design, device) })),
    ...breakers.map(({ number }) => say('owner.testBreaker', { number })),
  ];
}
