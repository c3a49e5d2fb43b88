// Made by `npm run words` from en/glance.json: change that file, not this one.
import { plural, strictNumber } from '@messageformat/runtime';
import { en, speaker, type Text } from './speak';

export const { say, tell } = speaker({
  "glance.fixLayOut": () => "Cannot be wired as asked: change the lay out.",
  "glance.find": (d: { name: Text }) => "Next: find out what is in the wall (" + d.name + ").",
  "glance.makeUp": (d: { done: number; steps: number }) => '' + plural(d.done, 0, en, { "0": "Next: make up, " + plural(d.steps, 0, en, { one: strictNumber("en", d.steps, 0, "steps") + " step", other: strictNumber("en", d.steps, 0, "steps") + " steps" }) + ".", other: "Making up: " + strictNumber("en", d.done, 0, "done") + " of " + d.steps + " steps done." }),
  "glance.test": () => "Made up. Next: test it.",
  "glance.record": (d: { tests: number }) => "Made up, " + plural(d.tests, 0, en, { one: strictNumber("en", d.tests, 0, "tests") + " test", other: strictNumber("en", d.tests, 0, "tests") + " tests" }) + " read. Next: the record.",
});
