// Serves build/client and says where: on PORT, or on the first free port from 4173 on. Static files, nothing else.
import { existsSync, readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import sirv from 'sirv';

const CLIENT = 'build/client';
const FALLBACK = '/__spa-fallback.html';
/** The address below which a page lies speaks another language than English. */
const LANGUAGE = /^\/[a-z]{2}(?=\/|$)/;
if (!existsSync(`${CLIENT}${FALLBACK}`)) {
  console.error('There is no build yet. Run: npm run demo');
  process.exit(1);
}
const { policy } = JSON.parse(readFileSync('build/headers.json', 'utf8'));
const HEADERS = {
  'Content-Security-Policy': `${policy}; frame-ancestors 'none'`,
  'X-Content-Type-Options': 'nosniff',
  'Referrer-Policy': 'no-referrer',
  'Cross-Origin-Opener-Policy': 'same-origin',
  'Permissions-Policy': 'geolocation=(), microphone=(), payment=()',
};
/** Addresses that the app knows and that are no file: a job and its stages, a drill. */
const KNOWN = /^\/(job\/[^/]+(\/[^/]+)?|house\/[^/]+(\/[^/]+)?|drills\/[^/]+)\/?$/;

const files = sirv(CLIENT, {
  etag: true,
  gzip: true,
  brotli: true,
  setHeaders: (response, path) => {
    for (const [name, value] of Object.entries(HEADERS)) response.setHeader(name, value);
    // Names of built files hold their content; pages and the worker are asked for anew each time.
    const lasts = path.replace(LANGUAGE, '').startsWith('/assets/');
    response.setHeader('Cache-Control', lasts ? 'public, max-age=31536000, immutable' : 'no-cache');
  },
});
const server = createServer((request, response) => {
  if (request.method !== 'GET' && request.method !== 'HEAD')
    return refuse(response, 405, { Allow: 'GET, HEAD' });
  const pathname = pathOf(request.url);
  if (pathname === null) return refuse(response, 400);
  files(request, response, () => {
    // The page says itself that there is nothing; the answer does too.
    const own = LANGUAGE.exec(pathname)?.[0] ?? '';
    const language = own !== '' && existsSync(`${CLIENT}${own}${FALLBACK}`) ? own : '';
    const status = KNOWN.test(pathname.slice(language.length)) ? 200 : 404;
    request.url = `${language}${FALLBACK}`;
    if (status === 404) {
      const writeHead = response.writeHead.bind(response);
      response.writeHead = (code, ...rest) => writeHead(code === 200 ? 404 : code, ...rest);
    }
    files(request, response, () => {
      response.statusCode = 500;
      response.end();
    });
  });
});

const host = process.env.HOST ?? '127.0.0.1';
const asked = process.env.PORT;
const candidates = asked ? [Number(asked)] : Array.from({ length: 20 }, (_, index) => 4173 + index);
for (const port of candidates) {
  if (!(await listens(port))) continue;
  console.log(`Split Tap, with the demo house: http://${host === '0.0.0.0' ? 'localhost' : host}:${port}/`);
  break;
}
if (!server.listening) {
  const which = asked ? `Port ${asked} is` : `Ports ${candidates[0]} to ${candidates.at(-1)} are`;
  console.error(`${which} taken or not allowed. Choose another: PORT=5000 npm run demo`);
  process.exit(1);
}
for (const signal of ['SIGINT', 'SIGTERM'])
  process.on(signal, () => {
    server.closeAllConnections();
    server.close(() => process.exit(0));
  });

/** The path of an address; null where it is none that can be parsed or decoded. */
function pathOf(address = '') {
  if (!/^\/(?![/\\])/.test(address)) return null;
  try {
    decodeURI(address);
    return new URL(address, 'http://localhost').pathname;
  } catch {
    return null;
  }
}

function refuse(response, status, headers = {}) {
  response.writeHead(status, { ...HEADERS, 'Content-Length': 0, ...headers });
  response.end();
}

/** True once the server listens there. */
function listens(port) {
  return new Promise((resolve) => {
    if (!Number.isInteger(port) || port < 1 || port > 65535) return resolve(false);
    server.once('error', () => resolve(false));
    server.listen(port, host, () => resolve(true));
  });
}
