import { mkdir, open, rename } from 'node:fs/promises';
import { join } from 'node:path';
import type { Label } from '@/core/label/label';
import { drawLabel } from '@/papers/label';
import { UnprintableLabel, type LabelPrinter } from './labelPrinter';

/** The simulated label printer: each label becomes a drawing in the spool folder that anyone can open. */
export function spoolPrinter(folder: string): LabelPrinter {
  return {
    async print(label, name) {
      await mkdir(folder, { recursive: true });
      const file = `${name}.svg`;
      const unfinished = join(folder, `.${file}.part`);
      await writeSafely(unfinished, drawing(label));
      await rename(unfinished, join(folder, file));
      return file;
    },
  };
}

/** The label is said to be printed as soon as this returns: it must survive a loss of power. */
async function writeSafely(path: string, text: string): Promise<void> {
  const file = await open(path, 'w', 0o600);
  try {
    await file.writeFile(text);
    await file.sync();
  } finally {
    await file.close();
  }
}

function drawing(label: Label): string {
  try {
    return drawLabel(label);
  } catch (error) {
    throw new UnprintableLabel((error as Error).message, label);
  }
}
