import { randomInt } from 'node:crypto';
import Joi from 'joi';
import { listInForce } from '@/core/charges/priceList';
import { codeOf, codeWords, newCode } from '@/core/order/triedCode';
import { typicalShare, typicalSituation } from '@/core/order/typicalShare';
import { success, type Result } from '@/core/quantity/result';
import { emptySheet } from '@/core/sheet/houseSheet';
import { sheetProblems } from '@/core/sheet/sheetProblems';
import { sheetSchema } from '@/core/sheet/sheetSchema';
import type { Sheet } from '@/core/sheet/types';
import type { Species } from '@/core/species/types';
import { dayIn, dayWords, daysAfter, endOfDay, instant, momentWords } from '@/core/time/shopTime';
import { countTriedSheets, triedSheetBy, writeTriedSheet, type TriedSheet } from '@/data/links';
import { readPriceLists, readShop } from '@/data/setUp';
import { clientId } from '../house/fields';
import { refuse, type Reason } from '../house/reasons';
import { defineUseCase, OFFICE, STAFF, type House } from '../house/useCase';
import type { OpenSheet } from '../sheet/sheetView';

/** Who the shop is, for whoever stands before a closed page. */
export type ShopFront = { readonly name: string; readonly phone: string | null };

export const shopFrontView = defineUseCase<Record<string, never>, ShopFront>({
  name: 'shopFrontView',
  roles: STAFF,
  others: ['public'],
  writes: false,
  input: Joi.object({}),
  run: async ({ db }) => {
    const { name, phone } = await readShop(db);
    return success({ name, phone });
  },
});

/** What anybody may try a sheet on: a usual animal, or half of one, at the prices of the day. */
export type TrySheet = {
  readonly shop: ShopFront;
  /** `hog` */
  readonly species: string;
  readonly sheet: OpenSheet;
};

type Tried = { species: string; sides: 1 | 2 };

/** Long enough to think about it and to book; then it is nobody's any more. */
const KEPT_DAYS = 90;
/** More than any shop is asked for: whoever fills the table with nonsense is stopped here. */
const MOST_KEPT = 20_000;

const speciesId = Joi.string().max(40).required();

/** The sheet of a usual animal, for anybody to try before booking. */
export const trySheetView = defineUseCase<Tried, TrySheet>({
  name: 'trySheetView',
  roles: STAFF,
  others: ['public'],
  writes: false,
  input: Joi.object({ species: speciesId, sides: Joi.valid(1, 2).required() }),
  run: async (house, { species: id, sides }) => {
    const species = speciesHere(house, id);
    if (!species.ok) return species;
    const { name, phone, unit, zone } = await readShop(house.db);
    const list = listInForce(await readPriceLists(house.db), dayIn(zone, house.now));
    if (!list) return refuse('no-prices', 'We have no prices just now. Ring us.');
    const typical = { species: species.value, unit, tools: house.setUp.rules.tools, sides };
    return success({
      shop: { name, phone },
      species: species.value.name.toLowerCase(),
      sheet: {
        ...typicalShare(typical, list),
        species: { id, version: house.catalogue.version },
        weightBasis: 'usual',
        sheet: emptySheet(typicalSituation(typical)),
        version: 0,
        approved: false,
        locked: false,
        actorId: house.actor.id,
      },
    });
  },
});

/** The species that a sheet is tried on, for a browser to work with. */
export const trySpeciesView = defineUseCase<{ species: string }, Species>({
  name: 'trySpeciesView',
  roles: STAFF,
  others: ['public'],
  writes: false,
  input: Joi.object({ species: speciesId }),
  run: async (house, { species: id }) => {
    const species = speciesHere(house, id);
    return species.ok ? success({ ...species.value, names: [], absent: [] }) : species;
  },
});

/** Keeps a sheet that somebody tried, under a code that they say when they book. Nobody's name is with it. */
export const keepTriedSheet = defineUseCase<
  { clientId: string; sheet: Sheet } & Tried,
  { readonly code: string; readonly until: string }
>({
  name: 'keepTriedSheet',
  roles: [],
  others: ['public'],
  writes: true,
  input: Joi.object({
    clientId,
    species: speciesId,
    sides: Joi.valid(1, 2).required(),
    sheet: sheetSchema.required(),
  }),
  subject: ({ species }) => species,
  run: async (house, { species: id, sides, sheet }) => {
    const species = speciesHere(house, id);
    if (!species.ok) return species;
    const { unit, zone } = await readShop(house.db);
    const typical = { species: species.value, unit, tools: house.setUp.rules.tools, sides };
    const problems = sheetProblems(typicalSituation(typical), sheet);
    if (problems.length > 0) return { ...refuse('invalid', problems[0]!.message), problems };
    if ((await countTriedSheets(house.db)) >= MOST_KEPT) {
      return refuse('too-much', 'We can keep no more sheets just now. Ring us, or print this page.');
    }
    const until = daysAfter(dayIn(zone, house.now), KEPT_DAYS);
    const code = newCode((below) => randomInt(below));
    const expiresAt = instant(endOfDay(zone, until));
    await writeTriedSheet(house.db, { code, species: id, sheet, at: instant(house.now), expiresAt });
    return success({ code: codeWords(code), until: dayWords(until) });
  },
});

/** A sheet that somebody tried, for whoever books them. */
export type FoundTriedSheet = {
  readonly code: string;
  readonly species: string;
  readonly sheet: Sheet;
  /** `hog, 24 choices, tried 24 Nov 12:00` */
  readonly words: string;
};

/** The tried sheet of a code that somebody says. */
export const triedSheetView = defineUseCase<{ code: string }, FoundTriedSheet>({
  name: 'triedSheetView',
  roles: OFFICE,
  writes: false,
  input: Joi.object({ code: Joi.string().max(40).required() }),
  run: async (house, { code: said }) => {
    const tried = await triedSheetOf(house, said);
    if (!tried.ok) return tried;
    const { code, species, sheet, at } = tried.value;
    const { zone } = await readShop(house.db);
    const answers = Object.keys(sheet.answers).length;
    const name = speciesHere(house, species);
    const words = `${name.ok ? name.value.name.toLowerCase() : species}, ${answers} choices, tried ${momentWords(zone, at)}`;
    return success({ code: codeWords(code), species, sheet, words });
  },
});

/** The tried sheet of a code, however it is written. */
export async function triedSheetOf(
  { db, now }: Pick<House, 'db' | 'now'>,
  said: string,
): Promise<Result<TriedSheet, Reason>> {
  const code = codeOf(said);
  const tried = code && (await triedSheetBy(db, code, instant(now)));
  if (said.trim() === '') return refuse('not-found', 'Type the code that they say.', 'code');
  return tried
    ? success(tried)
    : refuse(
        'not-found',
        `No sheet is kept under ${said.trim()}. Read it again; it has eight signs.`,
        'code',
      );
}

function speciesHere({ catalogue }: House, id: string): Result<Species, Reason> {
  const species = catalogue.species.find((each) => each.id === id);
  return species ? success(species) : refuse('not-found', 'We do not cut that animal.', 'species');
}
