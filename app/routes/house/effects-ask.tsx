import type { Effect } from '@core/choices/house/effects';
import AskDialog from '~/ui/ask-dialog';
import { say } from '~/words/house';

/** What a change of a breaker does to the other jobs, and whether it is wanted. */
export default function EffectsAsk({
  house,
  effects,
  onDo,
  onClose,
}: {
  house: string;
  effects: readonly Effect[];
  onDo: () => void;
  onClose: () => void;
}) {
  return (
    <AskDialog
      title={say('effects.ask')}
      ways={[{ name: say('effects.do'), act: onDo }]}
      cancel={say('ask.cancel')}
      onClose={onClose}
    >
      <p>{say('effects.says', { house })}</p>
      <ul className="grid gap-1" data-effects>
        {effects.flatMap((effect) =>
          linesOf(effect).map((line) => (
            <li key={line} className="rounded-lg border-2 border-line p-2">
              {line}
            </li>
          )),
        )}
      </ul>
    </AskDialog>
  );
}

function linesOf({ name, refused, mended, comes, goes }: Effect): string[] {
  const lines = [
    ...(refused === null ? [] : [say('effects.refused', { name, why: refused })]),
    ...(mended ? [say('effects.mended', { name })] : []),
    ...comes.map((finding) => say('effects.comes', { name, finding })),
    ...goes.map((finding) => say('effects.goes', { name, finding })),
  ];
  return lines.length > 0 ? lines : [say('effects.none', { name })];
}
