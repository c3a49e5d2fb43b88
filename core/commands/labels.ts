import type { Job } from '../model/job';
import type { Command } from './command';

/** What undo calls a command. */
export function labelOf(job: Job, command: Command): string {
  const box = (id: string) => job.boxes.find((one) => one.id === id)?.name ?? id;
  switch (command.do) {
    case 'rename job':
      return 'new name';
    case 'set edition':
      return `edition ${command.edition}`;
    case 'set habits':
      return 'habits of the house';
    case 'set circuit':
      return 'circuit';
    case 'move feed':
      return `feed at ${box(command.box)}`;
    case 'set box':
      return `box at ${box(command.box)}`;
    case 'set run':
      return 'run';
    case 'set control':
      return command.control === null ? 'always on' : 'switched';
    case 'set load':
      return 'load';
    case 'set want':
      return 'feed of a part';
    case 'set group':
      return 'what a switch controls';
    case 'set kind':
      return `another device: ${command.kind}`;
    case 'move device':
      return `moved to ${box(command.box)}`;
    case 'move gang':
      return `moved ${command.toward}`;
    case 'add run':
      return `new run to ${box(command.to)}`;
    case 'remove run':
      return 'run removed';
    case 'allow panel splices':
      return command.allowed ? 'splices in the panel allowed' : 'no splices in the panel';
    case 'add switch':
      return `new switch at ${box(command.box)}`;
    case 'split run':
      return `box ${command.name} in the run`;
    case 'free the pair':
      return 'radio switch';
    case 'set brief':
      return 'brief';
    case 'add plan lines':
      return command.lines.length === 1 ? 'plan line' : `${command.lines.length} plan lines`;
    case 'remove plan line':
      return 'plan line removed';
    case 'mark note':
      return 'note of the plan';
    case 'set room':
      return `room ${command.room.name}`;
    case 'remove room':
      return 'room removed';
    case 'tick':
      return 'tick';
    case 'untick':
      return 'tick taken off';
    case 'set connector':
      return 'connector catalog';
    case 'set rating':
      return `${command.ratingA} A receptacle`;
    case 'add box':
      return `new box ${command.name}`;
    case 'add device':
      return `new ${command.holds}`;
    case 'set survey':
      return `what was found at ${command.survey.name}`;
    case 'remove survey':
      return 'what was found, removed';
    case 'add reading':
      return 'reading';
    case 'remove reading':
      return 'reading taken off';
    case 'add circuit':
      return `circuit ${command.circuit.number} added`;
    case 'lay out what was found':
      return 'lay out from what was found';
    case 'set device':
      return 'device';
    case 'set use':
      return 'what is in use';
    case 'set amendment':
      return command.reason === null
        ? `rule ${command.rule} taken up again`
        : `rule ${command.rule} set aside`;
    case 'remove device':
      return 'device removed';
    case 'remove box':
      return `${box(command.box)} removed`;
  }
}
