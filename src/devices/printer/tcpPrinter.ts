import type { DeviceAddress } from '../wire/address';
import { askOnce } from '../wire/lineWire';
import { drawingOf } from './drawingOf';
import { PrinterAway, type LabelPrinter } from './labelPrinter';

/** What a printer says when it cannot go on, in words for the table. */
const TROUBLE: Readonly<Record<string, string>> = {
  OUT: 'The label printer is out of labels. Put a new roll in; what waits is printed then.',
  JAM: 'A label is jammed in the printer. Clear it; what waits is printed then.',
  OPEN: 'The label printer stands open. Close it; what waits is printed then.',
};

/**
 * A printer that takes drawings over TCP (docs/devices.md): `J name bytes`, then the drawing; it answers `J OK file`, or what
 * is wrong. A name it has printed before is not printed twice.
 */
export function tcpPrinter(address: DeviceAddress): LabelPrinter {
  return {
    async print(label, name) {
      const drawing = drawingOf(label);
      const answer = await askOnce(address, `J ${name} ${Buffer.byteLength(drawing)}`, drawing).catch(() => {
        throw new PrinterAway(
          'The label printer does not answer. Check that it is on; what waits is printed then.',
        );
      });
      const [, outcome, file] = /^J (\w+)(?: (\S+))?$/.exec(answer) ?? [];
      if (outcome === 'OK' && file) return file;
      throw new PrinterAway(TROUBLE[outcome ?? ''] ?? `The label printer said "${answer}".`);
    },
  };
}
