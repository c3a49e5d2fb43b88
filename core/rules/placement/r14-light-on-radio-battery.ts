import { wishKind } from '../../devices';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../words/rules';

export const r14: Rule = {
  id: 'R14',
  title: say('r14.lightCodeRequiresDependsBattery'),
  section: section('210.70(A)(1), (2)'),
  severity: 'ask',
  newWork: true,
  looksAt: say('r14.lightsOnlyRadioSwitchesControl'),
  check: (site) =>
    site.job.groups.flatMap(({ id, name }) => {
      const radios = site.handlesOf(id).map(({ kind }) => wishKind(kind).radio);
      const byRadio = radios.includes('switch') && radios.every((radio) => radio !== undefined);
      const [light] = site.controlled(id).filter(({ plug }) => !plug);
      if (!byRadio || !light) return [];
      return [
        {
          at: at('device', light.device.id),
          ...(site.edition === '2023'
            ? tell('r14.onlyTurnsRadioWhereCode', { name })
            : tell('r14.onlyTurnsRadioWhereCode2', { name })),
        },
      ];
    }),
};
