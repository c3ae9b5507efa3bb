import type { Label } from '@/core/label/label';

/** A label that this printer will never print, however often it is tried. */
export class UnprintableLabel extends Error {
  constructor(
    readonly reason: string,
    readonly label: Label,
  ) {
    super(`The label of ${label.cut} cannot be printed: ${reason}`);
    this.name = 'UnprintableLabel';
  }
}

/** The printer cannot go on, or cannot be reached; what it says is for whoever stands at the table. */
export class PrinterAway extends Error {
  constructor(words: string) {
    super(words);
    this.name = 'PrinterAway';
  }
}

/** Any label printer that the shop connects. A real driver implements this. */
export interface LabelPrinter {
  /**
   * Prints one label.
   *
   * @param name - unique for each label; the same name prints the same label again, not a second one
   * @returns where the printed label can be looked at
   * @throws UnprintableLabel when the label itself is at fault; any other error means that the printer is away
   */
  print(label: Label, name: string): Promise<string>;
}
