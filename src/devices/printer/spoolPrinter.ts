import { mkdir, open, rename } from 'node:fs/promises';
import { join } from 'node:path';
import { drawingOf } from './drawingOf';
import type { LabelPrinter } from './labelPrinter';

/** Where there is no printer: each label becomes a drawing in the spool folder that anyone can open. */
export function spoolPrinter(folder: string): LabelPrinter {
  return { print: async (label, name) => spool(folder, name, drawingOf(label)) };
}

/** Keeps a drawing in a folder. @returns its file; the same name is the same file */
export async function spool(folder: string, name: string, drawing: string): Promise<string> {
  await mkdir(folder, { recursive: true });
  const file = `${name}.svg`;
  const unfinished = join(folder, `.${file}.part`);
  await writeSafely(unfinished, drawing);
  await rename(unfinished, join(folder, file));
  return file;
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
