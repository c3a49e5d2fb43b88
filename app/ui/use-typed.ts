import type { ChangeEvent } from 'react';
import { useDraft } from './use-draft';

/**
 * A text of a form that is sent as a whole: what was typed and not sent is there again after a crash. `what` names the field
 * among those of its page; `field` is given to the input, `sent` empties it.
 */
export function useTyped(what: string) {
  const { field, text, type, settle } = useDraft(what, '');
  return {
    field: {
      ...field,
      value: text,
      onChange: (event: ChangeEvent<HTMLInputElement | HTMLTextAreaElement>) =>
        type(event.currentTarget.value),
    },
    text,
    sent: () => settle(''),
  };
}

export type Typed = ReturnType<typeof useTyped>;
