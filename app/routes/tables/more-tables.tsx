import { wishName, WISH_KINDS } from '@core/trade/devices';
import { CABLE_TYPES, cableRow } from '@core/trade/standards/cables';
import {
  ALLOWANCE_IN,
  FIRST_STAPLE_FT,
  FRAMING_EDGE_IN,
  STAPLE_SPACING_FT,
  WASTE_PERCENT,
} from '@core/trade/standards/cable-run';
import { BAND, PICK_UP } from '@core/trade/standards/breaker-band';
import { GAUGES } from '@core/trade/standards/conductors';
import { CONNECTORS } from '@core/trade/standards/connectors';
import {
  CONTINUOUS_FACTOR,
  CONTINUOUS_SOURCE,
  CORD_AND_PLUG_SHARE,
  CORD_AND_PLUG_SOURCE,
  MOTOR_SHARE,
  NOMINAL_V,
} from '@core/trade/standards/loads';
import {
  BOX_USD,
  BREAKER_USD,
  cableUsdPerFt,
  DEVICE_USD,
  LABOR_USD_PER_HOUR,
  MINUTES,
  PIECE_USD,
  SMALL_PARTS_USD,
  TIE_USD,
} from '@core/trade/standards/prices';
import { Picture } from '~/glossary/picture';
import { TERMS } from '~/glossary/terms';
import { Plain } from './plain';
import type { BoxFamily } from '@core/trade/standards/boxes';
import type { Source } from '@core/trade/standards/source';
import { FAMILY_NAME, INSULATION_NAME, JACKET_NAME } from '@core/trade/standards/names';
import { say } from '~/words/tables';

const EXAMPLE = say('more.exampleList');
const PRACTICE = say('more.commonPractice');
const nec = (section: string) => say('more.nec', { section });
const from = ({ document, memory }: Source) => say('route.trueOther', { document, memory });

