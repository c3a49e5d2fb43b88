import { describe, expect, test } from '@jest/globals';
import { deviceKind } from '../../trade/devices';
import { Survey } from '../../job/model/survey';
import { checkRecordReferences } from '../../job/model/references';
import { JobRecord } from '../../job/model/record';
import { cableRow, isGround } from '../../trade/standards/cables';
import { newSurvey, withChange } from '../../job/seen/seen-box';
import { study } from './study';
import { TYPICAL_IDS } from '../../job/seen/typical';

const fresh = newSurvey('hall', 'Hall', '9');
const of = (typical: (typeof TYPICAL_IDS)[number]) =>
  withChange(fresh, { what: 'typical', box: fresh.target, typical });

describe('a box as it is mostly found', () => {
  test.each(TYPICAL_IDS)('%s: every conductor of every cable sits somewhere that is there', (id) => {
    const survey = Survey.parse(of(id));
    expect(checkRecordReferences(JobRecord.parse({ surveys: [survey] }))).toEqual([]);
    const [box] = survey.boxes;
    for (const { id: cable, type } of box?.cables ?? []) {
      const ends = box?.ends.filter((end) => end.cable === cable) ?? [];
      expect(ends.map(({ insulation }) => insulation).sort()).toEqual(
        [...cableRow(type).insulated, 'bare'].sort(),
      );
      for (const { sits, insulation } of ends) {
        expect(sits.at).not.toBe('loose');
        if (sits.at !== 'terminal') continue;
        const device = box?.devices.find((one) => one.id === sits.device);
        const terminals = device ? deviceKind(device.kind).terminals : [];
        expect(terminals.map((one) => one.id)).toContain(sits.terminal);
        expect(isGround(insulation)).toBe(false);
      }
    }
  });

  test.each(TYPICAL_IDS)('%s can be studied: nothing contradicts it and a first test is proposed', (id) => {
    const { verdict, suggestion } = study(of(id));
    expect(verdict.contradiction).toBeNull();
    expect(verdict.tap).not.toBe('yes');
    expect(suggestion === null && verdict.tap === 'not known yet').toBe(false);
  });

  test('a second opened box gets cables and devices of its own', () => {
    const two = withChange(withChange(of('loop'), { what: 'box opened', id: 'second', name: 'Second' }), {
      what: 'typical',
      box: 'second',
      typical: 'three-way-feed',
    });
    expect(checkRecordReferences(JobRecord.parse({ surveys: [Survey.parse(two)] }))).toEqual([]);
    const ids = two.boxes.flatMap(({ cables, devices }) => [...cables, ...devices].map(({ id }) => id));
    expect(new Set(ids).size).toBe(ids.length);
  });

  test('taken twice it is the same', () => {
    const again = withChange(of('loop'), { what: 'typical', box: fresh.target, typical: 'loop' });
    expect(again).toEqual(of('loop'));
  });
});
