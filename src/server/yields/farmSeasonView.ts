import Joi from 'joi';
import { success } from '@/core/quantity/result';
import { instant, dayIn } from '@/core/time/shopTime';
import { farmSeason, PACES, type FarmSeason, type Pace } from '@/core/yields/farmSeason';
import { writeFarmSeason } from '@/core/formats/farmSeasonCsv';
import type { PersonId } from '@/core/order/animal';
import { personById } from '@/data/book';
import { readShop } from '@/data/setUp';
import { rememberedOf, writeFarmNote, yieldRowsOfFarm, yieldRowsOfYear } from '@/data/yields';
import { clientId, id } from '../house/fields';
import { refuse } from '../house/reasons';
import { defineUseCase, OFFICE, type House } from '../house/useCase';

type Input = { personId: PersonId; year?: number };

const asked = {
  roles: OFFICE,
  others: ['farmer'],
  rows: ({ personId }: { personId: PersonId }) => ({ farm: personId }),
} as const;

const input = Joi.object({ personId: id, year: Joi.number().integer().min(1990).max(2200) });

/** A farm's season: its animals from the hoof to the box, its own year before, and what its buyers had. */
export const farmSeasonView = defineUseCase<Input, FarmSeason>({
  ...asked,
  name: 'farmSeasonView',
  writes: false,
  input,
  run: async (house, { personId, year }) => {
    const season = await seasonOf(house, personId, year);
    return season ? success(season) : refuse('not-found', 'There is nobody of that name.');
  },
});

/** The same as a table for a spreadsheet. */
export const farmSeasonFileView = defineUseCase<Input, { name: string; text: string }>({
  ...asked,
  name: 'farmSeasonFileView',
  writes: false,
  input,
  run: async (house, { personId, year }) => {
    const season = await seasonOf(house, personId, year);
    if (!season) return refuse('not-found', 'There is nobody of that name.');
    return success({ name: `season-${season.year}.csv`, text: writeFarmSeason(season.species, season.unit) });
  },
});

async function seasonOf(
  { db, now, catalogue }: House,
  personId: PersonId,
  asked: number | undefined,
): Promise<FarmSeason | undefined> {
  const farm = await personById(db, personId);
  if (!farm) return undefined;
  const { unit, zone, name: shop } = await readShop(db);
  const own = await yieldRowsOfFarm(db, personId);
  const closed = own.map(({ closedOn }) => Number(closedOn.slice(0, 4)));
  const years = [...new Set(closed)].sort((a, b) => b - a);
  const year = asked ?? years[0] ?? Number(dayIn(zone, now).slice(0, 4));
  const others = (await yieldRowsOfYear(db, year)).filter(({ farmId }) => farmId !== personId);
  const remembered = await rememberedOf(db, personId);
  const species = farmSeason(own, others, year).map((of) => ({
    ...of,
    name: catalogue.species.find(({ id: each }) => each === of.species)?.name ?? of.species,
    remembered: remembered.get(of.species) ?? [],
  }));
  return { id: farm.id, farm: farm.name, shop, unit, year, years, species };
}

type Said = {
  clientId: string;
  personId: PersonId;
  species: string;
  cut: string;
  pace: Pace | '';
  note: string;
};

/** How a cut sold, and what to think of next time: it comes back when the farm's next sheets are answered. */
export const noteSeason = defineUseCase<Said, Record<string, never>>({
  ...asked,
  name: 'noteSeason',
  writes: true,
  input: Joi.object({
    clientId,
    personId: id,
    species: Joi.string().max(40).required(),
    cut: Joi.string().max(120).required(),
    pace: Joi.valid('', ...Object.keys(PACES)).required(),
    note: Joi.string().trim().allow('').max(200).required(),
  }),
  subject: ({ personId }) => personId,
  run: async (house, { personId, species, cut, ...said }) => {
    const own = await yieldRowsOfFarm(house.db, personId);
    const had = own.some((row) => row.species === species && row.cuts.some((each) => each.cut === cut));
    if (!had) return refuse('not-found', 'They never had that cut.', 'cut');
    const by = { at: instant(house.now), actorId: house.actor.id };
    await writeFarmNote(house.db, { farmId: personId, species, cut, ...said, ...by });
    return success({});
  },
});
