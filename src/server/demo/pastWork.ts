import { USUAL_RULES } from '@/core/shop/houseRules';
import type { ForecastLine } from '@/core/forecast/types';
import {
  balanceOfKind,
  balances,
  postClosing,
  postToBlock,
  postWeighing,
  reversed,
  type Posting,
  type WeighingPurpose,
} from '@/core/ledger/ledger';
import { finalBill, reconciliationOf } from '@/core/order/settling';
import type { ShareFile } from '@/core/order/shareFile';
import { coldWeight, estimateOf, netOf, planOf } from '@/core/order/standing';
import type { LineNote, Weighing, WeighingId, WeighingVoid } from '@/core/order/work';
import { cents } from '@/core/quantity/money';
import { convertUnits, sumWeights, weight, type Weight } from '@/core/quantity/weight';
import { instant } from '@/core/time/shopTime';
import type { Booked } from '@/data/rail';
import type { LabelJob } from '@/data/wrap';
import { packageLabel } from '../wrap/packageLabel';
import type { Chance } from './chance';
import { steadyId } from './steady';

/** Nothing of before was recorded in the smokehouse: its labels need no pantry. */
const PAST = { rules: USUAL_RULES, pantry: new Map() } as const;

const MINUTE_MS = 60_000;
const DAY_MS = 24 * 60 * MINUTE_MS;
/** What is heavier than this goes over the bench in several loads. */
const LOAD_LB = 25;
/** Drip, saw dust and the scale's own error: what is usually not found again, and how far that differs. */
const UNACCOUNTED = { usual: 0.017, differs: 0.006, least: 0.002 } as const;
const SLIPS = 0.003;
const SHORT_LINES = 0.02;
const PAID_IN_PARTS = 0.15;

/** Everything that was written of a share between the block and the door. */
export type PastWork = {
  readonly file: ShareFile;
  readonly transactions: readonly Booked[];
  readonly voids: readonly WeighingVoid[];
  readonly voided: readonly Weighing[];
  readonly labels: readonly LabelJob[];
};

/** A weight that may be more than the bench carries at once. */
type Loads = { readonly total: number; readonly line?: ForecastLine };

type Context = {
  readonly chance: Chance;
  /** How the shop cuts: natural logarithm of what it packs of a cut against the reference. */
  readonly hand: (ownCut: string) => number;
  readonly cut: Date;
  readonly actorId: string;
  readonly nextSerial: () => number;
};

/** Writes down what the block, the table and the counter did with one share of the past. */
export class PastBench {
  private readonly transactions: Booked[] = [];
  private readonly voids: WeighingVoid[] = [];
  private readonly voided: Weighing[] = [];
  private readonly labels: LabelJob[] = [];
  private readonly weighings: Weighing[] = [];
  private readonly notes: LineNote[] = [];
  private now: Date;
  private count = 0;

  constructor(
    private readonly asked: ShareFile,
    private readonly context: Context,
  ) {
    this.now = context.cut;
  }

  /** From the block to the door. */
  run(): PastWork {
    const { actorId } = this.context;
    const by = { at: instant(this.now), actorId };
    const { share } = this.asked;
    const started: ShareFile = {
      ...this.asked,
      plan: planOf(this.asked),
      start: { shareId: share.id, sheetVersion: 2, estimate: estimateOf(this.asked), reason: '', ...by },
    };
    for (const { side, cold } of started.sides)
      this.book('to-block', postToBlock(side.id, share.id, netOf(cold!)));
    this.work(started);
    return this.settle(started);
  }

  private get id(): string {
    this.count += 1;
    return steadyId(`${this.asked.share.number} ${this.count}`);
  }

  private book(kind: string, postings: readonly Posting[], reversesId?: string): string {
    const id = this.id;
    const entry = { id, kind, at: this.now.toISOString(), actorId: this.context.actorId };
    this.transactions.push({ entry: reversesId ? { ...entry, reversesId } : entry, postings });
    return id;
  }

  private held(): Posting[] {
    return balances(this.transactions.flatMap(({ postings }) => postings));
  }

