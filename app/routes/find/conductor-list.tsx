import { deviceKind } from '@core/trade/devices';
import type { SeenBox, SeenEnd, Survey } from '@core/job/model/survey';
import { LETTERS } from '@core/trade/standards/cables';
import type { SeenChange, Toward } from '@core/job/seen/seen-box';
import type { Study } from '@core/site/survey/study';
import { cableName, seenDeviceName } from '@core/site/survey/words';
import type { Picked } from './picked';
import { INSULATION_NAME } from '@core/trade/standards/names';
import { say } from '~/words/find';

/** Every conductor with where it sits and what it is: tap one, then tap where it goes. */
export function ConductorList({
  survey,
  box,
  study,
  picked,
  onPick,
  lead,
  note,
}: {
  survey: Survey;
  box: SeenBox;
  study: Study | null;
  picked: Picked | null;
  onPick: (picked: Picked | null) => void;
  lead: (toward: Toward) => void;
  note: (change: SeenChange) => void;
}) {
  if (box.cables.length === 0) return null;
  const isPicked = (end: SeenEnd) => picked?.cable === end.cable && picked.insulation === end.insulation;
  const roleOf = (end: SeenEnd) =>
    study?.verdict.conductors.find(
      ({ cable, insulation }) => cable === end.cable && insulation === end.insulation,
    );
  const loose = box.ends.filter(({ sits }) => sits.at === 'loose').length;
  const inHand = picked && box.ends.find(isPicked);
  return (
    <section className="grid gap-3" aria-label={say('conductorList.conductors')}>
      <p className="font-semibold">
        {picked
          ? say('conductorList.nowTapWhereGoes')
          : loose > 0
            ? say('conductorList.howToPlace', { loose })
            : say('conductorList.tapConductorMove')}
      </p>
      {box.cables.map((cable) => (
        <div key={cable.id} className="grid gap-1">
          <h3 className="eyebrow">{cableName(survey, cable.id)}</h3>
          <div className="flex flex-wrap gap-2">
            {box.ends
              .filter((end) => end.cable === cable.id)
              .map((end) => {
                const role = roleOf(end);
                return (
                  <button
                    key={end.insulation}
                    type="button"
                    aria-pressed={isPicked(end)}
                    className="chip grid min-h-12 content-center justify-items-start py-1 text-left"
                    onClick={() => {
                      if (!picked) onPick({ cable: end.cable, insulation: end.insulation });
                      else if (isPicked(end)) onPick(null);
                      else lead({ to: 'conductor', cable: end.cable, insulation: end.insulation });
                    }}
                  >
                    <span>
                      <span className="num">{LETTERS[end.insulation]}</span> {INSULATION_NAME[end.insulation]}
                      {end.taped ? say('conductorList.taped') : ''} · {sitsWords(box, end)}
                    </span>
                    {role ? (
                      <span className="font-normal text-ink-soft">
                        {role.is === null ? '? ' : '= '}
                        {role.says}
                      </span>
                    ) : null}
                  </button>
                );
              })}
          </div>
        </div>
      ))}
      {inHand ? (
        <div
          className="grid gap-2 rounded-xl border-2 border-plum bg-paper p-3"
          role="group"
          aria-label={say('conductorList.whereGoes')}
        >
          {box.devices.map((device) => (
            <div key={device.id} className="flex flex-wrap items-center gap-2">
              <span className="eyebrow w-full">{seenDeviceName(box, device.id)}</span>
              {deviceKind(device.kind).terminals.map(({ id, name }) => (
                <button
                  key={id}
                  type="button"
                  className="chip"
                  onClick={() => lead({ to: 'terminal', device: device.id, terminal: id })}
                >
                  {name}
                </button>
              ))}
            </div>
          ))}
          <div className="flex flex-wrap gap-2">
            <button type="button" className="chip" onClick={() => lead({ to: 'capped' })}>
              {say('conductorList.capped')}
            </button>
            <button type="button" className="chip" onClick={() => lead({ to: 'loose' })}>
              {say('conductorList.notSaidYet')}
            </button>
            {box.metal && inHand.insulation === 'bare' ? (
              <button type="button" className="chip" onClick={() => lead({ to: 'box' })}>
                {say('conductorList.boxScrew')}
              </button>
            ) : null}
            {inHand.insulation === 'bare' ? null : (
              <button
                type="button"
                className="chip"
                aria-pressed={inHand.taped}
                onClick={() => {
                  note({
                    what: 'tape',
                    box: box.id,
                    end: { cable: inHand.cable, insulation: inHand.insulation },
                    taped: !inHand.taped,
                  });
                  onPick(null);
                }}
              >
                {say('conductorList.tape')}
              </button>
            )}
          </div>
        </div>
      ) : null}
    </section>
  );
}

function sitsWords(box: SeenBox, end: SeenEnd): string {
  const { sits } = end;
  switch (sits.at) {
    case 'terminal': {
      const device = box.devices.find(({ id }) => id === sits.device);
      const screw = device && deviceKind(device.kind).terminals.find(({ id }) => id === sits.terminal);
      return box.devices.length > 1
        ? `${seenDeviceName(box, sits.device)}, ${screw?.name ?? sits.terminal}`
        : (screw?.name ?? sits.terminal);
    }
    case 'splice': {
      const count =
        box.ends.filter((one) => one.sits.at === 'splice' && one.sits.splice === sits.splice).length +
        box.tails.filter(({ splice }) => splice === sits.splice).length;
      return say('conductorList.splice', { count });
    }
    case 'capped':
      return 'capped';
    case 'loose':
      return say('conductorList.notEntered');
    case 'box':
      return say('conductorList.onBoxScrew');
  }
}
