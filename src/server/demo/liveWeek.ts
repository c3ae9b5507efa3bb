import { speciesIn } from '@/core/catalogue/catalogue';
import type { ForecastLine } from '@/core/forecast/types';
import { BARRELS, type WeighingPurpose } from '@/core/ledger/ledger';
import type { AnimalId, ShareId } from '@/core/order/animal';
import { finalBill } from '@/core/order/settling';
import type { ShareFile } from '@/core/order/shareFile';
import { planOf } from '@/core/order/standing';
import { convertUnits, sumWeights, type WeighingUnit, type Weight } from '@/core/quantity/weight';
import type { ScaleReading, SignedReading } from '@/core/scale/reading';
import { dayIn } from '@/core/time/shopTime';
import { shareIdsOfAnimal } from '@/data/book';
import { readShareFile, readShareFiles } from '@/data/rail';
import { readShop } from '@/data/setUp';
import { passDoorway } from '../house/doorway';
import type { Actor } from '../house/actor';
import type { Surroundings } from '../house/surroundings';
import { USE_CASES, type InputOf, type OutputOf, type UseCaseName } from '../useCases';
import type { UseCase } from '../house/useCase';
import { DEMO_ORDERS, type DemoOrder, type Progress } from './orders';
import { DEMO_USERS } from './people';
import { seedSmokehouse } from './smokeWeek';
import { steadyId, steadyNoise } from './steady';

const HOUR = 3_600_000;

/** What the demo's scale does: it signs what it says. */
export type Sign = (reading: ScaleReading, takenAt: Date) => SignedReading;

/** The demo speaks to the house as its own people do, at the hours it invents. */
export class Demo {
  constructor(
    readonly around: Surroundings,
    readonly sign: Sign,
    private readonly actor: Actor,
  ) {}

  get now(): Date {
    return this.around.now;
  }

  /** The same house, asked by another of its people. */
  as(name: string): Demo {
    return new Demo(this.around, this.sign, demoPerson(name));
  }

  with(around: Surroundings): Demo {
    return new Demo(around, this.sign, this.actor);
  }

  at(now: Date): Demo {
    return new Demo({ ...this.around, now }, this.sign, this.actor);
  }

  later(hours: number): Demo {
    return this.at(new Date(this.now.getTime() + hours * HOUR));
  }

  async ask<Name extends UseCaseName>(name: Name, input: InputOf<Name>): Promise<OutputOf<Name>> {
    const asked = USE_CASES[name] as unknown as UseCase<InputOf<Name>, OutputOf<Name>>;
    const result = await passDoorway(asked, input, this.actor, this.around);
    if (!result.ok) throw new Error(`Demo: ${name} was refused: ${result.field ?? ''} ${result.message}`);
    return result.value;
  }

  async file(shareId: ShareId): Promise<ShareFile> {
    return (await readShareFile(this.around.db, this.around.setUps, shareId))!;
  }

  async filesOf(animalId: AnimalId): Promise<ShareFile[]> {
    const { db, setUps } = this.around;
    return readShareFiles(db, setUps, await shareIdsOfAnimal(db, animalId));
  }
}

/** Hours from the kill to the day an order's weights are from: cold sides have hung, hot ones are of the next day. */
function hungFor({ setUps }: Surroundings, { document }: DemoOrder): number {
  const cold = document.weights?.left?.cold !== undefined;
  return 24 * (cold ? Math.max(1, speciesIn(setUps.shipped, document.animal.species).hang.targetDays) : 1);
}

/** Fills a live week with orders in every state of the work. @returns the animals */
export async function seedLiveWeek(
  around: Surroundings,
  sign: Sign,
  actor: Actor = demoOwner(),
): Promise<AnimalId[]> {
  const { now: today } = around;
  const booked: AnimalId[] = [];
  const shop = await readShop(around.db);
  for (const order of DEMO_ORDERS) {
    const killed = new Date(today.getTime() - order.killedDaysAgo * 24 * HOUR);
    const hung = new Date(Math.min(today.getTime(), killed.getTime() + hungFor(around, order) * HOUR));
    const demo = new Demo(around, sign, actor).at(hung);
    const document = {
      ...order.document,
      animal: { ...order.document.animal, killDate: dayIn(shop.zone, killed) },
    };
    const { animalId } = await demo.ask('bookOrder', { clientId: steadyId(document.animal.tag), document });
    booked.push(animalId);
    const shares = await demo.filesOf(animalId);
    for (const [index, progress] of order.progress.entries()) {
      const { share } = shares[index]!;
      const name = `${document.animal.tag} ${share.part}`;
      await bring({ demo: demo.later(1), shareId: share.id, unit: shop.unit, name }, progress);
    }
  }
  await seedSmokehouse(new Demo(around, sign, actor), booked);
  return booked;
}

function demoOwner(): Actor {
  return demoPerson(DEMO_USERS[0]!.name);
}

