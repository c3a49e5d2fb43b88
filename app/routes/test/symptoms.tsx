import type { ShownScript } from '@core/site/script/report';
import { groupBy } from '@core/base/group-by';
import { Fold } from '~/ui/fold';
import { say } from '~/words/field-test';

type Symptom = ShownScript['symptoms'][number];

/** What is wrong to one who only looks, place by place: a tap starts the fault finder. */
export function Symptoms({
  symptoms,
  seen,
  onSeen,
  onGone,
}: {
  symptoms: readonly Symptom[];
  seen: ReadonlySet<string>;
  onSeen: (symptom: Symptom) => void;
  onGone: (symptom: Symptom) => void;
}) {
  if (symptoms.length === 0) return null;
  return (
    <>
      {symptoms
        .filter(({ id }) => seen.has(id))
        .map((symptom) => (
          <p
            key={symptom.id}
            className="flex items-center gap-2 rounded-xl border-4 border-ink bg-paper p-3"
            data-seen
          >
            <span className="flex-1 font-semibold">▲ {say('symptoms.seen', { says: symptom.says })}</span>
            <button type="button" className="button px-3" onClick={() => onGone(symptom)}>
              {say('symptoms.gone')}
            </button>
          </p>
        ))}
      <Fold title={say('symptoms.title')}>
        {() => (
          <div className="grid gap-3 p-2">
            {[...groupBy(symptoms, ({ place }) => [place])].map(([place, own]) => (
              <div key={place} className="grid gap-1" role="group" aria-label={place}>
                <p className="eyebrow">{place}</p>
                {own
                  .filter(({ id }) => !seen.has(id))
                  .map((symptom) => (
                    <button
                      key={symptom.id}
                      type="button"
                      className="button min-h-11 justify-start text-left"
                      onClick={() => onSeen(symptom)}
                    >
                      {symptom.says}
                    </button>
                  ))}
              </div>
            ))}
          </div>
        )}
      </Fold>
    </>
  );
}
