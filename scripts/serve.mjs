// Serves build/ on PORT (4173 unless set) and says where.
import { spawn } from 'node:child_process';
import { existsSync } from 'node:fs';

if (!existsSync('build/server/index.js')) {
  console.error('There is no build yet. Run: npm run demo');
  process.exit(1);
}
const port = process.env.PORT ?? '4173';
const host = process.env.HOST ?? '127.0.0.1';
const server = spawn(
  process.execPath,
  ['node_modules/@react-router/serve/bin.js', './build/server/index.js'],
  {
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, NODE_ENV: 'production', PORT: port, HOST: host },
  },
);
console.log(`Split Tap, with the demo house: http://${host === '0.0.0.0' ? 'localhost' : host}:${port}/`);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
