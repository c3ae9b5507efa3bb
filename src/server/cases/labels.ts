import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import type { ForecastLine } from '@/core/forecast/types';
import { tradeItem } from '@/core/label/gs1';
import { itemNumber } from '@/core/label/itemNumber';
import { keepUntil, labelFor, type Label } from '@/core/label/label';
import { formatInches } from '@/core/quantity/length';
import { failure, success, type Result } from '@/core/quantity/result';
import { labelJobsOf, markPrinted, unprintedJobs, writeLabelJob } from '@/data/repositories/labels';
import { isVoided, type Weighing } from '@/data/repositories/weighings';
import { defineUseCase, EVERYONE, type House } from '../doorway';
import { log } from '../log';
import { sheetInForce, shopDay, type Order } from '../orderBook';
import { clientId, id } from './fields';

/** `1 in, 2 in this pack` */
function detailOf(line: ForecastLine, pieces: number | null): string {
  const parts = [
    line.thicknessIn === null ? '' : formatInches(line.thicknessIn),
    pieces === null ? '' : `${pieces} in this pack`,
  ];
  return parts.filter((part) => part !== '').join(', ');
}

/** What is printed on a package, or which word the law demands is missing. */
export function packageLabel(now: Date, order: Order, weighing: Weighing, line: ForecastLine): Result<Label> {
  const { shop, animal, share, situation } = order;
  const packedOn = shopDay(shop, now);
  return labelFor({
    shopName: shop.name,
    establishment: shop.establishment,
    inspection: animal.inspection,
    owner: share.owner.name,
    tag: animal.tag,
    shareLabel: share.part === 'whole' ? 'whole' : `${share.part} half`,
    farm: animal.farm.name,
    speciesName: situation.species.name,
    cut: line.cut,
    detail: detailOf(line, weighing.pieces),
    net: weighing.net,
    unit: shop.unit,
    packedOn,
    keepUntil: keepUntil(packedOn, sheetInForce(order).wrap, line.destination),
    words: line.labelWords,
    code: {
      tradeItem: tradeItem(shop.codePrefix, itemNumber(situation.species, line)),
      net: weighing.net,
      unit: shop.unit,
      lot: `${packedOn.replaceAll('-', '').slice(2)}-${animal.tag.replace(/[^A-Za-z0-9]/g, '')}`.slice(0, 20),
      serial: String(weighing.serial).padStart(6, '0'),
    },
  });
}

/** Sends every written label to the printer. What the printer refuses stays written and is tried again. */
export async function printPending(house: Pick<House, 'db' | 'devices'>): Promise<void> {
  for (const job of await unprintedJobs(house.db)) {
    try {
      const copy = job.copy === 1 ? '' : `-copy${job.copy}`;
      const file = await house.devices.printer.print(job.label, `${job.weighingId}${copy}`);
      await markPrinted(house.db, job.id, file);
    } catch (error) {
      log().error({ error, job: job.id }, 'label not printed');
      return;
    }
  }
}

/** Prints the label of a package once more; the copy says so in its file name. */
export const reprintLabel = defineUseCase<{ clientId: string; weighingId: string }, { file: string | null }>({
  name: 'reprintLabel',
  roles: EVERYONE,
  writes: true,
  input: Joi.object({ clientId, weighingId: id }),
  subject: (input) => input.weighingId,
  run: async (house, { clientId: requestId, weighingId }) => {
    const jobs = await labelJobsOf(house.db, weighingId);
    const [first] = jobs;
    if (!first) return failure('no-label', 'Only packages have a label.');
    if (await isVoided(house.db, weighingId))
      return failure('voided', 'This pack was taken back; it has no label.');
    if (jobs.some((job) => job.clientId === requestId)) return success({ file: null });
    await writeLabelJob(house.db, {
      id: randomUUID(),
      weighingId,
      copy: jobs.length + 1,
      clientId: requestId,
      label: first.label,
      file: null,
      at: house.now.toISOString(),
    });
    return success({ file: null });
  },
  after: async (house) => {
    await printPending(house);
    return { file: null };
  },
});
