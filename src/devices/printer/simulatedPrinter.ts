import { createServer, type Server, type Socket } from 'node:net';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { spool } from './spoolPrinter';

/** Labels on a new roll. */
const ROLL = 500;
/** A drawing longer than this is not one of a label. */
const LONGEST_DRAWING = 500_000;
/** What it printed last, to be looked at. */
const LAST_SHOWN = 12;

type Trouble = 'OUT' | 'JAM' | 'OPEN';

/** A label printer that stands in for a real one: it has a roll that ends, it jams, and shows what it printed. */
export class SimulatedPrinter {
  private left = ROLL;
  private jammed = false;
  private open = false;
  private last: string[] = [];

  /** @param folder - where what it printed can be looked at */
  constructor(readonly folder: string) {}

  /** Takes one job after the other from whoever connects. */
  readonly server: Server = createServer((socket) => {
    socket.on('error', () => socket.destroy());
    void this.serve(socket).catch(() => socket.destroy());
  });

  private async serve(socket: Socket): Promise<void> {
    let heard = Buffer.alloc(0);
    for await (const chunk of socket) {
      heard = Buffer.concat([heard, chunk as Buffer]);
      for (let job = jobIn(heard); job; job = jobIn(heard)) {
        heard = heard.subarray(job.length);
        socket.write(`${await this.print(job.name, job.drawing)}\r\n`);
      }
      if (heard.length > LONGEST_DRAWING) socket.destroy();
    }
  }

  private trouble(): Trouble | undefined {
    if (this.open) return 'OPEN';
    if (this.jammed) return 'JAM';
    return this.left <= 0 ? 'OUT' : undefined;
  }

  private async print(name: string, drawing: string): Promise<string> {
    const trouble = this.trouble();
    if (trouble) return `J ${trouble}`;
    const again = existsSync(join(this.folder, `${name}.svg`));
    const file = await spool(this.folder, name, drawing);
    if (!again) {
      this.left -= 1;
      this.last = [file, ...this.last].slice(0, LAST_SHOWN);
    }
    return `J OK ${file}`;
  }

  state(): { left: number; trouble: Trouble | null; last: readonly string[] } {
    return { left: this.left, trouble: this.trouble() ?? null, last: this.last };
  }

  /** @returns what is wrong with what a hand did; undefined when it was done */
  hand(does: string, { left, on }: Record<string, unknown>): string | undefined {
    switch (does) {
      case 'roll':
        if (!Number.isInteger(left) || Number(left) < 0) return 'Say how many labels the roll has.';
        this.left = Number(left);
        return undefined;
      case 'jam':
        this.jammed = on === true;
        return undefined;
      default:
        this.open = on === true;
        return undefined;
    }
  }
}

/** The first whole job of what was heard; undefined while it is still coming. */
function jobIn(heard: Buffer): { name: string; drawing: string; length: number } | undefined {
  const end = heard.indexOf('\r\n');
  if (end < 0) return undefined;
  const found = /^J ([\w-]{1,80}) (\d{1,6})$/.exec(heard.subarray(0, end).toString('latin1'));
  if (!found) throw new Error('No such word.');
  const [, name, bytes] = found;
  const from = end + 2;
  const to = from + Number(bytes);
  // What was asked ends with the end of a line as well.
  if (heard.length < to + 2) return undefined;
  return { name: name!, drawing: heard.subarray(from, to).toString('utf8'), length: to + 2 };
}
