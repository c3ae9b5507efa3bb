import Joi from 'joi';
import { bookLine, type BookFacts } from '@/core/formats/bookFiles';
import { success } from '@/core/quantity/result';
import { instant } from '@/core/time/shopTime';
import { bookRows, bookTables } from '@/data/bookTables';
import { readShop } from '@/data/setUp';
import { refuse } from '../house/reasons';
import { defineUseCase } from '../house/useCase';

/** What the whole book of the shop holds, so that it can be taken away: the owner's, and nobody else's. */
export const wholeBookView = defineUseCase<object, BookFacts>({
  name: 'wholeBookView',
  roles: ['owner'],
  writes: false,
  input: Joi.object({}),
  run: async ({ db, now }) => {
    const { name, unit } = await readShop(db);
    return success({ shop: name, unit, taken: instant(now), tables: await bookTables(db) });
  },
});

type Asked = { table: string; after: number; upTo: number };

/** Rows of a table as lines, and where the next ones begin. */
export const bookRowsView = defineUseCase<Asked, { lines: string; next: number | null }>({
  name: 'bookRowsView',
  roles: ['owner'],
  writes: false,
  input: Joi.object({
    table: Joi.string().max(60).required(),
    after: Joi.number().integer().min(0).required(),
    upTo: Joi.number().integer().min(0).required(),
  }),
  run: async ({ db }, asked) => {
    const known = (await bookTables(db)).some(({ name }) => name === asked.table);
    if (!known) return refuse('not-found', 'The book has no such table.', 'table');
    const { rows, next } = await bookRows(db, asked);
    return success({ lines: rows.map(bookLine).join(''), next });
  },
});
