import type { Label } from '@/core/label/label';

/** Any label printer that the shop connects. A real driver implements this. */
export interface LabelPrinter {
  /**
   * Prints one label.
   *
   * @param name - unique for each label; the same name prints the same label again, not a second one
   * @returns where the printed label can be looked at
   */
  print(label: Label, name: string): Promise<string>;
}
