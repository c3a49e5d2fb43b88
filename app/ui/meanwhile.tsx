import { say } from '~/words/ui';

/** Told below a field that is typed in, where something else changed what it is of. */
export function Meanwhile({ value }: { value: string | null }) {
  return value === null ? null : (
    <span role="status" className="text-sm" data-meanwhile>
      {say('draft.meanwhile', { value, known: value !== '' })}
    </span>
  );
}
