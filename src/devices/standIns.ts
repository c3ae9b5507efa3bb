import { readFile } from 'node:fs/promises';
import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import type { AddressInfo, Server } from 'node:net';
import { join } from 'node:path';
import { loggerPanel, printerPanel, probePanel, scalePanel } from './panels';
import { SimulatedPrinter } from './printer/simulatedPrinter';
import { SimulatedLogger } from './probe/simulatedLogger';
import { SimulatedProbe } from './probe/simulatedProbe';
import { SimulatedScale } from './scale/simulatedScale';

/**
 * The devices that ship with the app, in a process of their own: the panels of all of them over HTTP on FRACTUM_STAND_INS
 * (a port), and on the six ports above it bench scale, rail scale, label printer, probe, seasoning scale and the logger of the
 * smokehouse as a network converter would offer them. FRACTUM_STAND_INS=0 takes any free ports and says which.
 */

/** A post of more than this is nothing that a hand does. */
const LONGEST_POST = 1000;

const unit = process.env.FRACTUM_UNIT === 'kg' ? 'kg' : 'lb';
const degrees = unit === 'kg' ? 'C' : 'F';

const scales = {
  bench: new SimulatedScale('bench', unit),
  rail: new SimulatedScale('rail', unit),
  spice: new SimulatedScale('spice', 'g'),
};
const printer = new SimulatedPrinter(join(process.env.FRACTUM_DATA ?? '.', 'labels'));
const probe = new SimulatedProbe(degrees);
const logger = new SimulatedLogger();

async function readPost(request: IncomingMessage): Promise<Record<string, unknown>> {
  let text = '';
  for await (const chunk of request) {
    text += chunk;
    if (text.length > LONGEST_POST) throw new Error('Too long.');
  }
  return text === '' ? {} : (JSON.parse(text) as Record<string, unknown>);
}

function html(response: ServerResponse, text: string): void {
  response.setHeader('content-type', 'text/html; charset=utf-8').end(text);
}

function json(response: ServerResponse, value: unknown): void {
  response.setHeader('content-type', 'application/json').end(JSON.stringify(value));
}

const NOT_HERE = Symbol('not here');

/** The scale whose panel this is; undefined for another device. */
function scaleNamed(device: string): SimulatedScale | undefined {
  if (device === '') return scales.bench;
  return device === 'rail' || device === 'spice' ? scales[device] : undefined;
}

/** @returns what is wrong with what a hand did; undefined when it was done */
function handAt(device: string, does: string, body: Record<string, unknown>): string | undefined | symbol {
  const scale = scaleNamed(device);
  if (scale && ['place', 'shake', 'noise', 'unplug', 'tare'].includes(does)) return scale.hand(does, body);
  if (device === 'printer' && ['roll', 'jam', 'open'].includes(does)) return printer.hand(does, body);
  if (device === 'logger' && ['curve', 'speed', 'silent'].includes(does)) return logger.hand(does, body);
  if (device === 'probe' && does === 'stick') return probe.stick(Number(body.degrees));
  return NOT_HERE;
}

function streamReadings(scale: SimulatedScale, request: IncomingMessage, response: ServerResponse): void {
  response.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store' });
  const stop = scale.show((said) =>
    response.write(`data: ${JSON.stringify({ ...said, unit: scale.unit })}\n\n`),
  );
  request.on('close', stop);
}

/** @returns whether there is such a page */
async function show(
  device: string,
  what: string,
  request: IncomingMessage,
  response: ServerResponse,
): Promise<boolean> {
  const page = `${device}/${what}`;
  const label = /^printer\/labels\/([\w-]+\.svg)$/.exec(page);
  if (label) {
    response.setHeader('content-type', 'image/svg+xml').end(await readFile(join(printer.folder, label[1]!)));
  } else if (page === '/') html(response, scalePanel('Simulated bench scale'));
  else if (page === 'rail/') html(response, scalePanel('Simulated rail scale'));
  else if (page === 'spice/') html(response, scalePanel('Simulated seasoning scale'));
  else if (page === 'printer/') html(response, printerPanel());
  else if (page === 'probe/') html(response, probePanel(degrees));
  else if (page === 'logger/') html(response, loggerPanel());
  else if (page === '/readings') streamReadings(scales.bench, request, response);
  else if (page === 'rail/readings') streamReadings(scales.rail, request, response);
  else if (page === 'spice/readings') streamReadings(scales.spice, request, response);
  else if (page === 'printer/state') json(response, printer.state());
  else if (page === 'probe/state') json(response, probe.reading());
  else if (page === 'logger/state') json(response, logger.state());
  else return false;
  return true;
}

async function answer(request: IncomingMessage, response: ServerResponse): Promise<void> {
  const { pathname } = new URL(request.url ?? '/', 'http://devices');
  const [, device = '', what = ''] =
    /^\/(?:(rail|spice|printer|probe|logger)\/)?([\w./-]*)$/.exec(pathname) ?? [];
  if (request.method === 'GET') {
    if (!(await show(device, what, request, response))) response.writeHead(404).end('No such page.');
    return;
  }
  const problem = handAt(device, what, await readPost(request));
  if (problem === NOT_HERE) response.writeHead(404).end('No such page.');
  else response.writeHead(problem ? 409 : 204).end(problem as string | undefined);
}

const panels = createServer((request, response) => {
  answer(request, response).catch((error: Error) => response.writeHead(400).end(error.message));
});

const first = Number(process.env.FRACTUM_STAND_INS ?? 4010);

/** Listens beside the panels; on any free port where theirs is any. */
function listen(server: Server, at: number): Promise<number> {
  return new Promise((resolve) =>
    server.listen(first === 0 ? 0 : first + at, '127.0.0.1', () =>
      resolve((server.address() as AddressInfo).port),
    ),
  );
}

const servers: readonly [string, Server][] = [
  ['panels', panels],
  ['bench', scales.bench.server],
  ['rail', scales.rail.server],
  ['printer', printer.server],
  ['probe', probe.server],
  ['spice', scales.spice.server],
  ['logger', logger.server],
];
const ports = await Promise.all(servers.map(([, server], at) => listen(server, at)));
process.stdout.write(`Stand-ins: ${servers.map(([name], at) => `${name} ${ports[at]}`).join(', ')}\n`);
