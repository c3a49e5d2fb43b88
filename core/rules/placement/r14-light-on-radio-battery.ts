import { wishKind } from '../../devices';
import { at, section, type Rule } from '../rule';

export const r14: Rule = {
  id: 'R14',
  title: 'A light that the code requires depends on the battery of a radio switch',
  section: section('210.70(A)(1), (2)'),
  severity: 'ask',
  newWork: true,
  looksAt: 'lights that only radio switches control',
  check: (site) =>
    site.job.groups.flatMap(({ id, name }) => {
      const radios = site.handlesOf(id).map(({ kind }) => wishKind(kind).radio);
      const byRadio = radios.includes('switch') && radios.every((radio) => radio !== undefined);
      const [light] = site.controlled(id).filter(({ plug }) => !plug);
      if (!byRadio || !light) return [];
      return [
        {
          at: at('device', light.device.id),
          message:
            site.edition === '2023'
              ? `Only ${name} turns it on, by radio. Where the code asks for this light, the switch may not run on a battery alone, unless the light comes on when the battery fails.`
              : `Only ${name} turns it on, by radio. Where the code asks for a light on a wall switch, does the authority take a radio switch for one?`,
        },
      ];
    }),
};
