import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { commands, type Outcome } from './commands';

const USAGE = `split-tap <command> <file.splittap.json> [--state state.json] [--readings readings.json] [--shop shop.json]
          [--seed n] [--kind fault|wall|make-up] [--level 1|2|3] [--reveal] [--pretty]

${Object.entries(commands)
  .map(([name, { says }]) => `  ${name.padEnd(9)} ${says}`)
  .join('\n')}

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
      pretty: { type: 'boolean', default: false },
    },
  });
  const [name, file, ...rest] = positionals;
  const command = name !== undefined && Object.hasOwn(commands, name) ? commands[name] : undefined;
  if (!command || file === undefined || rest.length > 0) return { exit: 2, errors: [USAGE] };
  const text = read(file);
  const given = values.state ?? values.readings ?? values.shop;
  const { seed, kind, level, reveal } = values;
  const state =
    given !== undefined
      ? read(given)
      : name === 'drill'
        ? JSON.stringify({ seed, kind, level, reveal })
        : '{}';
  const outcome = command.run(text, state);
  if (outcome.output !== undefined) {
    const { output } = outcome;
    const json = typeof output === 'string' ? output : JSON.stringify(output, null, values.pretty ? 2 : 0);
    process.stdout.write(`${json.trimEnd()}\n`);
  }
  return outcome;
}

class Unreadable extends Error {}

function read(file: string): string {
  try {
    return readFileSync(file, 'utf8');
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
