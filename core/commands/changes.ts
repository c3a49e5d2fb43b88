import { current, type Draft } from 'immer';
import { PANEL, Run, type Job } from '../model/job';
import { freshBox, removeBox, splitRun } from './box-changes';
import type { Command } from './command';
import { addDevice, freeThePair, moveDevice, moveGang, setKind, turnHalves } from './device-changes';
import { weigh } from '../survey/evidence';
import { layOutFound } from '../survey/lay-out-found';
import { takeReading } from '../survey/take-reading';
import { freshId } from '../model/fresh-id';
import { dropLines, dropUnused, dropVia, find, keepMutual, keepPairProtected } from './upkeep';

/** Carries a command out on a draft whose named things were checked to be there. */
export function change(job: Draft<Job>, command: Command): void {
  switch (command.do) {
    case 'rename job':
      job.name = command.name;
      return;
    case 'set edition':
      job.edition = command.edition;
      return;
    case 'set habits':
      if (command.habits.switchedHalf && command.habits.switchedHalf !== job.habits.switchedHalf)
        turnHalves(job);
      Object.assign(job.habits, command.habits);
      return;
    case 'set circuit':
      Object.assign(find(job.circuits, command.circuit), command.change);
      for (const field of ['tiedWith', 'multiwireWith'] as const) {
        if (command.change[field] !== undefined) keepMutual(job, command.circuit, field);
      }
      keepPairProtected(job, command.circuit);
      return;
    case 'move feed': {
      const run = find(job.runs, command.run);
      if (run.from === PANEL) run.to = command.box;
      else run.from = command.box;
      return;
    }
    case 'set box':
      Object.assign(find(job.boxes, command.box), command.change);
      return;
    case 'set run':
      Object.assign(find(job.runs, command.run), command.change);
      return;
    case 'set control':
    case 'set load': {
      const want = find(job.devices, command.device).wants[command.part];
      if (want?.does !== 'power') return;
      if (command.do === 'set control') want.control = command.control;
      else Object.assign(want, { watts: command.watts, continuous: command.continuous });
      return;
    }
    case 'set want': {
      const want = find(job.devices, command.device).wants[command.part];
      if (want?.does === 'power') Object.assign(want, command.change);
      return;
    }
    case 'set group': {
      const want = find(job.devices, command.device).wants[command.part];
      if (want?.does === 'control') want.group = command.group;
      dropUnused(job);
      return;
    }
    case 'set kind':
      setKind(job, command.device, command.kind);
      return;
    case 'move device':
      moveDevice(job, command.device, command.box);
      return;
    case 'move gang':
      moveGang(job, command.device, command.toward);
      return;
    case 'add run':
      job.runs.push(
        Run.parse({
          id: freshId(job.runs, `${command.from} ${command.to}`),
          from: command.from,
          to: command.to,
          lengthFt: command.lengthFt,
          ...(command.circuits ? { circuits: command.circuits } : {}),
        }),
      );
      return;
    case 'remove run':
      job.runs = job.runs.filter(({ id }) => id !== command.run);
      dropLines(job);
      return;
    case 'allow panel splices':
      job.panelSplices = command.allowed;
      return;
    case 'add switch': {
      const { id } = command.group;
      job.groups.push({ ...command.group });
      for (const { device, part } of command.controls) {
        const want = find(job.devices, device).wants[part];
        if (want?.does === 'power') want.control = id;
      }
      addDevice(job, command.box, { holds: 'switch', circuit: '', group: id });
      return;
    }
    case 'split run':
      splitRun(job, command.run, command.name);
      return;
    case 'free the pair':
      freeThePair(job, command.device);
      return;
    case 'set brief':
      Object.assign(job.brief, command.change);
      return;
    case 'add plan lines':
      for (const line of command.lines) {
        job.brief.lines.push({ ...line, id: freshId(job.brief.lines, line.says) });
      }
      return;
    case 'remove plan line':
      job.brief.lines = job.brief.lines.filter(({ id }) => id !== command.line);
      return;
    case 'mark note': {
      const about = find(job.brief.lines, command.line).about;
      if (about.kind === 'note') about.met = command.met;
      return;
    }
    case 'set room': {
      const known = job.rooms.find(({ id }) => id === command.room.id);
      if (known) Object.assign(known, command.room);
      else job.rooms.push(command.room);
      return;
    }
    case 'remove room':
      job.rooms = job.rooms.filter(({ id }) => id !== command.room);
      for (const box of job.boxes) {
        if (box.spot?.room === command.room) box.spot = null;
        if (box.room === command.room) box.room = null;
      }
      return;
    case 'tick':
      job.ticks = job.ticks.filter(({ box, step }) => box !== command.tick.box || step !== command.tick.step);
      job.ticks.push(command.tick);
      return;
    case 'untick':
      job.ticks = job.ticks.filter(({ box, step }) => box !== command.box || step !== command.step);
      return;
    case 'set connector': {
      const connector = job.connectors.find(({ id }) => id === command.connector);
      if (connector) connector.holds = command.holds;
      return;
    }
    case 'set rating':
      find(job.devices, command.device).ratingA = command.ratingA;
      return;
    case 'add circuit':
      job.circuits.push(command.circuit);
      return;
    case 'add box': {
      const id = freshId(job.boxes, command.name);
      job.boxes.push(freshBox(id, command.name, command.holds === 'light'));
      job.runs.push(
        Run.parse({
          id: freshId(job.runs, `${command.from} ${id}`),
          from: command.from,
          to: id,
          lengthFt: command.lengthFt,
          ...(command.from === PANEL ? { circuits: [command.circuit] } : {}),
        }),
      );
      addDevice(job, id, command);
      return;
    }
    case 'add device':
      addDevice(job, command.box, command);
      return;
    case 'set survey': {
      const at = job.surveys.findIndex(({ id }) => id === command.survey.id);
      if (at < 0) job.surveys.push(command.survey);
      else job.surveys[at] = command.survey;
      return;
    }
    case 'remove survey':
      job.surveys = job.surveys.filter(({ id }) => id !== command.survey);
      return;
    case 'add reading': {
      const { readings } = find(job.surveys, command.survey);
      takeReading(readings, command.reading);
      return;
    }
    case 'remove reading': {
      const survey = find(job.surveys, command.survey);
      survey.readings = survey.readings.filter(({ id }) => id !== command.reading);
      return;
    }
    case 'lay out what was found': {
      const survey = find(current(job).surveys, command.survey);
      const [best] = weigh(survey).filter(({ against }) => against.length === 0);
      if (best) Object.assign(job, layOutFound(current(job), survey, best, command.take));
      return;
    }
    case 'set device':
      Object.assign(find(job.devices, command.device), command.change);
      return;
    case 'set use': {
      const want = find(job.devices, command.device).wants[command.part];
      if (want?.does !== 'power') return;
      const { appliance, ...change } = command.change;
      Object.assign(want, change);
      if (appliance === null) delete want.appliance;
      else if (appliance !== undefined) want.appliance = appliance;
      return;
    }
    case 'set amendment': {
      const rest = job.amendments.filter(({ rule }) => rule !== command.rule);
      const { rule, reason } = command;
      job.amendments = reason === null ? rest : [...rest, { rule, reason }];
      return;
    }
    case 'remove device': {
      const device = find(job.devices, command.device);
      job.devices = job.devices.filter((one) => one !== device);
      dropVia(job, device.id);
      dropUnused(job);
      return;
    }
    case 'remove box':
      removeBox(job, command.box);
      return;
  }
}
