import next from 'next';
import { createServer } from 'node:http';

/**
 * The app's own server: Next behind the few things that must hold for every request, files included. It is started by
 * `npm start` and `npm run demo`, which start it again when it ends badly.
 */
const port = Number(process.env.PORT ?? 3000);
/** The address of a TLS proxy on the shop's network whose word on the client's address is believed. */
const proxy = process.env.FRACTUM_PROXY ?? '';
/** The names this shop answers to; any when it is empty. */
const hosts = (process.env.FRACTUM_HOSTS ?? '').split(',').filter(Boolean);

/** Headers of every answer, pages and files alike; pages get a policy of their own in `src/proxy.ts`. */
const HEADERS = {
  'x-content-type-options': 'nosniff',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
};

function isReadable(url) {
  try {
    decodeURIComponent(new URL(url, 'http://shop').pathname);
    return true;
  } catch {
    return false;
  }
}

/** Writes down where a request comes from; what a client says of itself is not believed. */
function noteAddress(request) {
  const remote = (request.socket.remoteAddress ?? '').replace(/^::ffff:/, '');
  const trusted = proxy !== '' && remote === proxy;
  const said = String(request.headers['x-forwarded-for'] ?? '')
    .split(',')
    .at(-1)
    .trim();
  if (!trusted) {
    for (const name of Object.keys(request.headers)) {
      if (name.startsWith('x-forwarded-')) delete request.headers[name];
    }
  }
  request.headers['x-fractum-address'] = trusted && said !== '' ? said : remote;
}

function refuse(response, status, message) {
  response.writeHead(status, { 'content-type': 'application/json' });
  response.end(JSON.stringify({ ok: false, reason: 'invalid', message }));
}

const app = next({ dev: false, port });
const handle = app.getRequestHandler();
await app.prepare();

const server = createServer((request, response) => {
  for (const [name, value] of Object.entries(HEADERS)) response.setHeader(name, value);
  if (!isReadable(request.url)) return refuse(response, 400, 'The address cannot be read.');
  const host = String(request.headers.host ?? '').replace(/:\d+$/, '');
  if (hosts.length > 0 && !hosts.includes(host)) return refuse(response, 421, 'This shop has another name.');
  noteAddress(request);
  if (request.headers['x-forwarded-proto'] === 'https') {
    response.setHeader('strict-transport-security', 'max-age=31536000');
  }
  return handle(request, response);
});
server.on('error', (error) => {
  process.stderr.write(`The app cannot listen on port ${port}: ${error.message}\n`);
  process.exit(1);
});
server.listen(port);

/** Ends without cutting off what is being answered; open streams of readings do not hold it up. */
function stop() {
  server.close(() => process.exit(0));
  server.closeIdleConnections();
  setTimeout(() => server.closeAllConnections(), 1000).unref();
}
process.on('SIGTERM', stop);
process.on('SIGINT', stop);
