import { createConnection, type Socket } from 'node:net';
import { createInterface } from 'node:readline';
import type { DeviceAddress } from './address';

/** What listens to a wire. */
export type WireEnd = {
  readonly onLine: (line: string) => void;
  /** It will not say anything any more, and why. */
  readonly onEnd: (error: Error) => void;
};

/** Milliseconds without a word after which a device that never rests is away, whatever the network says. */
const SILENT_FOR_MS = 4000;

/** Plain text over TCP, line by line: what a serial port behind a network converter says. */
export class LineWire {
  private readonly socket: Socket;
  private ended = false;

  constructor(address: DeviceAddress, end: WireEnd) {
    this.socket = createConnection(address);
    this.socket.setNoDelay(true);
    this.socket.setTimeout(SILENT_FOR_MS, () => this.socket.destroy(new Error('The device says nothing.')));
    const finish = (error: Error) => {
      if (this.ended) return;
      this.ended = true;
      end.onEnd(error);
    };
    this.socket.on('error', finish);
    this.socket.on('close', () => finish(new Error('The device has hung up.')));
    const lines = createInterface({ input: this.socket, crlfDelay: Infinity });
    lines.on('line', end.onLine);
    // Said by the socket as well; here it would end the program.
    lines.on('error', () => undefined);
  }

  say(line: string): void {
    this.socket.write(`${line}\r\n`);
  }

  close(): void {
    this.ended = true;
    this.socket.destroy();
  }
}

/**
 * Says something to a device and hears one line.
 *
 * @param payload - what follows the line, as it is
 * @throws Error when the device does not answer in time
 */
export function askOnce(address: DeviceAddress, line: string, payload = ''): Promise<string> {
  return new Promise((resolve, reject) => {
    const wire = new LineWire(address, {
      onLine: (answer) => {
        wire.close();
        resolve(answer);
      },
      onEnd: reject,
    });
    wire.say(line + (payload === '' ? '' : `\r\n${payload}`));
  });
}
