import { lessonRowOf, minutesOf } from '@/core/learning/lessonRow';
import { yieldRowOf } from '@/core/yields/yieldRow';
import { onRailAfter } from '@/core/order/onRail';
import { group } from 'd3-array';
import { sidesOfPart } from '@/core/shares/parts';
import { listInForce } from '@/core/charges/priceList';
import { sideStanding } from '@/core/ledger/ledger';
import type { Animal, AnimalId, Person, PersonId, Share, ShareId, Side, SideId } from '@/core/order/animal';
import { readSheet, type PersonDocument } from '@/core/order/document';
import { situationOf } from '@/core/order/readOrder';
import type { HungSide, ShareFile } from '@/core/order/shareFile';
import { stageRowOf } from '@/core/order/stageRow';
import type { SideWeight } from '@/core/order/work';
import { cents } from '@/core/quantity/money';
import { weight, type Weight } from '@/core/quantity/weight';
import { dayIn, instant, type Day } from '@/core/time/shopTime';
import { nextOrderNumber } from '@/data/book';
import { writeHistory, type Booked, type History } from '@/data/rail';
import { readPriceLists, readShop } from '@/data/setUp';
import { nextSerial } from '@/data/wrap';
import type { Surroundings } from '../house/surroundings';
import { chanceFrom, type Chance } from './chance';
import { drawAnimal, type PastAnimal } from './pastAnimal';
import { pastHand } from './pastHand';
import { PastBench, type PastWork } from './pastWork';
import { steadyId } from './steady';

const DAY_MS = 24 * 3_600_000;
/** The season ends this long ago, so that its last share has gone home before today. */
const ENDED_DAYS_AGO = 45;
const SEASON_DAYS = 365;
/** Animals whose rows are written at once. */
const ANIMALS_AT_ONCE = 40;

/**
 * Fills a year with finished orders, the same for the same seed: animals drawn, booked, cut, packed, paid and gone home.
 * Their figures are made by the core as those of a day's work are; only the writing goes by the hundred.
 *
 * @param shares - about how many orders
 * @returns how many orders were written
 */
export async function seedSeason(
  around: Surroundings,
  { shares, seed }: { shares: number; seed: number },
): Promise<number> {
  const season = await Season.open(around, seed);
  let written = 0;
  while (written < shares) {
    const works: { past: PastAnimal; files: PastWork[] }[] = [];
    for (let i = 0; i < ANIMALS_AT_ONCE && written < shares; i += 1) {
      const made = season.animal(written / shares);
      works.push(made);
      written += made.files.length;
    }
    await around.db.transaction((trx) =>
      writeHistory(trx, season.history(works.flatMap(({ files }) => files))),
    );
  }
  return written;
}

type Place = Awaited<ReturnType<typeof placeOf>>;

async function placeOf({ db, setUps, now }: Surroundings) {
  const shop = await readShop(db);
  const { rules, catalogue, number: setUpNumber } = await setUps.now(db);
  return {
    shop,
    rules,
    setUpNumber,
    catalogue,
    now,
    lists: await readPriceLists(db),
    reading: { unit: shop.unit, tools: rules.tools, catalogue },
    firstOrder: await nextOrderNumber(db),
    firstSerial: await nextSerial(db),
  };
}

/** Who works in the past: nobody in particular. */
const ACTOR = 'past';

class Season {
  private readonly known = new Map<string, Person>();
  private unwritten: Person[] = [];
  private animals = 0;
  private orders: number;
  private serial: number;

  private constructor(
    private readonly place: Place,
    private readonly chance: Chance,
    private readonly seed: number,
  ) {
    this.orders = place.firstOrder;
    this.serial = place.firstSerial;
  }

  static async open(around: Surroundings, seed: number): Promise<Season> {
    return new Season(await placeOf(around), chanceFrom(seed), seed);
  }

