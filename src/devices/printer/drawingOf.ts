import type { Label } from '@/core/label/label';
import { drawLabel } from '@/papers/label';
import { UnprintableLabel } from './labelPrinter';

/**
 * A label as it goes to a printer.
 *
 * @throws UnprintableLabel when it cannot be drawn
 */
export function drawingOf(label: Label): string {
  try {
    return drawLabel(label);
  } catch (error) {
    throw new UnprintableLabel((error as Error).message, label);
  }
}
