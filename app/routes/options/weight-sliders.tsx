import { Slider } from 'radix-ui';
import type { Weights } from '@core/choices/options/option';
import { say } from '~/words/options';

const NAMES: readonly (readonly [keyof Weights, string])[] = [
  ['money', say('weightSliders.material')],
  ['time', say('weightSliders.labor')],
  ['holes', say('weightSliders.holesWall')],
  ['disturbance', say('weightSliders.disturbance')],
  ['room', say('weightSliders.roomBoxes')],
  ['findings', say('weightSliders.findings')],
];

/** What matters how much. */
export function WeightSliders({
  weights,
  onChange,
}: {
  weights: Weights;
  onChange: (weights: Weights) => void;
}) {
  return (
    <section className="grid gap-3" aria-label={say('weightSliders.whatMatters')}>
      <h3 className="text-lg font-bold">{say('weightSliders.whatMatters')}</h3>
      <div className="grid gap-x-6 gap-y-2 sm:grid-cols-2 lg:grid-cols-3">
        {NAMES.map(([key, name]) => (
          <div key={key} className="grid gap-1">
            <span className="flex justify-between font-semibold">
              {name} <span className="num">{weights[key]}</span>
            </span>
            <Slider.Root
              className="relative flex h-11 touch-none items-center"
              min={0}
              max={10}
              step={1}
              value={[weights[key]]}
              onValueChange={([value]) => onChange({ ...weights, [key]: value ?? 0 })}
            >
              <Slider.Track className="relative h-2 grow rounded-full bg-line">
                <Slider.Range className="absolute h-full rounded-full bg-ink" />
              </Slider.Track>
              <Slider.Thumb
                aria-label={name}
                className="block h-7 w-7 rounded-full border-2 border-ink bg-paper"
              />
            </Slider.Root>
          </div>
        ))}
      </div>
    </section>
  );
}
