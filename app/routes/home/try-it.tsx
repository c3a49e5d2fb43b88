import { useMemo, useState } from 'react';
import { applyCommands } from '@core/commands/command';
import { soundHouse } from '@core/faults/fault';
import { drawBox } from '@core/geometry/box-drawing';
import { operate, type Act } from '@core/live/operate';
import { EMPTY_SCENE } from '@core/live/scene';
import type { Setting } from '@core/live/standing';
import { planJob, type Plan } from '@core/plan';
import { jobFrom } from '@core/starts/job-from';
import { startDefaults } from '@core/starts/start';
import { startOf } from '@core/starts/starts';
import { shownIn } from '~/drawing/live';
import { LiveBox } from '~/live/live-box';
import { viewBench } from '~/live/bench-view';
import { say } from '~/words/home';

interface Tried {
  readonly setting: Setting;
  readonly plan: Plan;
}

/** A switch with a half-switched outlet beside it: planned like any job. */
function tried(): Tried | null {
  const start = startOf('beside-switch');
  const made = start && jobFrom(start, 'try-it', startDefaults(start));
  if (!made?.ok) return null;
  const half = applyCommands(made.value.design, [
    { do: 'set control', device: 'first-outlet', part: 'lower', control: 'first-switch' },
  ]);
  const outcome = half.ok ? planJob(half.value.job) : null;
  if (!outcome?.ok) return null;
  const { plan } = outcome;
  return { plan, setting: { job: plan.job, house: soundHouse({ job: plan.job, wiring: plan.wiring }) } };
}

/** One open box that can be switched and plugged, energized like every other. */
export default function TryIt() {
  const [it] = useState(tried);
  return it && <LiveTry {...it} />;
}

function LiveTry({ setting, plan }: Tried) {
  const [scene, setScene] = useState(EMPTY_SCENE);
  const drawing = useMemo(() => drawBox(plan, 'first'), [plan]);
  const act = (next: Act) => setScene(operate(setting, scene, next));
  const { live } = viewBench(setting, scene);
  return (
    <div className="rounded-2xl bg-paper p-3" data-try-it>
      <LiveBox
        id="first"
        name={say('tryIt.openBox')}
        drawing={drawing}
        live={live}
        shown={shownIn(drawing, live)}
        metal={false}
        frame={drawing}
        handlers={{
          onHandle: (device) => act({ do: 'handle', device }),
          onPart: (part) => act({ do: 'plug', part, what: live.part(part)?.plugged ? null : 'lamp' }),
        }}
      />
      <p className="mt-1 text-center text-sm">{say('tryIt.tapSwitchPlug')}</p>
    </div>
  );
}
