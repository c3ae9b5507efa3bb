import { randomBytes } from 'node:crypto';
import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { PANEL } from './panel';
import {
  emptyPlatform,
  nextReading,
  placeAgain,
  placeLoad,
  shake,
  takeTare,
  type Platform,
  type ScaleKind,
} from './platform';
import { signReading } from './signature';
import type { WeighingUnit } from '@/core/quantity/weight';

/** Readings a second that a scale sends. */
const READINGS_PER_SECOND = 8;

/** A post of more than this is not a weight. */
const LONGEST_POST = 1000;

const unit: WeighingUnit = process.env.FRACTUM_UNIT === 'kg' ? 'kg' : 'lb';
/** Shared with the shop: readings are signed with it. */
const key = process.env.FRACTUM_SCALE_KEY ?? '';

/** One of the scales that stand here, with whoever watches it. */
class Simulated {
  private platform: Platform;
  private readonly listeners = new Set<ServerResponse>();

  constructor(private readonly kind: ScaleKind) {
    this.platform = emptyPlatform(`${kind}-${randomBytes(4).toString('hex')}`, unit, kind);
    setInterval(() => this.tell(), 1000 / READINGS_PER_SECOND);
  }

  private tell(): void {
    const next = nextReading(this.platform, Math.random() * 2 - 1);
    this.platform = next.platform;
    const signed = signReading(next.reading, new Date(), key);
    for (const listener of this.listeners) listener.write(`data: ${JSON.stringify(signed)}\n\n`);
  }

  /** @returns what is wrong with the request; undefined when it was done */
  post(path: string, body: Record<string, unknown>): string | undefined {
    if (path === 'shake') this.platform = shake(this.platform, body.shaking === true);
    if (path === 'place') return this.place(body);
    return path === 'tare' ? this.tare() : undefined;
  }

  private place(body: Record<string, unknown>): string | undefined {
    const thousandths = Math.round(Number(body.weight) * 1000);
    if (!Number.isFinite(thousandths) || thousandths < 0) return 'Say a weight such as 2.50.';
    const put = body.again === true ? placeAgain : placeLoad;
    this.platform = put(this.platform, thousandths);
    return undefined;
  }

  private tare(): string | undefined {
    const tared = takeTare(this.platform);
    if (tared === 'not-steady') return 'Wait until the scale is steady, then tare.';
    this.platform = tared;
    return undefined;
  }

  watch(request: IncomingMessage, response: ServerResponse): void {
    response.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store' });
    this.listeners.add(response);
    request.on('close', () => this.listeners.delete(response));
  }
}

const scales = { bench: new Simulated('bench'), rail: new Simulated('rail') };

async function readPost(request: IncomingMessage): Promise<Record<string, unknown>> {
  let text = '';
  for await (const chunk of request) {
    text += chunk;
    if (text.length > LONGEST_POST) throw new Error('Too long.');
  }
  return text === '' ? {} : (JSON.parse(text) as Record<string, unknown>);
}

/** The bench scale answers at `/`, the rail scale under `/rail/`. */
async function answer(request: IncomingMessage, response: ServerResponse): Promise<void> {
  const { pathname } = new URL(request.url ?? '/', 'http://scale');
  const [, rail, path = ''] = /^\/(rail\/)?(\w*)$/.exec(pathname) ?? [];
  const scale = scales[rail ? 'rail' : 'bench'];
  if (request.method === 'GET' && path === '' && !pathname.endsWith('/rail')) {
    const title = rail ? 'Simulated rail scale' : 'Simulated bench scale';
    response.setHeader('content-type', 'text/html; charset=utf-8').end(PANEL.replaceAll('%TITLE%', title));
  } else if (request.method === 'GET' && path === 'readings') {
    scale.watch(request, response);
  } else if (request.method === 'POST' && ['place', 'shake', 'tare'].includes(path)) {
    const problem = scale.post(path, await readPost(request));
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
  process.stdout.write(`Simulated scales on http://localhost:${port} and http://localhost:${port}/rail/\n`);
});
