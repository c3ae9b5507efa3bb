import { createHash } from 'node:crypto';
import priceLists from '#demo/price-lists.json';
import Joi from 'joi';
import type { PriceList } from '@/core/charges/priceList';
import { priceListSchema } from '@/core/charges/priceListSchema';
import type { ForecastLine } from '@/core/forecast/types';
import type { WeighingPurpose } from '@/core/ledger/ledger';
import { cents } from '@/core/quantity/money';
import type { Result } from '@/core/quantity/result';
import { speciesById } from '@/core/species/registry';
import { convertUnits, KG_PER_LB, sumWeights, type WeighingUnit, type Weight } from '@/core/quantity/weight';
import type { Database } from '@/data/database';
import { readShop, writePriceList, writeShop } from '@/data/repositories/shop';
import { writeUser } from '@/data/repositories/users';
import { bookOrder } from '../cases/book';
import { closeShare, handOver, takePayment } from '../cases/settle';
import { approveSheet, startBlock } from '../cases/sheet';
import { noteLine } from '../cases/correct';
import { weigh } from '../cases/weigh';
import { passDoorway, type Actor, type Surroundings, type UseCase } from '../doorway';
import type { Devices } from '../devices';
import { finalBill, forecastOf, orderOf, allOrders, shopDay, type Order } from '../orderBook';
import { hashSecret } from '../signIn';
import { DEMO_ORDERS, type DemoOrder, type Progress } from './orders';
import { DEMO_USERS, type DemoUser } from './people';

const HOUR = 3_600_000;