  /** @param elapsed - how much of the season is over, 0 to 1 */
  animal(elapsed: number): { past: PastAnimal; files: PastWork[] } {
    const { shop, catalogue, now } = this.place;
    this.animals += 1;
    const ago = ENDED_DAYS_AGO + SEASON_DAYS * (1 - elapsed);
    const killed = new Date(Math.floor(now.getTime() / DAY_MS - ago) * DAY_MS + 9 * 3_600_000);
    const past = drawAnimal({ catalogue, unit: shop.unit, zone: shop.zone }, this.chance, {
      number: this.animals,
      killed,
    });
    const hand = pastHand(elapsed);
    return { past, files: this.filesOf(past).map((file) => this.workOn(file, past, hand)) };
  }

  private workOn(file: ShareFile, { cut }: PastAnimal, hand: ReturnType<typeof pastHand>): PastWork {
    const context = { chance: this.chance, hand, cut, actorId: ACTOR, nextSerial: () => this.serial++ };
    return new PastBench(file, context).run();
  }

  private id(words: string): string {
    return steadyId(`season ${this.seed} ${this.animals} ${words}`);
  }

  /** People come again, as they do. */
  private person(document: PersonDocument): Person {
    const known = this.known.get(document.name);
    if (known) return known;
    const id = steadyId(`season ${this.seed} ${document.name}`) as PersonId;
    const person: Person = { id, name: document.name, phone: document.phone ?? null, email: null };
    this.known.set(document.name, person);
    this.unwritten.push(person);
    return person;
  }

  private filesOf({ document, killed, cut }: PastAnimal): ShareFile[] {
    const { shop, rules, setUpNumber, catalogue, lists, reading } = this.place;
    const priceList = listInForce(lists, dayIn(shop.zone, killed)) ?? lists[0]!;
    const animal: Animal = {
      id: this.id('animal') as AnimalId,
      tag: document.animal.tag,
      species: document.animal.species,
      sex: null,
      killDate: document.animal.killDate as Day,
      inspection: 'custom-exempt',
      addOns: [],
      carcass: {},
      farm: this.person(document.farm),
      priceListId: priceList.id,
      bookedAt: instant(new Date(killed.getTime() - 7 * DAY_MS)),
      facts: {},
      unsplit: false,
      sample: false,
    };
    const sides = (['left', 'right'] as const).map((position) =>
      this.sideOf(animal, position, { document, killed, cut }),
    );
    const shares = document.shares.map((said, at) => this.shareOf(animal, said, at));
    return shares.map((share, at) => {
      const own = sides.filter(({ side }) => sidesOfPart(share.part).includes(side.position));
      const base = situationOf(reading, document, share.part);
      const daysHung = Math.round((cut.getTime() - killed.getTime()) / DAY_MS);
      const situation = { ...base, condition: { ...base.condition, daysHung } };
      const { sheet } = readSheet(document.shares[at]!.sheet!, situation, document.unit);
      const by = { at: animal.bookedAt, actorId: ACTOR };
      return {
        shop,
        rules,
        setUpNumber,
        catalogueVersion: catalogue.version,
        priceList,
        animal,
        share,
        siblings: shares,
        together: [share],
        allotted: undefined,
        sides: own,
        otherSides: sides.filter((each) => !own.includes(each)),
        situation,
        sheet: { shareId: share.id, version: 2, sheet, approved: true, overrideReason: null, ...by },
        start: undefined,
        plan: undefined,
        deviations: [],
        weighings: [],
        batches: [],
        cures: [],
        smokes: [],
        notes: [],
        closing: undefined,
        payments: [],
        pickUp: undefined,
        cancellation: undefined,
        held: [],
      };
    });
  }

  private shareOf(animal: Animal, said: PastAnimal['document']['shares'][number], at: number): Share {
    const owner = this.person(said.owner);
    return {
      id: this.id(`share ${at}`) as ShareId,
      number: this.orders++,
      animalId: animal.id,
      position: at,
      part: said.part as Share['part'],
      owner,
      payer: owner,
      contact: owner,
      deposit: cents(5_000),
      sharePct: 100,
      setUpNumber: this.place.setUpNumber,
      cancelled: false,
    };
  }

