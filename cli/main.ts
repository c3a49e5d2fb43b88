import { readFileSync, writeFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { commands } from './commands';
import { together, type Outcome } from './with-input';
import { mergeReport } from './merge';

const USAGE = `split-tap <command> <file.splittap.json …> [--state state.json] [--readings readings.json] [--shop shop.json]
          [--seed n] [--kind fault|wall|make-up] [--level 1|2|3] [--reveal] [--format md|json] [--owner] [--pretty]
          [--crew 1|2|3] [--from HH:MM]
split-tap merge [base] <ours> <theirs> [--out file.zip]

${Object.entries(commands)
  .map(([name, { says }]) => `  ${name.padEnd(9)} ${says}`)
  .join('\n')}
  merge     two files of a job, a house or a zip as one; what both changed otherwise is listed, exit 1

Several files at once, job files or house files (.splittap-house.json): a command is carried out on each job.
JSON on standard output, errors on standard error. Exit 0 good, 1 findings, 2 bad input.`;

function main(): Outcome {
  const { values, positionals } = parseArgs({
    allowPositionals: true,
    options: {
      state: { type: 'string' },
      readings: { type: 'string' },
      shop: { type: 'string' },
      seed: { type: 'string' },
      kind: { type: 'string' },
      level: { type: 'string' },
      reveal: { type: 'boolean' },
      format: { type: 'string' },
      owner: { type: 'boolean' },
      crew: { type: 'string' },
      from: { type: 'string' },
      out: { type: 'string' },
      pretty: { type: 'boolean', default: false },
    },
  });
  const [name, ...files] = positionals;
  if (name === 'merge') {
    if (files.length < 2 || files.length > 3) return { exit: 2, errors: [USAGE] };
    const { out } = values;
    return printed(
      mergeReport(
        files.map((file) => ({ name: file, bytes: bytesOf(file) })),
        out === undefined ? undefined : (bytes) => writeFileSync(out, bytes),
      ),
      values.pretty,
    );
  }
  const command = name !== undefined && Object.hasOwn(commands, name) ? commands[name] : undefined;
  const [first] = files;
  if (!command || first === undefined) return { exit: 2, errors: [USAGE] };
  const given = values.state ?? values.readings ?? values.shop;
  const { seed, kind, level, reveal, format, owner, crew, from } = values;
  if (format !== undefined && format !== 'md' && format !== 'json') return { exit: 2, errors: [USAGE] };
  const asked =
    name === 'drill'
      ? { seed, kind, level, reveal }
      : name === 'packet'
        ? { format, owner }
        : name === 'day'
          ? { crew, from, shop: values.shop === undefined ? undefined : read(values.shop) }
          : {};
  const state = given === undefined || name === 'day' ? JSON.stringify(asked) : read(given);
  const outcome =
    files.length === 1
      ? command.run(read(first), state)
      : together(files.map((file) => ({ of: { file }, outcome: command.run(read(file), state) })));
  return printed(outcome, values.pretty);
}

function printed(outcome: Outcome, pretty: boolean): Outcome {
  const { output } = outcome;
  if (output !== undefined) {
    const json = typeof output === 'string' ? output : JSON.stringify(output, null, pretty ? 2 : 0);
    process.stdout.write(`${json.trimEnd()}\n`);
  }
  return outcome;
}

class Unreadable extends Error {}

const read = (file: string): string => bytesOf(file).toString('utf8');

function bytesOf(file: string): Buffer {
  try {
    return readFileSync(file);
  } catch (error) {
    throw new Unreadable(`${file}: cannot be read (${error instanceof Error ? error.message : 'unknown'})`);
  }
}

try {
  const { exit, errors = [] } = main();
  for (const error of errors) console.error(error);
  process.exitCode = exit;
} catch (error) {
  if (!(error instanceof Unreadable) && !(error instanceof TypeError && 'code' in error)) throw error;
  console.error(error.message);
  process.exitCode = 2;
}
