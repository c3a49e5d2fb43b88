import { totalVolumeIn3 } from '@core/wiring/boxfill/boxes-that-fit';
import { boxFill, countBox } from '@core/wiring/boxfill/box-fill';
import { directoryOf } from '@core/handover/directory/directory';
import { energize } from '@core/power/energize/energize';
import { houseCircuits, houseJob } from '@core/choices/house/circuits';
import { readMeter, readTester } from '@core/power/energize/instruments';
import { writeNetlist } from '@core/handover/interchange/netlist';
import { circuitLoad } from '@core/power/load/load';
import { makeUpSteps } from '@core/wiring/makeup/steps';
import { isHouseText } from '@core/job/model/house-file';
import type { Day } from '@core/job/model/day';
import type { Design } from '@core/job/model/design';
import type { Job } from '@core/job/model/job';
import { ownerSheet } from '@core/handover/packet/owner';
import { packetOf } from '@core/handover/packet/packet';
import { markdownOf } from '@core/handover/packet/section';
import { planJob } from '@core/wiring/plan';
import { Names } from '@core/power/proof/names';
import { prove } from '@core/power/proof/prove';
import { checkRules } from '@core/code/rules/check';
import { siteOf } from '@core/code/rules/site';
import { stopsOf } from '@core/site/stops/stops';
import { stopWords } from '@core/site/stops/words';
import { study } from '@core/site/survey/study';
import { dayReport } from './day';
import { drillReport } from './drill';
import { readJson } from './json';
import { diagnoseReport, scriptReport } from './field';
import { takeOffReport } from './takeoff';
import {
  type CommandRow,
  withJob,
  withPlan,
  withState,
  badInput,
  withHouse,
  designsIn,
  type Outcome,
  type PacketAsk,
} from './with-input';