function demoPerson(said: string): Actor {
  const { name, role } = DEMO_USERS.find((each) => each.name === said)!;
  return { kind: 'staff', id: steadyId(name), name, role };
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
  const { version } = (await demo.file(shareId)).sheet!;
  const clientId = (step: string) => steadyId(`${step} ${shareId}`);
  await demo.ask('approveSheet', { clientId: clientId('approve'), shareId, version, overrideReason: '' });
  if (!reached('on-the-block')) return;
  await demo.later(20).ask('startBlock', { clientId: clientId('start'), shareId, reason: '' });
  if (!reached('part-packed')) return;
  await packFresh({ ...bench, demo: demo.later(22) }, reached('in-cure') ? 1 : 0.45);
  if (!reached('in-cure')) return;
  await weighBarrels({ ...bench, demo: demo.later(23) });
  if (!reached('packed')) return;
  await packFinished({ ...bench, demo: demo.later(100) });
  if (!reached('closed')) return;
  await demo.later(110).ask('closeShare', { clientId: clientId('close'), shareId, note: '' });
  if (!reached('picked-up')) return;
  await settleUp({ ...bench, demo: demo.later(120) });
}

/** Where the demo weighs: whose share, in which unit, and the words its noise is made from. */
type Bench = {
  readonly demo: Demo;
  readonly shareId: ShareId;
  readonly unit: WeighingUnit;
  readonly name: string;
};

/** One weighing at the bench, as the wrapper would take it. */
async function weighOnce(
  bench: Bench,
  words: string,
  { purpose, net, pieces = null }: { purpose: WeighingPurpose; net: number; pieces?: number | null },
): Promise<void> {
  const { demo, shareId, unit } = bench;
  const division = unit === 'lb' ? 10 : 5;
  const toDivision = (w: number) => (Math.round(w / division) * division) as Weight;
  const rounded = Math.max(division, toDivision(net)) as Weight;
  const tare = toDivision(convertUnits(40, 'lb', unit));
  const reading: ScaleReading = {
    scaleId: 'bench-demo',
    loadId: `${shareId} ${words}`.slice(0, 60),
    gross: sumWeights([rounded, tare]),
    tare,
    net: rounded,
    unit,
    state: 'steady',
  };
  const clientId = steadyId(`${shareId} ${words}`);
  await demo.ask('weigh', {
    clientId,
    shareId,
    purpose,
    pieces,
    reading: demo.sign(reading, demo.now),
    sure: true,
  });
}

/** Splits a line into its packs, each a little off, and weighs them one after another. */
async function packLine(
  bench: Bench,
  line: ForecastLine,
  { from, total }: { from: 'share' | 'tub' | 'cure'; total: number },
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
    const pieces = short === null ? null : Math.max(1, short);
    await weighOnce(bench, `${line.key} ${pack}`, { purpose, net, pieces });
  }
}

/** What the scale finds beside the forecast: every line a few percent off, the same each time. */
function found({ name }: Bench, key: string, expected: number): number {
  return expected * (0.985 + 0.03 * steadyNoise(`${name} ${key}`));
}

async function packFresh(bench: Bench, part: number): Promise<void> {
  const { lines, pool } = planOf(await bench.demo.file(bench.shareId)).expected;
  const block = lines.filter((line) => line.kind !== 'grind');
  for (const line of block.slice(0, Math.ceil(block.length * part))) {
    const total = found(bench, line.key, line.packaged);
    if (line.cure === null) {
      await packLine(bench, line, { from: 'share', total });
    } else {
      const green = found(bench, line.key, line.packaged + line.cureLoss);
      await weighOnce(bench, `${line.key} green`, {
        purpose: { kind: 'green', lineKey: line.key },
        net: green,
      });
    }
  }
  const tub = part * found(bench, 'tub', pool.lean + pool.fatUsed);
  await weighOnce(bench, 'tub', { purpose: { kind: 'tub' }, net: tub });
  // What is half cut has its trim at the grinder, and nothing of it is ground yet.
  if (part < 1) return;
  const grind = lines.filter((line) => line.kind === 'grind');
  const made = grind.reduce((sum, line) => sum + line.packaged, 0);
  for (const line of grind) {
    await packLine(bench, line, { from: 'tub', total: (tub * 0.99 * line.packaged) / made });
  }
}

async function weighBarrels(bench: Bench): Promise<void> {
  const { losses } = planOf(await bench.demo.file(bench.shareId)).expected;
  for (const barrel of BARRELS) {
    const net = found(bench, barrel, losses[barrel]);
    if (net > 20) await weighOnce(bench, barrel, { purpose: { kind: 'barrel', barrel }, net });
  }
}

async function packFinished(bench: Bench): Promise<void> {
  const file = await bench.demo.file(bench.shareId);
  const { lines } = planOf(file).expected;
  for (const line of lines.filter((each) => each.cure !== null)) {
    const green = file.weighings.find((each) => each.kind === 'green' && each.lineKey === line.key)!;
    const share = line.packaged / (line.packaged + line.cureLoss);
    await packLine(bench, line, { from: 'cure', total: green.net * share });
  }
  const loin = lines.find((line) => line.decision === 'center-loin');
  if (!loin) return;
  const note = 'The last chop is thinner than asked: the loin ended there.';
  const { demo, shareId } = bench;
  await demo.ask('noteLine', { clientId: steadyId(`note ${shareId}`), shareId, lineKey: loin.key, note });
}

async function settleUp({ demo, shareId }: Bench): Promise<void> {
  const file = await demo.file(shareId);
  await demo.ask('takePayment', {
    clientId: steadyId(`pay ${shareId}`),
    shareId,
    amountCents: finalBill(file).due,
    method: 'card',
  });
  const takenBy = file.share.contact.name;
  await demo.ask('handOver', { clientId: steadyId(`hand over ${shareId}`), shareId, takenBy });
}
