import { animalWords } from '@/core/order/naming';
import type { ShareFile } from '@/core/order/shareFile';
import { sheetAgain } from '@/core/sheet/again';
import type { Sheet } from '@/core/sheet/types';
import { momentWords } from '@/core/time/shopTime';
import { sharesBefore } from '@/data/book';
import { readShareFiles } from '@/data/rail';
import { latestVersions, templatesOf } from '@/data/sheet';
import { defineShareView } from '../house/shareView';
import { OFFICE, type House } from '../house/useCase';
import { namesOf } from '../ticket/names';

/** Another sheet that the one in hand can be set against: a sheet of the shop's, a version of it, or what they had before. */
export type OtherSheet = {
  readonly id: string;
  /** `version 3, Tove, 25 Nov 14:10, approved` */
  readonly words: string;
  readonly sheet: Sheet;
  /** What of it is no longer to be had, in words. */
  readonly gone: readonly string[];
};

const MOST_VERSIONS = 12;
const MOST_BEFORE = 3;

/** The sheets that one can be set against: its own versions, and those of before at what the shop does today. */
export const otherSheetsView = defineShareView<readonly OtherSheet[]>({
  name: 'otherSheetsView',
  roles: OFFICE,
  asCut: true,
  show: async (house, file) => [
    ...(await ofTheShop(house, file)),
    ...(await versionsOf(house, file)),
    ...(await before(house, file)),
  ],
});

/** The shop's own sheets, as far as they can be had here. */
async function ofTheShop({ db }: House, { situation }: ShareFile): Promise<OtherSheet[]> {
  const templates = await templatesOf(db, situation.species.id);
  return templates.map(({ id, name, sheet: kept }) => {
    const { sheet, gone } = sheetAgain(kept, situation);
    return {
      id: `template-${id}`,
      words: `“${name}”, of the shop`,
      sheet,
      gone: gone.map(({ title, was }) => `${title}: ${was}`),
    };
  });
}

async function versionsOf(house: House, file: ShareFile): Promise<OtherSheet[]> {
  const { db } = house;
  const { share, shop } = file;
  const nameOf = await namesOf(house, file);
  const whoIs = (id: string) => nameOf(id) || 'somebody';
  const versions = await latestVersions(db, share.id, MOST_VERSIONS);
  return versions.map(({ version, actorId, at, approved, sheet }) => ({
    id: `version-${version}`,
    words: `version ${version}, ${whoIs(actorId)}, ${momentWords(shop.zone, at)}${approved ? ', approved' : ''}`,
    sheet,
    gone: [],
  }));
}

async function before({ db, setUps }: House, { share, animal, situation }: ShareFile): Promise<OtherSheet[]> {
  const ids = await sharesBefore(db, {
    ownerId: share.owner.id,
    species: animal.species,
    number: share.number,
    most: MOST_BEFORE,
  });
  const files = await readShareFiles(db, setUps, ids);
  return files.reverse().flatMap((file) => {
    if (!file.sheet) return [];
    const { sheet, gone } = sheetAgain(file.sheet.sheet, situation);
    return [
      {
        id: file.share.id,
        words: `${animalWords(file)}, killed ${file.animal.killDate}`,
        sheet,
        gone: gone.map(({ title, was }) => `${title}: ${was}`),
      },
    ];
  });
}