export const commands: Readonly<Record<string, CommandRow>> = {
  validate: {
    says: 'reads the file and says what is wrong with it',
    run: withJob((job) => ({
      exit: 0,
      output: {
        ok: true,
        job: job.id,
        boxes: job.boxes.length,
        runs: job.runs.length,
        devices: job.devices.length,
      },
    })),
  },
  plan: {
    says: 'cables, splices, pigtails, tabs, terminals and the make-up steps of every box',
    run: withPlan((plan) => ({
      exit: 0,
      output: {
        wiring: plan.wiring,
        notes: plan.layout.notes,
        steps: Object.fromEntries(plan.job.boxes.map(({ id }) => [id, makeUpSteps(plan, id)])),
      },
    })),
  },
  stops: {
    says: 'which breakers may be on as far as the steps are ticked, what to cap and cover first, and why not',
    run: withPlan((plan, _, record) => {
      const stops = stopsOf(plan, record.ticks);
      const { answer, circuits } = stopWords(plan, stops);
      return {
        exit: stops.every(({ on }) => on) ? 0 : 1,
        output: { says: answer, circuits: stops.map((stop, index) => ({ ...stop, ...circuits[index] })) },
        errors: circuits.flatMap(({ on, says, lines }) => (on ? [] : [[says, ...lines].join(' ')])),
      };
    }),
  },
  prove: {
    says: 'energizes every switch state and compares it with the request; what each TEST button covers',
    run: withPlan(({ job, wiring }) => {
      const proof = prove(job, wiring);
      return {
        exit: proof.findings.length > 0 ? 1 : 0,
        output: {
          ...proof,
          sampled: proof.parts.some(({ exhaustive }) => !exhaustive),
          coverage: Object.fromEntries(proof.coverage),
          parts: proof.parts.map((part) => ({
            ...part,
            rows: part.rows.map(({ positions, cells }) => ({
              positions: Object.fromEntries(positions),
              cells,
            })),
          })),
        },
        errors: proof.findings.map(({ message }) => message),
      };
    }),
  },
  energize: {
    says: 'one state (--state): voltage at every point, current in every wire, instruments',
    run: withState(({ job, wiring }, { network, state: start, pressed }) => {
      const { point, state, trips, groundFaults, overloads } = energize(network, start);
      const names = new Names(job, wiring);
      const volts = (index: number) => {
        const value = point.volts(index);
        return Number.isNaN(value) ? null : value;
      };
      const errors = [
        ...trips.map(({ circuit, amps }) => `Breaker ${names.circuit(circuit)} trips: ${amps.toFixed(0)} A.`),
        ...groundFaults.map(
          ({ at, by, reason, amps }) =>
            `${by === 'device' ? `The ${names.device(at)}` : `Breaker ${names.circuit(at)}`} trips: ${reason === 'imbalance' ? `${(amps * 1000).toFixed(0)} mA of ground-fault current` : 'its LOAD neutral is grounded'}.`,
        ),
      ];
      return {
        exit: errors.length > 0 ? 1 : 0,
        output: {
          trips,
          groundFaults,
          overloads,
          pressed,
          tripped: [...state.tripped],
          openBreakers: [...state.openBreakers],
          volts: Object.fromEntries(network.points.map((id, index) => [id, volts(index)])),
          amps: Object.fromEntries(network.wires.map((wire) => [wire.id, point.current(wire)])),
          testers: Object.fromEntries(
            network.parts
              .filter(({ key }) => state.testers.has(key))
              .map((part) => [part.key, readTester(point, part)]),
          ),
          meter: start.meter ? readMeter(network, start, start.meter) : null,
        },
        errors,
      };
    }),
  },
  fill: {
    says: 'box fill, line by line',
    run: withPlan(({ job, wiring }) => {
      const boxes = job.boxes.map((box) => ({
        box: box.id,
        name: box.name,
        ...boxFill(countBox(wiring, box), totalVolumeIn3(box), job.edition),
      }));
      const over = boxes.filter(({ fits }) => !fits);
      return {
        exit: over.length > 0 ? 1 : 0,
        output: boxes,
        errors: over.map(
          ({ name, totalIn3, volumeIn3 }) =>
            `${name}: overfilled, ${totalIn3.toFixed(2)} in³ in a box of ${volumeIn3.toFixed(2)} in³ (314.16).`,
        ),
      };
    }),
  },
  load: {
    says: 'what each circuit carries against its limits',
    run: withJob((job) => {
      const loads = job.circuits.map((circuit) => circuitLoad(job, circuit));
      const findings = loads.flatMap((load) => load.findings);
      return {
        exit: findings.length > 0 ? 1 : 0,
        output: loads,
        errors: findings.map(({ message, section }) => `${message} (${section})`),
      };
    }),
  },
  check: {
    says: "every rule of the job's edition, worst first",
    run: withPlan((plan, _, record) => {
      const findings = checkRules(siteOf(plan).withRecord(record));
      const against = findings.filter(({ severity }) => severity === 'stop' || severity === 'code');
      return {
        exit: against.length > 0 ? 1 : 0,
        output: { findings, setAside: plan.job.amendments },
        errors: against.map(
          ({ rule, message, section }) => `${rule}: ${message}${section ? ` (${section})` : ''}`,
        ),
      };
    }),
  },
  find: {
    says: 'what the opened boxes of the job can still be, the next test, the verdict',
    run: withJob((_job, _state, record) => {
      const surveys = record.surveys.map((survey) => ({ survey: survey.id, ...study(survey) }));
      const errors = surveys.flatMap(({ survey, verdict, advice }) =>
        verdict.contradiction || verdict.tap === 'no' ? [`${survey}: ${advice.answer} ${advice.reason}`] : [],
      );
      return { exit: errors.length > 0 ? 1 : 0, output: surveys, errors };
    }),
  },
  script: {
    says: 'the fewest tests that tell every single mistake, what must come, what only a look finds',
    run: withPlan((plan) => ({ exit: 0, output: scriptReport(plan) })),
  },
  diagnose: {
    says: 'readings in (--readings), mistakes by plausibility and the next test out',
    run: withPlan((plan, readings) => {
      const report = diagnoseReport(plan, readings);
      return report.ok ? { exit: 0, output: report.value } : badInput([...report.problems]);
    }),
  },
  directory: {
    says: 'the lines of the panel directory (408.4) that the job knows, or the house',
    run: (file, state) =>
      isHouseText(file)
        ? withHouse(({ house, jobs }) => ({
            exit: 0,
            output: directoryOf(designsIn({ house, jobs }), house),
          }))(file, state)
        : withJob((job) => ({ exit: 0, output: directoryOf([job]) }))(file, state),
  },
  takeoff: {
    says: 'what to buy with its arithmetic, and the quote by a shop file (--shop) or the example; a house together',
    run: (file, state) => {
      const quoted = (jobs: readonly Design[]): Outcome => {
        const report = takeOffReport(jobs, state);
        if (!report.ok) return badInput([...report.problems]);
        const { refused, ...output } = report.value;
        const errors = refused.map(({ job, why }) => `${job}: ${why}`);
        return jobs.length === refused.length
          ? { exit: 1, errors }
          : { exit: errors.length > 0 ? 1 : 0, output, errors };
      };
      return isHouseText(file)
        ? withHouse((house) => quoted(designsIn(house)))(file, state)
        : withJob((job) => quoted([job]))(file, state);
    },
  },
  day: {
    says: 'the order of work for --crew 1 to 3 from --from HH:MM: tasks with their hour, who, what is off; a house together',
    run: (file, asked) => {
      const told = (jobs: readonly Job[], own: Day): Outcome => {
        const report = dayReport(jobs, own, asked);
        if (!report.ok) return badInput([...report.problems]);
        const { refused, nobody, answer, ...rest } = report.value;
        return {
          exit: nobody || refused.length > 0 ? 1 : 0,
          output: { answer, ...rest },
          errors: [...refused.map(({ job, why }) => `${job}: ${why}`), ...(nobody ? [answer] : [])],
        };
      };
      return isHouseText(file)
        ? withHouse((whole) => {
            const designs = designsIn(whole);
            const jobs = whole.jobs.map((job, index) => ({ ...job, design: designs[index] ?? job.design }));
            return told(jobs, whole.house.day);
          })(file, asked)
        : withJob((design, _, record) => told([{ design, record }], record.day))(file, asked);
    },
  },
  house: {
    says: 'a house file: its circuits with what each job adds, what is against them, which jobs cannot be wired',
    run: withHouse((whole) => {
      const { house } = whole;
      const designs = designsIn(whole);
      const circuits = houseCircuits(house, designs.map(houseJob));
      const refused = designs.flatMap((design) => {
        const outcome = planJob(design);
        return outcome.ok ? [] : [{ job: design.id, why: outcome.refusals.map(({ message }) => message) }];
      });
      const errors = [
        ...circuits.flatMap(({ findings }) => findings),
        ...refused.map(({ job, why }) => `${job}: ${why.join(' ')}`),
      ];
      return {
        exit: errors.length > 0 ? 1 : 0,
        output: { house: house.id, jobs: designs.map(({ id, name }) => ({ id, name })), circuits, refused },
        errors,
      };
    }),
  },
  packet: {
    says: 'the packet of a job in Markdown, or as JSON (--format json); --owner gives the owner’s sheet',
    run: withJob((job, asked, record, house) => {
      const read = readJson(asked, 'packet');
      if (!read.ok) return badInput([...read.problems]);
      const { format, owner, at } = (read.value ?? {}) as PacketAsk;
      const sections = owner
        ? ownerSheet(job)
        : packetOf({
            design: job,
            record,
            house: house && { house: house.house, designs: house.jobs.map(({ design }) => design) },
            at: at ?? new Date().toISOString(),
          });
      return { exit: 0, output: format === 'json' ? sections : markdownOf(job.name, sections) };
    }),
  },
  drill: {
    says: 'a drill by its --seed: --kind fault, wall or make-up, --level 1 to 3; --reveal gives the answer',
    run: withPlan((plan, words) => {
      const report = drillReport(plan, words);
      return report.ok ? { exit: 0, output: report.value } : badInput([...report.problems]);
    }),
  },
  netlist: {
    says: 'one state (--state) as a SPICE deck',
    run: withState(({ job }, { network, state }) => ({
      exit: 0,
      output: writeNetlist(network, state, job.name).text,
    })),
  },
};