  private work(file: ShareFile): void {
    const { lines, losses, pool } = planOf(file).expected;
    const { chance, hand } = this.context;
    const { priorSd } = file.situation.species.uncertainty;
    const found = (expected: number, line?: ForecastLine) => {
      const scatter = line ? Math.sqrt(Math.max(0, line.relativeSd ** 2 - priorSd ** 2)) : 0.03;
      return expected * Math.exp((line ? hand(line.ownCut) : 0) + scatter * chance.normal());
    };
    const block = lines.filter((line) => line.kind !== 'grind');
    for (const line of block) {
      if (line.cure === null) this.packLine(file, line, found(line.packaged, line));
      else
        this.inLoads(
          file,
          { kind: 'green', lineKey: line.key },
          { total: found(line.packaged + line.cureLoss, line), line },
        );
    }
    const tub = found(pool.lean + pool.fatUsed);
    this.inLoads(file, { kind: 'tub' }, { total: tub });
    const grind = lines.filter((line) => line.kind === 'grind');
    const made = grind.reduce((sum, line) => sum + line.packaged, 0);
    for (const line of grind) this.packLine(file, line, (tub * 0.985 * line.packaged) / made);
    for (const barrel of ['skin', 'inedible'] as const)
      this.inLoads(file, { kind: 'barrel', barrel }, { total: found(losses[barrel]) });
    this.barrelTheRest(file);
    this.now = new Date(this.now.getTime() + 9 * DAY_MS);
    for (const line of block.filter((each) => each.cure !== null)) {
      const green = sumWeights(
        this.weighings.filter((each) => each.lineKey === line.key).map((each) => each.net),
      );
      this.packLine(file, line, (green * line.packaged) / (line.packaged + line.cureLoss));
    }
  }

  /** Bone and fat take what the block still has, but for what is usually not found again. */
  private barrelTheRest(file: ShareFile): void {
    const { losses } = planOf(file).expected;
    const cold = coldWeight(file);
    const { usual, differs, least } = UNACCOUNTED;
    const gap = cold * Math.max(least, usual + differs * this.context.chance.normal());
    const left = balanceOfKind(this.held(), 'share') - gap;
    const both = losses.bone + losses.fat;
    if (left <= 0 || both <= 0) return;
    for (const barrel of ['bone', 'fat'] as const) {
      this.inLoads(file, { kind: 'barrel', barrel }, { total: (left * losses[barrel]) / both });
    }
  }

  private packLine(file: ShareFile, line: ForecastLine, total: number): void {
    const { chance } = this.context;
    const from = line.cure !== null ? 'cure' : line.kind === 'grind' ? 'tub' : 'share';
    const isShort = line.packs > 1 && chance.happens(SHORT_LINES);
    const packs = isShort ? line.packs - 1 : line.packs;
    let left = total;
    let made = 0;
    for (let pack = 1; pack <= packs; pack += 1) {
      const even = line.packWeight ?? total / line.packs;
      const net = pack === line.packs ? left : Math.min(left, even * (1 + 0.05 * chance.normal()));
      left -= net;
      const pieces = line.pieces === null ? null : (line.piecesPerPack ?? 1);
      if (net <= 0) break;
      this.take(file, { kind: 'package', from, lineKey: line.key }, { net, line, pieces });
      made += 1;
    }
    if (made < line.packs) this.note(file, line, 'One pack fewer than asked: the piece ended there.');
  }

  private note({ share }: ShareFile, line: ForecastLine, note: string): void {
    const by = { at: instant(this.now), actorId: this.context.actorId };
    this.notes.push({ id: this.id, clientId: this.id, shareId: share.id, lineKey: line.key, note, ...by });
  }

  private inLoads(file: ShareFile, purpose: WeighingPurpose, { total, line }: Loads): void {
    const most = weight(convertUnits(LOAD_LB, 'lb', file.shop.unit));
    const loads = Math.ceil(total / most);
    for (let load = 0; load < loads; load += 1) {
      this.take(file, purpose, { net: total / loads, line, pieces: null });
    }
  }

