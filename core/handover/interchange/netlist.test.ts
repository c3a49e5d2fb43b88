import { expect, test } from '@jest/globals';
import { demoJob } from '../jobs/demo-house';
import { REST } from '../../power/energize/state';
import { buildNetwork } from '../../power/network/network';
import { planJob } from '../../wiring/plan';
import { writeNetlist } from './netlist';

const job = demoJob('sunroom-plant-shelf')!;
const outcome = planJob(job);
if (!outcome.ok) throw new Error('refused');
const network = buildNetwork(outcome.plan.wiring, job.circuits);

test('islands are left out: a circuit engine would call the deck singular', () => {
  const off = writeNetlist(network, REST, job.name);
  expect(off.nodeOf(network.point('shelf-outlet:hot-lower')!)).toBeUndefined();
  expect(off.nodes).toContain(off.nodeOf(network.point('shelf-outlet:hot-upper')!));
});
test('points that metal joins share a node', () => {
  const deck = writeNetlist(network, { ...REST, positions: new Map([['door-switch', 1]]) }, job.name);
  const node = (id: string) => deck.nodeOf(network.point(id)!);
  expect(node('door-switch:upper')).toBe(node('door-switch:lower'));
  expect(node('shelf-outlet:neutral-upper')).toBe(node('shelf-outlet:neutral-lower'));
  expect(node('shelf-outlet:hot-upper')).not.toBe(node('shelf-outlet:hot-lower'));
});
test('a title cannot break out of its line', () => {
  const [first, second] = writeNetlist(network, REST, 'x\n.control\nshell rm\n.endc').text.split('\n');
  expect(first).toBe('* x .control shell rm .endc');
  expect(second).toMatch(/^VA /);
});
