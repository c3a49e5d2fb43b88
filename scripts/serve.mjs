// Serves build/ and says where: on PORT, or on the first free port from 4173 on.
import { spawn } from 'node:child_process';
import { existsSync } from 'node:fs';
import { createServer } from 'node:net';

if (!existsSync('build/server/index.js')) {
  console.error('There is no build yet. Run: npm run demo');
  process.exit(1);
}
const host = process.env.HOST ?? '127.0.0.1';
const asked = process.env.PORT;
const candidates = asked ? [Number(asked)] : Array.from({ length: 20 }, (_, index) => 4173 + index);
let port;
for (const candidate of candidates) {
  if (await isFree(candidate)) {
    port = candidate;
    break;
  }
}
if (port === undefined) {
  const which = asked ? `Port ${asked} is` : `Ports ${candidates[0]} to ${candidates.at(-1)} are`;
  console.error(`${which} taken or not allowed. Choose another: PORT=5000 npm run demo`);
  process.exit(1);
}
const server = spawn(
  process.execPath,
  ['node_modules/@react-router/serve/bin.js', './build/server/index.js'],
  {
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, NODE_ENV: 'production', PORT: String(port), HOST: host },
  },
);
console.log(`Split Tap, with the demo house: http://${host === '0.0.0.0' ? 'localhost' : host}:${port}/`);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));

/** True where something can listen there. */
function isFree(candidate) {
  return new Promise((resolve) => {
    if (!Number.isInteger(candidate) || candidate < 1 || candidate > 65535) return resolve(false);
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(candidate, host, () => probe.close(() => resolve(true)));
  });
}
