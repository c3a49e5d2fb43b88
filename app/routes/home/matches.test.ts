import { describe, expect, test } from '@jest/globals';
import { matches, type Findable } from './matches';

const job: Findable = {
  name: 'Hall console',
  house: 'Alder Court 12',
  circuits: ['9', '14'],
  places: ['Hall switch', 'Café counter'],
  kinds: ['gfci', 'dimmer'],
};

describe('a job is found', () => {
  test.each(['hall', 'CONSOLE', 'alder court', 'cafe', 'gfci', 'dimmer hall', 'circuit 9', '14', '  '])(
    'by %p',
    (typed) => expect(matches(job, typed)).toBe(true),
  );
  test.each(['porch', 'hall porch', 'circuit 1', '4', 'luminaire'])('not by %p', (typed) =>
    expect(matches(job, typed)).toBe(false),
  );
});
