import { memo } from 'react';
import { PANEL, type Box, type Circuit, type Run } from '@core/job/model/design';
import type { OpenJobContext } from '../job/context';
import { Choice } from '~/ui/choice';
import { Select } from '~/ui/select';
import { say } from '~/words/lay-out';

/** Buttons up to this many boxes, a list beyond. */
const BUTTONS = 3;

/** Where a circuit's cable from the panel comes in. */
export const FeedChoice = memo(function FeedChoice({
  circuit,
  feed,
  boxes,
  run,
}: {
  circuit: Circuit;
  /** Its cable from the panel, where there is one. */
  feed: Run | undefined;
  boxes: readonly Box[];
  run: OpenJobContext['run'];
}) {
  const places = boxes.map(({ id, name }) => ({ value: id, label: name }));
  if (!feed && boxes.length > 0) {
    return (
      <Select
        label={say('feedChoice.noFeed', { number: circuit.number })}
        value=""
        options={[{ value: '', label: say('feedChoice.chooseBox') }, ...places]}
        onChange={(to) => {
          if (to !== '') run({ do: 'add run', from: PANEL, to, lengthFt: 30, circuits: [circuit.id] });
        }}
      />
    );
  }
  if (!feed || boxes.length < 2) return null;
  const field = {
    label: say('feedChoice.circuitArrives', { number: circuit.number }),
    options: places,
    value: feed.from === PANEL ? feed.to : feed.from,
    onChange: (box: string) => run({ do: 'move feed', run: feed.id, box }),
  };
  return places.length <= BUTTONS ? <Choice {...field} /> : <Select {...field} />;
});
