import { randomBytes } from 'node:crypto';
import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { PANEL } from './panel';
import { emptyPlatform, nextReading, placeAgain, placeLoad, shake, takeTare } from './platform';
import { signReading } from './signature';
import type { WeighingUnit } from '@/core/quantity/weight';

/** Readings a second that a bench scale sends. */
const READINGS_PER_SECOND = 8;

/** A post of more than this is not a weight. */
const LONGEST_POST = 1000;

const unit: WeighingUnit = process.env.FRACTUM_UNIT === 'kg' ? 'kg' : 'lb';
let platform = emptyPlatform(`bench-${randomBytes(4).toString('hex')}`, unit);
/** Shared with the shop: readings are signed with it. */
const key = process.env.FRACTUM_SCALE_KEY ?? '';
const listeners = new Set<ServerResponse>();

setInterval(() => {
  const next = nextReading(platform, Math.random() * 2 - 1);
  platform = next.platform;
  const signed = signReading(next.reading, new Date(), key);
  for (const listener of listeners) listener.write(`data: ${JSON.stringify(signed)}\n\n`);
}, 1000 / READINGS_PER_SECOND);

async function readPost(request: IncomingMessage): Promise<Record<string, unknown>> {
  let text = '';
  for await (const chunk of request) {
    text += chunk;
    if (text.length > LONGEST_POST) throw new Error('Too long.');
  }
  return text === '' ? {} : (JSON.parse(text) as Record<string, unknown>);
}

function place(body: Record<string, unknown>): string | undefined {
  const thousandths = Math.round(Number(body.weight) * 1000);
  if (!Number.isFinite(thousandths) || thousandths < 0) return 'Say a weight such as 2.50.';
  platform = body.again === true ? placeAgain(platform, thousandths) : placeLoad(platform, thousandths);
  return undefined;
}

function tare(): string | undefined {
  const tared = takeTare(platform);
  if (tared === 'not-steady') return 'Wait until the scale is steady, then tare.';
  platform = tared;
  return undefined;
}

async function answer(request: IncomingMessage, response: ServerResponse): Promise<void> {
  const path = new URL(request.url ?? '/', 'http://scale').pathname;
  if (request.method === 'GET' && path === '/') {
    response.setHeader('content-type', 'text/html; charset=utf-8').end(PANEL);
  } else if (request.method === 'GET' && path === '/readings') {
    response.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store' });
    listeners.add(response);
    request.on('close', () => listeners.delete(response));
  } else if (request.method === 'POST' && ['/place', '/shake', '/tare'].includes(path)) {
    const body = await readPost(request);
    if (path === '/shake') platform = shake(platform, body.shaking === true);
    const problem = path === '/place' ? place(body) : path === '/tare' ? tare() : undefined;
    response.writeHead(problem ? 409 : 204).end(problem);
  } else {
    response.writeHead(404).end('No such page on the scale.');
  }
}

const server = createServer((request, response) => {
  answer(request, response).catch((error: Error) => response.writeHead(400).end(error.message));
});
server.listen(Number(process.env.FRACTUM_SCALE_PORT ?? 4010), '127.0.0.1', () => {
  const { port } = server.address() as AddressInfo;
  process.stdout.write(`Simulated scale on http://localhost:${port}\n`);
});
