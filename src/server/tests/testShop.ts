import { randomUUID } from 'node:crypto';
import type { Label } from '@/core/label/label';
import type { ShareId } from '@/core/order/animal';
import type { OrderDocument, SheetDocument } from '@/core/order/document';
import type { ShareFile } from '@/core/order/shareFile';
import type { WeighingPurpose } from '@/core/ledger/ledger';
import type { Result } from '@/core/quantity/result';
import type { Weight } from '@/core/quantity/weight';
import type { ScaleReading, SignedReading } from '@/core/scale/reading';
import { catalogue } from '@/core/tests/catalogue';
import { allShareIds, shareIdsOfAnimal } from '@/data/book';
import type { Database } from '@/data/database';
import { SetUps } from '@/data/setUp';
import type { Role } from '@/data/people';
import { readShareFiles, stageRowsOf } from '@/data/rail';
import { freshDatabase } from '@/data/tests/freshDatabase';
import { PrinterAway, UnprintableLabel } from '@/devices/printer/labelPrinter';
import type { ProbeReading as SmokeReading } from '@/core/smokehouse/plan';
import type { ProbeReading } from '@/devices/probe/probe';
import { isGenuine, signReading } from '@/devices/scale/signature';
import type { DemoUser } from '../demo/people';
import { setUpDemoShop } from '../demo/setUpDemo';
import type { Staff } from '../house/actor';
import { passDoorway } from '../house/doorway';
import { Events } from '../house/events';
import { ShareFiles } from '../house/shareFiles';
import type { Surroundings } from '../house/surroundings';
import type { UseCase } from '../house/useCase';
import { freshRow } from '../rail/restage';
import { USE_CASES, type InputOf, type OutputOf, type UseCaseName } from '../useCases';
import { Printing } from '../work';

export const NOON = new Date('2026-11-24T12:00:00.000Z');

/** A hog of two halves, or as the test says. */
export function hogDocument(change: Partial<OrderDocument> = {}): OrderDocument {
  return {
    format: 'fractum.order',
    version: 1,
    unit: 'lb',
    farm: { name: 'Low Tarn' },
    animal: { tag: 'H900', species: 'hog', killDate: '2026-11-22', inspection: 'custom-exempt' },
    shares: [
      { part: 'left', owner: { name: 'Ottilie Brandreth' }, deposit: 50, sheet: { houseForTheRest: true } },
      { part: 'right', owner: { name: 'Corwin Aske' } },
    ],
    ...change,
  };
}

const SCALE_KEY = 'the key of the test scale';

const testScale = () => ({
  watch: async () => undefined,
  tare: async () => 'taken' as const,
  vouches: (reading: SignedReading) => isGenuine(reading, SCALE_KEY),
});

/** The house with its people, on a database in memory, with a printer and a scale that only remember. */
export class TestShop {
  readonly printed: { name: string; label: Label }[] = [];
  readonly events = new Events();
  readonly catalogue = catalogue;
  readonly setUps = new SetUps(catalogue);
  readonly files = new ShareFiles(this.setUps);
  printerAway = false;
  loggerAway = false;
  /** What the probe in the smokehouse has logged. */
  logged: SmokeReading[] = [];
  probeReads: ProbeReading = { probeId: 'probe', tenths: 380, scale: 'F', steady: true };
  /** Cuts whose labels the printer will never print. */
  readonly unprintable = new Set<string>();
  now = NOON;
  private loads = 0;
  private readonly printing = new Printing(() => this.around());

  private constructor(readonly db: Database) {}

  /** @param people - who can sign in; hashing their secrets takes time, so usually nobody */
  static async open(unit: 'lb' | 'kg' = 'lb', people: readonly DemoUser[] = []): Promise<TestShop> {
    const db = await freshDatabase();
    await setUpDemoShop(db, unit, people);
    return new TestShop(db);
  }

  close(): Promise<void> {
    return this.db.destroy();
  }

  readonly devices = {
    scale: testScale(),
    railScale: testScale(),
    spiceScale: testScale(),
    probe: { read: async (): Promise<ProbeReading> => this.probeReads },
    logger: {
      begin: async () => {
        if (this.loggerAway) throw new Error('The device says nothing.');
      },
      since: async (_channel: number, minute: number) => this.logged.filter((each) => each.minute >= minute),
    },
    printer: {
      print: async (label: Label, name: string) => {
        // A printer takes its time; whoever prints at once as well would be seen.
        await new Promise((done) => setImmediate(done));
        if (this.printerAway) throw new PrinterAway('out of paper');
        if (this.unprintable.has(label.cut)) throw new UnprintableLabel('no bars', label);
        this.printed.push({ name, label });
        return `${name}.svg`;
      },
    },
  };

