import { wishKind } from '../../../trade/devices';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const r14: Rule = {
  id: 'R14',
  title: say('r14.title'),
  section: section('210.70(A)(1), (2)'),
  severity: 'ask',
  newWork: true,
  looksAt: say('r14.looksAt'),
  check: (site) =>
    site.job.groups.flatMap(({ id, name }) => {
      const handles = site.handlesOf(id);
      const radios = handles.map(({ kind }) => wishKind(kind).radio);
      const byRadio = radios.includes('switch') && radios.every((radio) => radio !== undefined);
      const [light] = site.controlled(id).filter(({ plug }) => !plug);
      if (!byRadio || !light) return [];
      // A light that was there is no new work; the switch that takes it over is.
      const fresh = [light.device, ...handles].find((device) => !site.stands(at('device', device.id)));
      return [
        {
          at: at('device', (fresh ?? light.device).id),
          ...(site.edition === '2023' ? tell('r14.finding', { name }) : tell('r14.radioOnly', { name })),
        },
      ];
    }),
};
