import { randomUUID } from 'node:crypto';
import type { Label } from '@/core/label/label';
import type { OrderDocument, SheetDocument } from '@/core/order/document';
import type { WeighingPurpose } from '@/core/ledger/ledger';
import type { Result } from '@/core/quantity/result';
import type { Weight } from '@/core/quantity/weight';
import type { ScaleReading } from '@/core/scale/reading';
import type { Role } from '@/data/repositories/users';
import { freshDatabase } from '@/data/tests/freshDatabase';
import type { Database } from '@/data/database';
import type { DemoUser } from '../demo/people';
import { setUpDemoShop } from '../demo/seed';
import { passDoorway, type Actor, type UseCase } from '../doorway';
import { allOrders, type Order } from '../orderBook';
import { USE_CASES, type InputOf, type OutputOf, type UseCaseName } from '../useCases';

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

/** The house with its people, on a database in memory, with a printer and a scale that only remember. */
export class TestShop {
  readonly printed: { name: string; label: Label }[] = [];
  printerAway = false;
  now = NOON;
  private loads = 0;

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
    scale: { watch: async () => undefined, tare: async () => undefined },
    printer: {
      print: async (label: Label, name: string) => {
        if (this.printerAway) throw new Error('out of paper');
        this.printed.push({ name, label });
        return `${name}.svg`;
      },
    },
  };

  /** Asks the house for something as a person of a role; null stands for nobody. */
  async ask<Name extends UseCaseName>(
    name: Name,
    input: InputOf<Name>,
    role: Role | null = 'owner',
  ): Promise<Result<OutputOf<Name>>> {
    const actor: Actor | undefined = role === null ? undefined : { id: `id-${role}`, name: role, role };
    const asked = USE_CASES[name] as unknown as UseCase<InputOf<Name>, OutputOf<Name>>;
    return passDoorway(asked, input, actor, { db: this.db, now: this.now, devices: this.devices });
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

  async book(document: OrderDocument = hogDocument()): Promise<Order[]> {
    const { animalId } = await this.get('bookOrder', { clientId: randomUUID(), document });
    return (await allOrders(this.db)).filter((order) => order.animal.id === animalId);
  }

  /** A half on the block: booked, weighed, approved, started. */
  async onTheBlock(sheet: SheetDocument = { houseForTheRest: true }): Promise<string> {
    const share = { part: 'left' as const, owner: { name: 'Ottilie Brandreth' }, deposit: 50, sheet };
    const weights = { left: { hot: 92.5, cold: 91 }, right: { hot: 91, cold: 89.6 } };
    const [order] = await this.book(hogDocument({ shares: [share], weights }));
    const shareId = order!.share.id;
    await this.get('approveSheet', { shareId, version: 1, overrideReason: '' });
    await this.get('startBlock', { shareId });
    return shareId;
  }

  reading(net: number, change: Partial<ScaleReading> = {}): ScaleReading {
    this.loads += 1;
    return {
      scaleId: 'bench-1',
      loadId: String(this.loads),
      gross: net + 40,
      tare: 40,
      net,
      unit: 'lb',
      state: 'steady',
      ...change,
    };
  }

  /** Input of one weighing; `net` in thousandths. */
  weighing(shareId: string, purpose: WeighingPurpose, net: number): InputOf<'weigh'> {
    return { clientId: randomUUID(), shareId, purpose, pieces: null, reading: this.reading(net as Weight) };
  }
}