  private sideOf(
    animal: Animal,
    position: Side['position'],
    { document, killed, cut }: PastAnimal,
  ): HungSide {
    const side: Side = { id: this.id(`side ${position}`) as SideId, animalId: animal.id, position };
    const said = document.weights![position]!;
    const ticket = (kind: 'hot' | 'cold', at: Date): SideWeight => ({
      id: this.id(`${kind} ${position}`),
      clientId: this.id(`${kind} ${position} sent`),
      sideId: side.id,
      kind,
      gross: weight(said[kind]!),
      tare: 0 as Weight,
      origin: 'typed',
      remark: '',
      at: instant(at),
      actorId: ACTOR,
      transactionId: this.id(`${kind} ${position} ledger`),
    });
    const hot = ticket('hot', killed);
    return {
      side,
      firstHot: hot,
      hot,
      cold: ticket('cold', cut),
      deep: null,
      onRail: onRailAfter([]),
      quarters: null,
      found: [],
    };
  }

  /** Everything that was written of these shares, and of the people met since the last time. */
  history(works: readonly PastWork[]): History {
    const files = works.map(({ file }) => file);
    const taught = files.map((file) => ({
      file,
      lessons: lessonRowOf(file, new Date(file.closing!.at), []),
    }));
    const firsts = [...group(files, (file) => file.animal.id).values()].map(([file]) => file!);
    const sides = uniqueSides(files);
    const people = this.unwritten;
    this.unwritten = [];
    return {
      people,
      animals: firsts.map((file) => file.animal),
      sides: firsts.flatMap(({ animal }) => this.sidesOf(animal, sides)),
      shares: files.map((file) => file.share),
      transactions: [...sides.flatMap(ticketTransactions), ...works.flatMap((work) => work.transactions)],
      sideWeights: sides.flatMap(({ hot, cold }) => [hot!, cold!]),
      sheets: files.map((file) => file.sheet!),
      starts: files.map((file) => ({ start: file.start!, plan: file.plan! })),
      weighings: works.flatMap(({ file, voided }) => [...file.weighings, ...voided]),
      voids: works.flatMap((work) => work.voids),
      labels: works.flatMap((work) => work.labels),
      notes: files.flatMap((file) => file.notes),
      closings: files.map((file) => file.closing!),
      payments: files.flatMap((file) => file.payments),
      pickUps: files.map((file) => file.pickUp!),
      stages: files.map(stageRowOf),
      lessons: taught.map(({ lessons }) => lessons),
      yields: taught.map(({ file, lessons }) =>
        yieldRowOf(file, new Date(file.closing!.at), {
          cutterId: '',
          minutes: minutesOf(lessons),
        }),
      ),
    };
  }

  /** Both sides of an animal, the one that nobody bought as well. */
  private sidesOf(animal: Animal, sold: readonly HungSide[]): Side[] {
    const own = sold.filter(({ side }) => side.animalId === animal.id).map(({ side }) => side);
    const missing = (['left', 'right'] as const).filter(
      (position) => !own.some((side) => side.position === position),
    );
    return [
      ...own,
      ...missing.map((position): Side => {
        const id = steadyId(`${animal.id} ${position}`) as SideId;
        return { id, animalId: animal.id, position };
      }),
    ];
  }
}

function uniqueSides(files: readonly ShareFile[]): HungSide[] {
  return [...new Map(files.flatMap((file) => file.sides).map((hung) => [hung.side.id, hung])).values()];
}

function ticketTransactions({ side, hot, cold }: HungSide): Booked[] {
  const [hotNet, coldNet] = [hot!.gross, cold!.gross];
  const entry = (ticket: SideWeight) => ({
    id: ticket.transactionId!,
    kind: `${ticket.kind}-weight`,
    at: ticket.at,
    actorId: ACTOR,
  });
  return [
    { entry: entry(hot!), postings: sideStanding(side.id, hotNet, undefined) },
    {
      entry: entry(cold!),
      postings: [
        { kind: 'side', owner: side.id, weight: (coldNet - hotNet) as Weight },
        { kind: 'shrink', owner: side.id, weight: (hotNet - coldNet) as Weight },
      ],
    },
  ];
}
