import { AnswerLine } from '~/ui/answer-line';
import { say } from '~/words/drills';

/** While a drill is made, or where it cannot be. */
export function Waiting({
  failed,
  none,
  progress = null,
}: {
  failed: string | null;
  none: boolean;
  progress?: { readonly done: number; readonly of: number } | null;
}) {
  return (
    <main className="p-4" aria-busy={!none}>
      <AnswerLine>
        {failed !== null
          ? say('page.failed', { reason: failed })
          : none
            ? say('page.none')
            : progress
              ? say('page.making', progress)
              : say('page.starting')}
      </AnswerLine>
    </main>
  );
}
