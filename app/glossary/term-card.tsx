import { OnTheSpot } from '~/ui/on-the-spot';
import { say } from '~/words/glossary';
import { Picture } from './picture';
import type { Term } from './terms';

/** What a term means: two lines and a picture, beside where it stands. */
export default function TermCard({
  term: { name, says, picture },
  anchor,
  onClose,
}: {
  term: Term;
  anchor: string;
  onClose: () => void;
}) {
  return (
    <OnTheSpot anchor={anchor} onClose={onClose}>
      <div className="flex items-center gap-3" data-term>
        <Picture marks={picture} label={say('explained.picture', { term: name })} />
        <div>
          <p className="font-bold">{name}</p>
          <p className="text-sm">{says}</p>
        </div>
      </div>
    </OnTheSpot>
  );
}
