import Joi from 'joi';
import { group } from 'd3-array';
import type { Want } from '@/core/goals/wanted';
import type { WantedJob } from '@/core/goals/wantedJob';
import { wantSchema } from '@/core/goals/goalSchema';
import type { PersonId, ShareId } from '@/core/order/animal';
import { cutsKnown, cutsOver, type CutOver } from '@/core/order/farmSheets';
import { cutName, partWords } from '@/core/order/naming';
import type { ShareFile } from '@/core/order/shareFile';
import { coldWeight, estimateOf, openQuestions, planOf, sheetInForce } from '@/core/order/standing';
import { formatMoney } from '@/core/quantity/money';
import { success } from '@/core/quantity/result';
import { zoneDestination } from '@/core/questions/zones';
import type { Destination, SideMap } from '@/core/species/types';
import { ZERO_WEIGHT, type Weight, type WeighingUnit } from '@/core/quantity/weight';
import { ownOf } from '@/core/shares/own';
import { decisionsAsked } from '@/core/sheet/situation';
import { answerSummary, extrasSummary, grindSummary } from '@/core/sheet/summary';
import { momentWords } from '@/core/time/shopTime';
import { rememberedWords } from '@/core/yields/farmSeason';
import { personById } from '@/data/book';
import { lastSends, linksTo } from '@/data/links';
import { liveSharesOfFarm } from '@/data/rail';
import { rememberedOf } from '@/data/yields';
import { id } from '../house/fields';
import { refuse } from '../house/reasons';
import { defineUseCase, OFFICE, type House } from '../house/useCase';
import { listedLink } from '../links/links';
import { maySeePrices } from '../links/visitor';
import { openSheetOf } from './sheetView';

/** One share among those of its farm. */
export type FarmShare = {
  readonly shareId: ShareId;
  readonly name: string;
  readonly tag: string;
  /** `approved`, `3 open`, `no sheet`, `on the block` */
  readonly stands: string;
  readonly mayChange: boolean;
  /** What each row says; a row without an answer is not named. */
  readonly says: Readonly<Record<string, string>>;
  /** Where each zone of the side goes; not named while it is open. */
  readonly zones: Readonly<Record<string, Destination>>;
  readonly cold: Weight;
  readonly takeHome: Weight;
  readonly cost: string;
};

/** The shares of one species, with what they give together. */
export type FarmSpecies = {
  readonly id: string;
  readonly species: string;
  readonly unit: WeighingUnit;
  readonly map: SideMap;
  readonly rows: readonly { readonly id: string; readonly title: string }[];
  readonly shares: readonly FarmShare[];
  readonly cuts: readonly CutOver[];
  /** What the farm wanted to be told of its next animals. */
  readonly remembered: readonly string[];
  /** Every cut that can be asked for, so that more of it can be wanted. */
  readonly known: readonly string[];
};

/** A household with its part of an animal, and the link it was given. */
export type FarmBuyer = {
  readonly shareId: ShareId;
  readonly name: string;
  readonly tag: string;
  readonly part: string;
  /** What comes home of it, expected; 0 without a sheet. */
  readonly takeHome: Weight;
  readonly unit: WeighingUnit;
  readonly cost: string;
  /** When it sent its sheet, as it wants it. */
  readonly sent: string | null;
  /** Until when its link holds; null when it has none that does. */
  readonly linkUntil: string | null;
};

export type FarmSheets = {
  readonly id: PersonId;
  readonly name: string;
  readonly species: readonly FarmSpecies[];
  readonly buyers: readonly FarmBuyer[];
  /** Whether what it costs is shown. */
  readonly prices: boolean;
};

const GRIND = 'grind';
const EXTRAS = 'extras';

/** All sheets of a farm's animals that are in the shop or booked, side by side. */
export const farmSheetsView = defineUseCase<{ personId: PersonId }, FarmSheets>({
  name: 'farmSheetsView',
  roles: OFFICE,
  others: ['farmer'],
  rows: ({ personId }) => ({ farm: personId }),
  writes: false,
  input: Joi.object({ personId: id }),
  run: async (house, { personId }) => {
    const farm = await personById(house.db, personId);
    if (!farm) return refuse('not-found', 'There is nobody of that name.');
    const files = await filesOf(house, personId);
    const prices = await maySeePrices(house.db, house.actor);
    const leads = files.filter(decides);
    const remembered = await rememberedOf(house.db, personId);
    const species = [...group(leads, (file) => file.animal.species)].map(([id, of]) =>
      speciesOf(of, prices, (remembered.get(id) ?? []).map(rememberedWords)),
    );
    const buyers = await buyersOf(house, files, prices);
    return success({ id: farm.id, name: farm.name, species, buyers, prices });
  },
});

async function filesOf(house: House, farmId: PersonId): Promise<ShareFile[]> {
  const shareIds = await liveSharesOfFarm(house.db, farmId);
  const files = await Promise.all(shareIds.map((shareId) => house.files.read(house.db, shareId)));
  return files.filter((file) => file !== undefined);
}

/** Whether a household decides how it is cut; those that are cut as one are told together. */
function decides(file: ShareFile): boolean {
  return file.together[0]!.id === file.share.id;
}