/** An id that is the same each time for the same words, so that the demo can be described. */
function steadyId(words: string): string {
  const hex = createHash('sha256').update(words).digest('hex');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-a${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}

/** From -1 to 1, the same for the same words: how far a weighing lies beside its forecast. */
function steadyNoise(words: string): number {
  return createHash('sha256').update(words).digest().readUInt16BE(0) / 32_767.5 - 1;
}

/** A price list said per pound, for a shop that weighs in `unit`; weight rates to the nearest cent. */
function inUnit(list: PriceList, unit: WeighingUnit): PriceList {
  if (unit === 'lb') return list;
  const weighed = ['hot', 'cold', 'packaged', 'green', 'finished'];
  const rules = list.rules.map((rule) =>
    weighed.includes(rule.basis)
      ? { ...rule, rateCents: cents(Math.round(rule.rateCents / KG_PER_LB)) }
      : rule,
  );
  return { ...list, unit, rules };
}

/** Sets up the shop, its people and its prices. Works on a database that has just been migrated. */
export async function setUpDemoShop(
  db: Database,
  unit: WeighingUnit,
  people: readonly DemoUser[] = DEMO_USERS,
): Promise<void> {
  await writeShop(db, {
    name: 'Skerry Sound Cut & Wrap',
    unit,
    zone: 'Europe/London',
    establishment: null,
    codePrefix: '200',
    tools: ['band-saw'],
    demo: true,
  });
  for (const list of priceLists) {
    await writePriceList(db, inUnit(Joi.attempt(list, priceListSchema) as PriceList, unit));
  }
  for (const user of people) {
    const secret = await hashSecret(user.secret);
    await writeUser(db, { id: steadyId(user.name), name: user.name, role: user.role, secret });
  }
}

/** The demo speaks to the house as its own people do, at the hours it invents. */
class Demo {
  constructor(
    private readonly db: Database,
    private readonly devices: Devices,
    private now: Date,
  ) {}

  at(time: Date): Demo {
    return new Demo(this.db, this.devices, time);
  }

  later(hours: number): Demo {
    return this.at(new Date(this.now.getTime() + hours * HOUR));
  }

  async ask<Input, Output>(asked: UseCase<Input, Output>, input: Input): Promise<Output> {
    const owner = DEMO_USERS[0]!;
    const actor: Actor = { id: steadyId(owner.name), name: owner.name, role: owner.role };
    const around: Surroundings = { db: this.db, now: this.now, devices: this.devices };
    const result: Result<Output> = await passDoorway(asked, input, actor, around);
    if (!result.ok)
      throw new Error(`Demo: ${asked.name} was refused: ${result.field ?? ''} ${result.message}`);
    return result.value;
  }

  order(shareId: string): Promise<Order> {
    return orderOf(this.db, shareId) as Promise<Order>;
  }

  async sharesOf(animalId: string): Promise<Order[]> {
    return (await allOrders(this.db)).filter((order) => order.animal.id === animalId);
  }
}

/** Hours from the kill to the day an order's weights are from: cold sides have hung, hot ones are of the next day. */
function hungFor({ document }: DemoOrder): number {
  const cold = document.weights?.left?.cold !== undefined;
  return 24 * (cold ? Math.max(1, speciesById(document.animal.species).hang.targetDays) : 1);
}

/** Fills a live week with orders in every state of the work. */
export async function seedDemoOrders(db: Database, devices: Devices, today: Date): Promise<void> {
  const shop = await readShop(db);
  for (const order of DEMO_ORDERS) {
    const killed = new Date(today.getTime() - order.killedDaysAgo * 24 * HOUR);
    const demo = new Demo(
      db,
      devices,
      new Date(Math.min(today.getTime(), killed.getTime() + hungFor(order) * HOUR)),
    );
    const document = {
      ...order.document,
      animal: { ...order.document.animal, killDate: shopDay(shop, killed) },
    };
    const { animalId } = await demo.ask(bookOrder, { clientId: steadyId(document.animal.tag), document });
    const shares = await demo.sharesOf(animalId);
    for (const [index, progress] of order.progress.entries()) {
      const { share } = shares[index]!;
      const name = `${document.animal.tag} ${share.part}`;
      await bring({ demo: demo.later(1), shareId: share.id, unit: shop.unit, name }, progress);
    }
  }
}

const STEPS: readonly Progress[] = [
  'booked',
  'approved',
  'on-the-block',
  'part-packed',
  'in-cure',
  'packed',
  'closed',
  'picked-up',
];

async function bring(bench: Bench, progress: Progress) {
  const { demo, shareId } = bench;
  const reached = (step: Progress) => STEPS.indexOf(progress) >= STEPS.indexOf(step);
  if (!reached('approved')) return;
  const version = (await bench.demo.order(bench.shareId)).sheet!.version;
  await demo.ask(approveSheet, { shareId, version, overrideReason: '' });
  if (!reached('on-the-block')) return;
  await demo.later(20).ask(startBlock, { shareId });
  if (!reached('part-packed')) return;
  await packFresh({ ...bench, demo: demo.later(22) }, reached('in-cure') ? 1 : 0.45);
  if (!reached('in-cure')) return;
  await weighBarrels({ ...bench, demo: demo.later(23) });
  if (!reached('packed')) return;
  await packFinished({ ...bench, demo: demo.later(100) });
  if (!reached('closed')) return;
  await demo.later(110).ask(closeShare, { clientId: steadyId(`close ${shareId}`), shareId, note: '' });
  if (!reached('picked-up')) return;
  await settleUp({ ...bench, demo: demo.later(120) });
}

/** Where the demo weighs: whose share, in which unit, and the words its noise is made from. */
type Bench = {
  readonly demo: Demo;
  readonly shareId: string;
  readonly unit: WeighingUnit;
  readonly name: string;
};

/** One weighing at the bench, as the wrapper would take it. */
async function weighOnce(
  bench: Bench,
  words: string,
  purpose: WeighingPurpose,
  net: number,
  pieces: number | null,
): Promise<void> {
  const { demo, shareId, unit } = bench;
  const division = unit === 'lb' ? 10 : 5;
  const toDivision = (w: number) => (Math.round(w / division) * division) as Weight;
  const rounded = Math.max(division, toDivision(net)) as Weight;
  const tare = toDivision(convertUnits(40, 'lb', unit));
  await demo.ask(weigh, {
    clientId: steadyId(`${shareId} ${words}`),
    shareId,
    purpose,
    pieces,
    reading: {
      scaleId: 'bench-demo',
      loadId: `${shareId} ${words}`.slice(0, 60),
      gross: sumWeights([rounded, tare]),
      tare,
      net: rounded,
      unit,
      state: 'steady',
    },
  });
}

/** Splits a line into its packs, each a little off, and weighs them one after another. */
async function packLine(
  bench: Bench,
  line: ForecastLine,
  from: 'share' | 'tub' | 'cure',
  total: number,
): Promise<void> {
  const full = line.packWeight ?? total / line.packs;
  let left = total;
  for (let pack = 1; pack <= line.packs; pack += 1) {
    const last = pack === line.packs;
    const noise = 1 + 0.03 * steadyNoise(`${bench.name} ${line.key} ${pack}`);
    const net = last ? left : Math.min(left, full * noise);
    left -= net;
    const perPack = line.piecesPerPack ?? (line.pieces === null ? null : 1);
    const short =
      last && perPack !== null && line.pieces !== null ? line.pieces - perPack * (line.packs - 1) : perPack;
    const purpose = { kind: 'package', from, lineKey: line.key } as const;
    await weighOnce(bench, `${line.key} ${pack}`, purpose, net, short === null ? null : Math.max(1, short));
  }
}

/** What the scale finds beside the forecast: every line a few percent off, the same each time. */
function found({ name }: Bench, key: string, expected: number): number {
  return expected * (0.985 + 0.03 * steadyNoise(`${name} ${key}`));
}

async function packFresh(bench: Bench, part: number): Promise<void> {
  const { lines, pool } = forecastOf(await bench.demo.order(bench.shareId));
  const block = lines.filter((line) => line.kind !== 'grind');
  for (const line of block.slice(0, Math.ceil(block.length * part))) {
    const total = found(bench, line.key, line.packaged);
    if (line.cure === null) {
      await packLine(bench, line, 'share', total);
    } else {
      const green = found(bench, line.key, line.packaged + line.cureLoss);
      await weighOnce(bench, `${line.key} green`, { kind: 'green', lineKey: line.key }, green, null);
    }
  }
  if (part < 1) return;
  const tub = found(bench, 'tub', pool.lean + pool.fatUsed);
  await weighOnce(bench, 'tub', { kind: 'tub' }, tub, null);
  const grind = lines.filter((line) => line.kind === 'grind');
  const made = grind.reduce((sum, line) => sum + line.packaged, 0);
  for (const line of grind) {
    await packLine(bench, line, 'tub', (tub * 0.99 * line.packaged) / made);
  }
}

async function weighBarrels(bench: Bench): Promise<void> {
  const { losses } = forecastOf(await bench.demo.order(bench.shareId));
  for (const barrel of ['bone', 'fat', 'skin', 'inedible'] as const) {
    const net = found(bench, barrel, losses[barrel]);
    if (net > 20) await weighOnce(bench, barrel, { kind: 'barrel', barrel }, net, null);
  }
}

async function packFinished(bench: Bench): Promise<void> {
  const order = await bench.demo.order(bench.shareId);
  for (const line of forecastOf(order).lines.filter((each) => each.cure !== null)) {
    const green = order.weighings.find((each) => each.kind === 'green' && each.lineKey === line.key)!;
    const share = line.packaged / (line.packaged + line.cureLoss);
    await packLine(bench, line, 'cure', green.net * share);
  }
  const loin = forecastOf(order).lines.find((line) => line.decision === 'center-loin');
  if (!loin) return;
  const note = 'The last chop is thinner than asked: the loin ended there.';
  const { demo, shareId } = bench;
  await demo.ask(noteLine, { clientId: steadyId(`note ${shareId}`), shareId, lineKey: loin.key, note });
}

async function settleUp({ demo, shareId }: Bench): Promise<void> {
  const order = await demo.order(shareId);
  await demo.ask(takePayment, {
    clientId: steadyId(`pay ${shareId}`),
    shareId,
    amountCents: finalBill(order).due,
    method: 'card',
  });
  const takenBy = order.share.contact.name;
  await demo.ask(handOver, { clientId: steadyId(`hand over ${shareId}`), shareId, takenBy });
}