/** The values that are no conductor's, box's or appliance's: connectors, cables, runs, breakers, prices; and the words. */
export default function MoreTables() {
  return (
    <>
      <Section id="cables" title={say('more.cables')}>
        <Plain
          label={say('more.cables')}
          head={[
            say('more.cable'),
            say('more.insulated'),
            say('more.jacket'),
            say('more.usdFt'),
            say('route.source'),
          ]}
          rows={CABLE_TYPES.map((type) => [
            type,
            cableRow(type)
              .insulated.map((one) => INSULATION_NAME[one])
              .join(', '),
            JACKET_NAME[cableRow(type).jacket],
            cableUsdPerFt({ type }).toFixed(2),
            say('more.colorsPractice'),
          ])}
        />
      </Section>
      <Section id="connectors" title={say('more.connectors')}>
        <Plain
          label={say('more.connectors')}
          head={[
            say('more.connector'),
            ...GAUGES.map((gauge) => say('more.most', { gauge })),
            say('more.stripIn'),
            say('route.source'),
          ]}
          rows={CONNECTORS.map(({ name, holds, stripIn }) => [
            name,
            ...GAUGES.map((gauge) => holds[gauge]),
            stripIn,
            say('more.packageRules'),
          ])}
        />
      </Section>
      <Section id="values" title={say('more.values')}>
        <Plain
          label={say('more.values')}
          head={[say('more.what'), say('more.value'), say('route.source')]}
          rows={[
            [say('more.nominal'), `${NOMINAL_V} V`, PRACTICE],
            [say('more.continuous'), `${CONTINUOUS_FACTOR * 100} %`, from(CONTINUOUS_SOURCE)],
            [say('more.motor'), `${MOTOR_SHARE * 100} %`, nec('404.14')],
            [say('more.cordPlug'), `${CORD_AND_PLUG_SHARE * 100} %`, from(CORD_AND_PLUG_SOURCE)],
            [say('more.firstStaple'), `${FIRST_STAPLE_FT} ft`, nec('334.30')],
            [say('more.stapleSpacing'), `${STAPLE_SPACING_FT} ft`, nec('334.30')],
            [say('more.framingEdge'), `${FRAMING_EDGE_IN} in`, nec('300.4')],
            [say('more.insideBox'), `${ALLOWANCE_IN.inside} in`, PRACTICE],
            [say('more.slack'), `${ALLOWANCE_IN.slack} in`, PRACTICE],
            [say('more.waste'), `${WASTE_PERCENT} %`, PRACTICE],
            [say('more.pickUp'), say('more.times', { from: PICK_UP.from, to: PICK_UP.to }), PRACTICE],
            ...BAND.map(({ times, seconds }) => [
              say('more.tripsAt', { times }),
              say('more.within', { seconds: Math.round(seconds) }),
              say('more.breakerCurve'),
            ]),
          ]}
        />
      </Section>
      <Section id="prices" title={say('more.prices')}>
        <p className="text-sm text-ink-soft">{say('more.pricesNote')}</p>
        <Plain
          label={say('more.prices')}
          head={[say('more.what'), say('more.value'), say('route.source')]}
          rows={[
            ...WISH_KINDS.flatMap((kind) =>
              DEVICE_USD[kind] === null ? [] : [[wishName(kind), `$${DEVICE_USD[kind]}`, EXAMPLE]],
            ),
            ...Object.entries(BOX_USD).map(([family, usd]) => [
              say('more.boxOf', { family: FAMILY_NAME[family as BoxFamily] }),
              `$${usd}`,
              EXAMPLE,
            ]),
            ...Object.entries({ ...BREAKER_USD, none: PIECE_USD.breaker }).map(([kind, usd]) => [
              say('more.breakerOf', { kind }),
              `$${usd}`,
              EXAMPLE,
            ]),
            [say('more.tie'), `$${TIE_USD}`, EXAMPLE],
            ...(Object.entries(PIECE_USD) as [keyof typeof PIECE_USD, number][])
              .filter(([piece]) => piece !== 'breaker')
              .map(([piece, usd]) => [PIECE_NAME[piece], `$${usd.toFixed(2)}`, EXAMPLE]),
            [say('more.smallParts'), `$${SMALL_PARTS_USD}`, EXAMPLE],
            [say('more.laborHour'), `$${LABOR_USD_PER_HOUR}`, EXAMPLE],
            ...(Object.entries(MINUTES) as [keyof typeof MINUTES, number][]).map(([work, minutes]) => [
              WORK_NAME[work],
              say('more.minutes', { minutes }),
              EXAMPLE,
            ]),
          ]}
        />
      </Section>
      <Section id="glossary" title={say('more.words')}>
        <ul className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
          {TERMS.map(({ id, name, says, picture }) => (
            <li key={id} className="flex items-center gap-3 rounded-xl border-2 border-line bg-paper p-3">
              <Picture marks={picture} label={say('more.drawn', { name })} />
              <div>
                <p className="font-bold">{name}</p>
                <p className="text-sm">{says}</p>
              </div>
            </li>
          ))}
        </ul>
      </Section>
    </>
  );
}

const PIECE_NAME: Readonly<Record<keyof typeof PIECE_USD, string>> = {
  ring: say('more.ring'),
  plate: say('more.plate'),
  connector: say('more.connector'),
  staple: say('more.staple'),
  nailPlate: say('more.nailPlate'),
  tape: say('more.tape'),
  cableConnector: say('more.cableConnector'),
  cordConnector: say('more.cordConnector'),
  plug: say('more.plug'),
  groundScrew: say('more.groundScrew'),
  inUseCover: say('more.inUseCover'),
  dampCover: say('more.dampCover'),
  breaker: say('more.breaker'),
};
const WORK_NAME: Readonly<Record<keyof typeof MINUTES, string>> = {
  deviceChanged: say('more.deviceChanged'),
  deviceNew: say('more.deviceNew'),
  boxCutIn: say('more.boxCutIn'),
  boxEnlarged: say('more.boxEnlarged'),
  boxOpened: say('more.boxOpened'),
  cablePerFt: say('more.cablePerFt'),
  cableStart: say('more.cableStart'),
  breaker: say('more.breakerWork'),
  splice: say('more.splice'),
  plate: say('more.plateWork'),
  panelLanding: say('more.panelLanding'),
  breakerOff: say('more.breakerOff'),
  breakerOn: say('more.breakerOn'),
  deadTest: say('more.deadTest'),
  liveTest: say('more.liveTest'),
  label: say('more.labelWork'),
  wayBox: say('more.wayBox'),
  wayRoom: say('more.wayRoom'),
  wayPanel: say('more.wayPanel'),
};

function Section({ id, title, children }: { id: string; title: string; children: React.ReactNode }) {
  return (
    <section className="grid gap-2" aria-labelledby={id}>
      <h2 id={id} className="text-lg font-bold">
        {title}
      </h2>
      {children}
    </section>
  );
}