/** What a cut on the sheets of a farm is to be divided from: everything of one species that has a sheet. */
export const wantedView = defineUseCase<{ personId: PersonId; species: string; wants: Want[] }, WantedJob>({
  name: 'wantedView',
  roles: OFFICE,
  others: ['farmer'],
  rows: ({ personId }) => ({ farm: personId }),
  writes: false,
  input: Joi.object({
    personId: id,
    species: Joi.string().max(40).required(),
    wants: Joi.array().items(wantSchema).min(1).max(20).required().label('what is wanted'),
  }),
  run: async (house, { personId, species: wanted, wants }) => {
    const files = (await filesOf(house, personId)).filter(
      (file) => decides(file) && file.situation.species.id === wanted && file.sheet,
    );
    const [first] = files;
    if (!first) return refuse('no-sheet', 'No sheet of theirs is begun. Fill one in, and copy it.');
    return success({
      species: { ...first.situation.species, names: [], absent: [] },
      shares: files.map((file) => ({
        shareId: file.share.id,
        view: openSheetOf(house, file),
        sheet: sheetInForce(file),
        version: file.sheet!.version,
        mayChange: mayChange(file),
      })),
      wants,
    });
  },
});

async function buyersOf(
  { db, now }: House,
  files: readonly ShareFile[],
  prices: boolean,
): Promise<FarmBuyer[]> {
  const shareIds = files.map(({ share }) => share.id);
  const links = group(await linksTo(db, { shareIds }), ({ shareId }) => shareId);
  const sends = await lastSends(db, shareIds);
  return files.map((file) => {
    const { share, animal, together, situation, shop } = file;
    const holds = links
      .get(share.id)
      ?.map((link) => listedLink(shop.zone, now, link))
      .find(({ state }) => state === 'holds');
    const sent = sends.get(together[0]!.id);
    return {
      shareId: share.id,
      name: share.owner.name,
      tag: animal.tag,
      part: partWords(file),
      takeHome: file.sheet ? (ownOf(planOf(file).expected.takeHome, share, together) as Weight) : ZERO_WEIGHT,
      unit: situation.unit,
      cost: costOf(file, prices),
      sent: sent ? momentWords(shop.zone, sent) : null,
      linkUntil: holds?.until ?? null,
    };
  });
}

function zonesOf(file: ShareFile): FarmShare['zones'] {
  const { species } = file.situation;
  const answered = { species, sheet: sheetInForce(file), expected: planOf(file).expected };
  return Object.fromEntries(
    Object.keys(species.sideMap.zones).flatMap((zone) => {
      const destination = zoneDestination(answered, zone);
      return destination ? [[zone, destination]] : [];
    }),
  );
}

/** What a share costs as its sheet stands; nothing where there is none, or where prices are not shown. */
function costOf(file: ShareFile, prices: boolean): string {
  return file.sheet && prices ? formatMoney(estimateOf(file).total, file.priceList.sign) : '';
}

function mayChange({ start, sheet }: ShareFile): boolean {
  return !start && !sheet?.approved;
}

function speciesOf(files: readonly ShareFile[], prices: boolean, remembered: readonly string[]): FarmSpecies {
  const { species, unit } = files[0]!.situation;
  const asked = new Set(files.flatMap(({ situation }) => decisionsAsked(situation).map((row) => row.id)));
  return {
    id: species.id,
    species: species.name,
    unit,
    map: species.sideMap,
    rows: [
      ...species.decisions
        .filter((row) => asked.has(row.id))
        .map((row) => ({ id: row.id, title: row.title })),
      { id: GRIND, title: 'Grind and sausage' },
      { id: EXTRAS, title: 'Wrap, extras' },
    ],
    shares: files.map((file) => shareOf(file, prices)),
    cuts: cutsOver(
      files
        .filter(({ sheet }) => sheet)
        .map((file) => ({ shareId: file.share.id, expected: planOf(file).expected })),
    ),
    known: cutsKnown(files[0]!.situation),
    remembered,
  };
}

function shareOf(file: ShareFile, prices: boolean): FarmShare {
  const { share, animal, situation, start } = file;
  const sheet = sheetInForce(file);
  const open = start ? 0 : openQuestions(file).filter(({ blocks }) => blocks).length;
  const answered = decisionsAsked(situation).flatMap((decision) => {
    const answer = sheet.answers[decision.id];
    return answer ? [[decision.id, answerSummary(decision, answer, situation.unit)] as const] : [];
  });
  const stands = start
    ? 'on the block'
    : !file.sheet
      ? 'no sheet'
      : file.sheet.approved
        ? 'approved'
        : open > 0
          ? `${open} open`
          : 'to approve';
  return {
    shareId: share.id,
    name: cutName(file),
    tag: animal.tag,
    stands,
    mayChange: mayChange(file),
    says: file.sheet
      ? {
          ...Object.fromEntries(answered),
          [GRIND]: grindSummary(situation.species, sheet.grind, situation.unit),
          [EXTRAS]: extrasSummary(situation.species, sheet),
        }
      : {},
    zones: zonesOf(file),
    cold: coldWeight(file),
    takeHome: file.sheet ? planOf(file).expected.takeHome : ZERO_WEIGHT,
    cost: costOf(file, prices),
  };
}