  around(): Surroundings {
    const { db, now, devices, setUps, events, files } = this;
    return { db, now, devices, setUps, events, files };
  }

  readonly sign = (reading: ScaleReading, takenAt: Date) => signReading(reading, takenAt, SCALE_KEY);

  /** Prints what waits, as the worker of the shop does. */
  print(): Promise<void> {
    return this.printing.wake();
  }

  /**
   * Asks the house for something as a person of a role; null stands for nobody. Whatever was written, the stage of
   * every share it can have touched equals a fresh computation.
   */
  async ask<Name extends UseCaseName>(
    name: Name,
    input: InputOf<Name>,
    role: Role | null = 'owner',
  ): Promise<Result<OutputOf<Name>>> {
    const actor: Staff | undefined =
      role === null ? undefined : { kind: 'staff', id: `id-${role}`, name: role, role };
    const asked = USE_CASES[name] as unknown as UseCase<InputOf<Name>, OutputOf<Name>>;
    const result = await passDoorway(asked, input, actor, this.around());
    if (asked.writes) await this.expectFreshStages();
    return result;
  }

  /** Every share that is not gone stands where a fresh computation says. */
  async expectFreshStages(): Promise<void> {
    const shareIds = await allShareIds(this.db);
    const kept = new Map((await stageRowsOf(this.db, shareIds)).map((row) => [row.shareId, row]));
    for (const shareId of shareIds) {
      expect(kept.get(shareId)).toEqual(await freshRow(this.db, this.setUps, shareId));
    }
  }

  /** Like `ask`, where a refusal fails the test. */
  async get<Name extends UseCaseName>(
    name: Name,
    input: InputOf<Name>,
    role: Role = 'owner',
  ): Promise<OutputOf<Name>> {
    const result = await this.ask(name, input, role);
    if (!result.ok) throw new Error(`${name}: ${result.reason}: ${result.message}`);
    return result.value;
  }

  async book(document: OrderDocument = hogDocument()): Promise<ShareFile[]> {
    const { animalId } = await this.get('bookOrder', { clientId: randomUUID(), document });
    return readShareFiles(this.db, this.setUps, await shareIdsOfAnimal(this.db, animalId));
  }

  async file(shareId: ShareId): Promise<ShareFile> {
    return (await readShareFiles(this.db, this.setUps, [shareId]))[0]!;
  }

  /** A half on the block: booked, weighed, approved, started. */
  async onTheBlock(
    sheet: SheetDocument = { houseForTheRest: true },
    change: Partial<OrderDocument> = {},
  ): Promise<ShareId> {
    const share = { part: 'left' as const, owner: { name: 'Ottilie Brandreth' }, deposit: 50, sheet };
    const weights = { left: { hot: 92.5, cold: 91 }, right: { hot: 91, cold: 89.6 } };
    const [file] = await this.book(hogDocument({ shares: [share], weights, ...change }));
    const shareId = file!.share.id;
    await this.approveAndStart(shareId);
    return shareId;
  }

  async approveAndStart(shareId: ShareId): Promise<void> {
    const { version } = (await this.file(shareId)).sheet!;
    await this.get('approveSheet', { clientId: randomUUID(), shareId, version, overrideReason: '' });
    await this.get('startBlock', { clientId: randomUUID(), shareId, reason: '' });
  }

  reading(net: number, change: Partial<ScaleReading> = {}): SignedReading {
    this.loads += 1;
    const reading: ScaleReading = {
      scaleId: 'bench-1',
      loadId: String(this.loads),
      gross: net + 40,
      tare: 40,
      net,
      unit: 'lb',
      state: 'steady',
      ...change,
    };
    return this.sign(reading, this.now);
  }

  /** Input of one weighing; `net` in thousandths. */
  weighing(
    shareId: ShareId,
    purpose: WeighingPurpose,
    net: number,
  ): InputOf<'weigh'> & { reading: SignedReading } {
    const reading = this.reading(net as Weight);
    return { clientId: randomUUID(), shareId, purpose, pieces: null, reading };
  }
}