  private take(
    file: ShareFile,
    purpose: WeighingPurpose,
    { net, line, pieces }: { net: number; line: ForecastLine | undefined; pieces: number | null },
  ): void {
    const { chance, actorId } = this.context;
    const division = file.shop.unit === 'lb' ? 10 : 5;
    const rounded = (Math.max(1, Math.round(net / division)) * division) as Weight;
    this.now = new Date(this.now.getTime() + MINUTE_MS);
    const id = this.id as WeighingId;
    const postings = postWeighing({ shareId: file.share.id, weighingId: id, purpose, net: rounded });
    if (!postings.ok) return;
    const weighing: Weighing = {
      id,
      clientId: this.id,
      serial: this.context.nextSerial(),
      shareId: file.share.id,
      kind: purpose.kind,
      source: purpose.kind === 'package' ? purpose.from : purpose.kind === 'barrel' ? purpose.barrel : '',
      lineKey: line?.key ?? '',
      cut: line?.cut ?? purpose.kind,
      destination: line?.destination ?? 'lost',
      onto: null,
      pieces,
      gross: (rounded + 40) as Weight,
      tare: 40 as Weight,
      net: rounded,
      scaleId: 'bench-past',
      loadId: id,
      origin: 'scale',
      remark: '',
      at: instant(this.now),
      actorId,
      transactionId: this.book(purpose.kind, postings.value),
    };
    if (weighing.kind === 'package' && line) this.label(file, weighing, line);
    if (line && chance.happens(SLIPS)) {
      this.takeBack(weighing, postings.value);
      this.take(file, purpose, { net, line, pieces });
    } else this.weighings.push(weighing);
  }

  private label(file: ShareFile, weighing: Weighing, line: ForecastLine): void {
    const label = packageLabel(file, { weighing, line, takenAt: this.now }, PAST);
    if (!label.ok) throw new Error(label.message);
    const job = {
      id: this.id,
      weighingId: weighing.id,
      copy: 1,
      clientId: weighing.clientId,
      label: label.value,
    };
    this.labels.push({ ...job, file: `${weighing.id}.svg`, at: weighing.at });
  }

  private takeBack(weighing: Weighing, postings: readonly Posting[]): void {
    this.voided.push(weighing);
    this.voids.push({
      weighingId: weighing.id,
      clientId: this.id,
      reason: 'wrong cut chosen',
      at: weighing.at,
      actorId: weighing.actorId,
      transactionId: this.book('void', reversed(postings), weighing.transactionId),
    });
  }

  private settle(started: ShareFile): PastWork {
    const { actorId, chance } = this.context;
    const { id: shareId, contact } = started.share;
    const packed: ShareFile = { ...started, weighings: this.weighings, notes: this.notes, held: this.held() };
    const { verdict } = reconciliationOf(packed);
    this.now = new Date(this.now.getTime() + DAY_MS);
    const closing = postClosing(shareId, packed.held);
    if (closing.length > 0) this.book('closing', closing);
    const by = () => ({ at: instant(this.now), actorId });
    const bill = finalBill(packed);
    const note = verdict === 'usual' ? '' : 'Looked for; the bone barrel was weighed late.';
    const closed: ShareFile = {
      ...packed,
      held: this.held(),
      closing: { shareId, clientId: this.id, bill, note, ...by() },
    };
    this.now = new Date(this.now.getTime() + 2 * DAY_MS);
    const first = chance.happens(PAID_IN_PARTS) ? Math.floor(bill.due / 2) : bill.due;
    const amounts = [first, bill.due - first].filter((amount) => amount !== 0);
    const payments = amounts.map((amount) => ({
      id: this.id,
      clientId: this.id,
      shareId,
      amount: cents(amount),
      method: chance.pick(['card', 'cash', 'transfer'] as const),
      ...by(),
    }));
    return {
      file: { ...closed, payments, pickUp: { shareId, clientId: this.id, takenBy: contact.name, ...by() } },
      transactions: this.transactions,
      voids: this.voids,
      voided: this.voided,
      labels: this.labels,
    };
  }
}
