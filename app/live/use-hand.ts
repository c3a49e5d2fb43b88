import { useState } from 'react';
import type { Act } from '@core/site/live/operate';
import { canPut, movables, withJoined, withPlaced, withTabTurned } from '@core/site/live/rewire';
import type { Placement, Scene } from '@core/site/live/scene';
import type { House } from '@core/power/faults/fault';
import { handSpliceId, tailEnd } from '@core/job/model/wiring';
import type { BoxHandlers, Dropped } from '~/drawing/live';
import { useStable } from '~/ui/use-stable';
import { toolRow, type Tool } from './tray';

/** Ohms of a contact that was loosened (0.5 to 5 is common practice). */
const LOOSE_OHMS = 1;

interface Hand {
  readonly tool: Tool;
  readonly choose: (tool: Tool) => void;
  /** The conductor end or pigtail that is held, to be put elsewhere. */
  readonly held: string | null;
  readonly put: (to: Placement) => void;
  readonly back: () => void;
  readonly drop: () => void;
  readonly handlers: BoxHandlers;
}

/** What a tap in the drawing does, by the tool that is in the hand. `house` is as it was before anything was moved. */
export function useHand(house: House, scene: Scene, act: (act: Act) => void, begin: Tool): Hand {
  const [tool, setTool] = useState<Tool>(begin);
  const [held, setHeld] = useState<string | null>(null);
  const { wiring } = house;
  const ends = movables(wiring);
  const row = toolRow(tool);
  const place = (end: string, to: Placement) => {
    if (!canPut(house, end, to)) return;
    act({ do: 'rewire', rewired: withPlaced(wiring, scene.rewired, end, to), end });
    setHeld(null);
  };
  /** What is drawn of a pigtail is the pigtail; what is moved is its end at the screw. */
  const endOf = (id: string): string | null =>
    ends.has(id) ? id : ends.has(tailEnd(id)) ? tailEnd(id) : null;
  const onto = (end: string, target: Dropped) => {
    const own = ends.get(end);
    if (!own) return;
    if (target.on === 'metal') return place(end, { at: 'metal' });
    if (target.on === 'point') {
      if (wiring.splices.some(({ id, box }) => id === target.id && box === own.box))
        return own.pigtail ? undefined : place(end, { at: 'splice', splice: target.id });
      const byHand = Object.entries(scene.rewired.ends).find(
        ([other, now]) =>
          now.at === 'by hand' &&
          ends.get(other)?.box === own.box &&
          target.id === handSpliceId(own.box, now.number),
      );
      if (byHand) return join(end, byHand[0]);
      if (ends.has(target.id)) return join(end, target.id);
      return place(end, { at: 'terminal', terminal: target.id });
    }
    const other = endOf(target.id);
    if (other !== null && other !== end) join(end, other);
  };
  const join = (end: string, other: string) => {
    const [own, there] = [ends.get(end), ends.get(other)];
    if (!own || !there || own.box !== there.box || own.pigtail) return;
    const now = scene.rewired.ends[other] ?? there.planned;
    if (now.at === 'terminal') return place(end, now);
    if (there.pigtail) return;
    act({ do: 'rewire', rewired: withJoined(wiring, scene.rewired, end, other), end });
    setHeld(null);
  };
  const onPoint = useStable((point: string) => {
    if (row.meter) act({ do: 'probe', point, impedance: row.meter });
    else if (tool === 'tip') act({ do: 'tip', at: point });
    else if (tool === 'touch') act({ do: 'touch', point });
    else if (tool === 'rewire' && held !== null) onto(held, { on: 'point', id: point });
    else if (tool === 'rewire' && ends.has(point)) setHeld(point);
  });
  const onWire = useStable((id: string, wire: string, point: string) => {
    if (tool === 'clamp') act({ do: 'clamp', round: wire });
    else if (tool === 'arc') act({ do: 'strike an arc', wire });
    else if (tool === 'tip') act({ do: 'tip', at: point });
    else {
      const end = endOf(id);
      if (end === null) return;
      if (tool === 'loosen') {
        const { [end]: there, ...rest } = scene.rewired.loose;
        const loose = there === undefined ? { ...rest, [end]: LOOSE_OHMS } : rest;
        act({ do: 'rewire', rewired: { ...scene.rewired, loose } });
      } else if (held === null || ends.get(held)?.box !== ends.get(end)?.box) setHeld(end);
      else if (held === end) setHeld(null);
      else onto(held, { on: 'wire', id });
    }
  });
  const onCable = useStable((cable: string) => act({ do: 'clamp', round: cable }));
  const onMetal = useStable((metal: string) => {
    if (tool === 'rewire') {
      if (held !== null) onto(held, { on: 'metal' });
    } else onPoint(metal);
  });
  const onTab = useStable((device: string, tab: string) =>
    act({ do: 'rewire', rewired: withTabTurned(wiring, scene.rewired, device, tab) }),
  );
  const onDrop = useStable((id: string, target: Dropped) => {
    const end = endOf(id);
    if (end !== null) onto(end, target);
  });
  const onPart = useStable((part: string) => {
    if (row.plugs) act({ do: 'plug', part, what: row.plugs });
    else if (tool === 'hand') act({ do: 'plug', part, what: null });
  });
  const handles = {
    onHandle: useStable((device: string) => act({ do: 'handle', device })),
    onBreaker: useStable((circuit: string) => act({ do: 'breaker', circuit })),
    onTest: useStable((device: string, open: boolean) => act({ do: open ? 'test' : 'reset', device })),
    onPart,
  };
  const probes = row.meter !== undefined || tool === 'tip';
  const reaches = probes || tool === 'touch';
  const points = reaches || tool === 'rewire';
  const wires = ['clamp', 'arc', 'tip', 'rewire', 'loosen'].includes(tool);
  const { from, to } = tool === 'touch' ? scene.touch : scene.meter;
  return {
    tool,
    choose: (next) => {
      setTool(next);
      setHeld(null);
    },
    held,
    put: (to) => held !== null && place(held, to),
    back: () => {
      const own = held === null ? undefined : ends.get(held);
      if (own) place(own.end, own.planned);
    },
    drop: () => setHeld(null),
    handlers: {
      ...handles,
      ...(points ? { onPoint } : {}),
      ...(probes ? { onSlot: onPoint } : {}),
      ...(reaches ? { onPlate: onPoint } : {}),
      ...(wires ? { onWire } : {}),
      ...(tool === 'clamp' ? { onCable } : {}),
      ...(points && (tool !== 'rewire' || held !== null) ? { onMetal } : {}),
      ...(tool === 'rewire' ? { onTab, onDrop } : {}),
      picked: held !== null && ends.get(held)?.pigtail ? (ends.get(held)?.wire ?? null) : held,
      clamped: scene.clamp,
      probes: [from, to].filter((point) => point !== null),
    },
  };
}
