import { useEffect, useState } from 'react';
import { changeHouse, type HouseCommand } from '@core/commands/house';
import type { Effect } from '@core/house/effects';
import type { House } from '@core/model/house';
import { effectsOn } from './ask-first';
import EffectsAsk from './effects-ask';

/** Asks before a breaker is changed that feeds other jobs, with what that does to them. */
export default function EffectsDialog({
  house,
  command,
  except,
  onDo,
  onClose,
}: {
  house: House;
  command: HouseCommand;
  /** The job that asks: it sees for itself. */
  except: string | null;
  onDo: () => void;
  onClose: () => void;
}) {
  const [effects, setEffects] = useState<readonly Effect[] | null>(null);
  useEffect(() => {
    const done = changeHouse(house, command);
    const found = done.ok ? effectsOn(house, done.value.house, except) : Promise.resolve([]);
    found.then(setEffects, () => setEffects([]));
    // Asked once: what is on screen is what was asked about.
    // oxlint-disable-next-line react/exhaustive-deps
  }, []);
  return effects === null ? null : (
    <EffectsAsk house={house.name} effects={effects} onDo={onDo} onClose={onClose} />
  );
}
