import { readFile } from 'node:fs/promises';
import type { OrderDocument } from '@/core/order/document';
import { readOrder, type ReadingShop } from '@/core/order/readOrder';
import { failure, success, type Failure, type Result } from '@/core/quantity/result';
import { readCatalogue } from '@/data/catalogue';
import type { Species } from '@/core/species/types';

/** What the command line ends with; docs/formats.md lists them. */
export const EXIT = { done: 0, open: 1, usage: 2, unreadable: 3, broken: 4 } as const;

/** Where the command line writes and reads. */
export type Console = {
  readonly out: (text: string) => void;
  readonly err: (text: string) => void;
  readonly stdin: AsyncIterable<Buffer | string>;
};

/** What was asked: words after the command, and switches. */
export type Asked = {
  readonly words: readonly string[];
  readonly json: boolean;
  readonly csv: boolean;
  readonly tools: readonly string[];
  readonly prices?: string;
  readonly experience?: string;
};

/** A command: takes so many words, and answers with the exit code. */
export type Command = {
  readonly usage: string;
  readonly words: readonly [least: number, most: number];
  readonly run: (asked: Asked, at: Console) => Promise<number>;
};

export async function readText(file: string, stdin: Console['stdin']): Promise<Result<string, 'unreadable'>> {
  try {
    if (file !== '-') return success(withoutMark(await readFile(file, 'utf8')));
    let text = '';
    for await (const chunk of stdin) text += chunk;
    return success(withoutMark(text));
  } catch {
    return failure('unreadable', 'The file cannot be read. Check its name.');
  }
}

/** The mark that some programs put before a text file. */
const withoutMark = (text: string) => text.replace(/^\uFEFF/, '');

export async function readJson(
  file: string,
  stdin: Console['stdin'],
): Promise<Result<unknown, 'unreadable'>> {
  const text = await readText(file, stdin);
  if (!text.ok) return text;
  try {
    return success(JSON.parse(text.value));
  } catch (error) {
    return failure('unreadable', `It is not JSON: ${(error as Error).message}`);
  }
}

/** An order file with the shop it is read for: its own unit, the tools that were said. */
export type OrderAtHand = { readonly shop: ReadingShop; readonly order: OrderDocument };

/** Reads an order file; says on the error stream what is wrong with it. */
export async function openOrder(file: string, asked: Asked, at: Console): Promise<OrderAtHand | undefined> {
  const raw = await readJson(file, at.stdin);
  const unit = raw.ok && (raw.value as Partial<OrderDocument> | null)?.unit === 'kg' ? 'kg' : 'lb';
  const shop: ReadingShop = { unit, tools: asked.tools, catalogue: readCatalogue() };
  const order = raw.ok ? readOrder(raw.value, shop) : raw;
  if (order.ok) return { shop, order: order.value };
  refuse(file, order, at);
  return undefined;
}

/** Says on the error stream what is wrong with a file, one line for each field. */
export function refuse(file: string, refused: Failure, at: Console): number {
  const problems = refused.problems ?? [{ field: refused.field ?? '', message: refused.message }];
  at.err(problems.map(({ field, message }) => `${file}: ${field ? `${field}: ` : ''}${message}\n`).join(''));
  return EXIT.unreadable;
}

export function printJson(value: unknown, at: Console): void {
  at.out(`${JSON.stringify(value, null, 2)}\n`);
}

/** The species of this id, or that is spoken of so ("pork" is a hog); says on the error stream which there are when there is none. */
export function speciesNamed(id: string, at: Console): Species | undefined {
  const { species } = readCatalogue();
  const found =
    species.find((each) => each.id === id) ??
    species.find((each) => each.spokenAs.includes(id.toLowerCase()));
  const known = species.map((each) => each.id);
  if (!found) at.err(`There is no species "${id}": ${known.join(', ')}.\n`);
  return found;
}
