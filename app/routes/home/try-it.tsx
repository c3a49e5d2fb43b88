import { useMemo, useState, type ReactNode } from 'react';
import { soundHouse } from '@core/power/faults/fault';
import { drawBox } from '@core/wiring/geometry/box-drawing';
import { operate, type Act } from '@core/site/live/operate';
import { EMPTY_SCENE } from '@core/site/live/scene';
import type { Setting } from '@core/site/live/standing';
import type { ShownPlan } from '@core/wiring/plan';
import { shownIn } from '~/drawing/live';
import { LiveBox } from '~/live/live-box';
import { viewBench } from '~/live/bench-view';
import { say } from '~/words/home';

/** One open box that can be switched and plugged, energized like every other. */
export default function TryIt({ plan }: { plan: ShownPlan }) {
  const setting = useMemo(
    (): Setting => ({ job: plan.job, house: soundHouse({ job: plan.job, wiring: plan.wiring }) }),
    [plan],
  );
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

/** The box alive, planned beside the page; null where it cannot be. */
export async function tryIt(): Promise<ReactNode> {
  const { glanceWorker } = await import('~/workers/core');
  const plan = await glanceWorker.ask((worker) => worker.boxToTry());
  return plan ? <TryIt plan={plan} /> : null;
}
