import fc from 'fast-check';
import { randomUUID } from 'node:crypto';
import { writePriceListCsv } from '@/core/formats/priceListCsv';
import { houseSheet } from '@/core/sheet/houseSheet';
import { demoPriceLists } from '../demo/setUpDemo';
import { hogDocument, TestShop } from '../tests/testShop';
import { USE_CASES, type UseCaseName } from '../useCases';
import { passDoorway } from './doorway';

/** Names that every object has, and other words that are no answers. */
const NAMES = [
  'constructor',
  'toString',
  '__proto__',
  'hasOwnProperty',
  'valueOf',
  'prototype',
  '',
  ' ',
  '0',
  '-1',
  '\u0000',
];
const nasty = fc.oneof(
  { weight: 4, arbitrary: fc.constantFrom<unknown>(...NAMES) },
  fc.constantFrom<unknown>(null, true, 0, -1, 1e9, 1.5, Number.MAX_SAFE_INTEGER, [], {}, [[]]),
  fc.uuid(),
);

/** A copy in which one value somewhere inside is another one, or a field has another name. */
function almost(value: unknown): fc.Arbitrary<unknown> {
  if (value === null || typeof value !== 'object') return nasty;
  const keys = Object.keys(value);
  if (keys.length === 0) return nasty;
  return fc.oneof(
    { weight: 1, arbitrary: nasty },
    {
      weight: 6,
      arbitrary: fc.constantFrom(...keys).chain((key) =>
        almost((value as Record<string, unknown>)[key]).map((changed) => {
          const copy = structuredClone(value) as Record<string, unknown>;
          copy[key] = changed;
          return copy;
        }),
      ),
    },
    {
      weight: 2,
      arbitrary: fc.tuple(fc.constantFrom(...keys), fc.constantFrom(...NAMES)).map(
        ([key, name]) =>
          // Through JSON, as it comes over the network: there `__proto__` is a field like any other.
          JSON.parse(JSON.stringify(value).replace(`"${key}":`, `${JSON.stringify(name)}:`)) as unknown,
      ),
    },
  );
}

const TYPED = { gross: 1000, tare: 0, why: 'the scale is away' };

describe('whatever is asked', () => {
  let shop: TestShop;
  let sound: Record<UseCaseName, object>;

  beforeAll(async () => {
    shop = await TestShop.open();
    const shareId = await shop.onTheBlock();
    const [waiting] = await shop.book(hogDocument({ animal: { ...hogDocument().animal, tag: 'H901' } }));
    const [off] = await shop.book(hogDocument({ animal: { ...hogDocument().animal, tag: 'H903' } }));
    const id = { shareId: waiting!.share.id };
    const purpose = { kind: 'package', from: 'share', lineKey: 'center-loin.0.0' } as const;
    const pack = await shop.get('weigh', shop.weighing(shareId, purpose, 1290));
    const sheet = houseSheet(waiting!.situation);
    const document = hogDocument({ animal: { ...hogDocument().animal, tag: 'H902' } });
    const sideId = waiting!.sides[0]!.side.id;
    const baseId = (await shop.get('pricesView', {})).standing.at(-1)!.list.id;
    const inHand = async (name: string, effectiveFrom: string) =>
      (await shop.get('startPriceList', { clientId: randomUUID(), baseId, name, effectiveFrom })).draftId;
    const [draftId, forced, put] = [
      await inHand('In hand', '2099-01-04'),
      await inHand('In force', '2099-01-05'),
      await inHand('Put away', '2099-01-06'),
    ];
    const change = { kind: 'rate', rule: 'cut-and-wrap', rateCents: 104 } as const;
    await shop.get('changePrices', { clientId: randomUUID(), draftId, change });
    const changeId = (await shop.get('pricesView', {})).inHand.find((each) => each.id === draftId)!
      .history[0]!.id;
    const [ownerId, otherId] = [waiting!.share.owner.id, off!.animal.farm.id];
    const { personId } = await shop.get('takeOn', {
      clientId: randomUUID(),
      name: 'Odda',
      role: 'wrapper',
      secret: 'fish-on-friday',
    });
    sound = {
      bookOrder: { clientId: randomUUID(), document },
      bookAnimals: { clientId: randomUUID(), documents: [document] },
      triedBookingsView: { documents: [document] },
      bookingView: {},
      householdsView: { words: 'ott' },
      householdView: { personId: ownerId },
      addHouseholdContact: {
        clientId: randomUUID(),
        personId: ownerId,
        name: 'Ann',
        phone: '555 0199',
        email: '',
      },
      endHouseholdContact: { clientId: randomUUID(), contactId: randomUUID() },
      noteHousehold: { clientId: randomUUID(), personId: ownerId, notes: 'rings late' },
      mergeHouseholds: { clientId: randomUUID(), keepId: ownerId, doubleId: otherId },
      lastTimeView: { shareId },
      roomView: {},
      confirmationView: { shareId },
      messagesView: {},
      orderFileView: { shareId },
      blankSheetView: { species: 'hog' },
      cutCardsView: { species: 'hog' },
      shopFrontView: {},
      trySheetView: { species: 'hog', sides: 1 },
      trySpeciesView: { species: 'hog' },
      keepTriedSheet: { clientId: randomUUID(), species: 'hog', sides: 1, sheet },
      triedSheetView: { code: 'K7QM-4XTB' },
      weighSide: {
        clientId: randomUUID(),
        sideId,
        kind: 'hot',
        gross: 92_500,
        tare: 0,
        reason: '',
        sure: false,
      },
      hangView: {},
      saveSheet: { ...id, baseVersion: 1, sheet },
      approveSheet: { clientId: randomUUID(), ...id, version: 1, overrideReason: '' },
      reopenSheet: { clientId: randomUUID(), ...id, version: 1, reason: 'They rang' },
      renewSetUp: { clientId: randomUUID(), ...id },
      noteCall: { clientId: randomUUID(), ...id, reached: 'spoken', said: 'Rang' },
      wishesView: {
        ...id,
        sheet,
        goals: [{ wish: { kind: 'most', of: 'grind' }, must: false, weight: 1 }],
        pins: [],
      },
      keepTemplate: { clientId: randomUUID(), ...id, name: 'Lean and quick', sheet },
      endTemplate: { clientId: randomUUID(), templateId: randomUUID() },
      farmSheetsView: { personId: ownerId },
      changeRows: {
        clientId: randomUUID(),
        changes: [
          {
            ...id,
            version: 1,
            decision: 'ham',
            answer: { forms: [{ option: 'grind', amount: { kind: 'rest' }, params: {} }] },
          },
        ],
      },
      wantedView: {
        personId: ownerId,
        species: 'hog',
        wants: [{ cut: 'Blade steaks, bone-in', packs: 4, inFreezer: 0 }],
      },
      giveFarmLink: {
        clientId: randomUUID(),
        personId: ownerId,
        days: 3,
        prices: true,
        origin: 'https://shop.example.org',
        secret: 'x'.repeat(43),
      },
      farmLinksView: { personId: ownerId },
      copySheet: { clientId: randomUUID(), fromShareId: shareId, toShareIds: [randomUUID()], rows: [] },
      callsView: {},
      callView: id,
      takeHouseWay: { clientId: randomUUID(), ...id, version: 1, reason: 'Nobody answers' },
      sheetView: id,
      speciesView: { id: 'hog', version: shop.catalogue.version },
      blockSheetView: id,
      noteFound: {
        clientId: randomUUID(),
        sideId,
        kind: 'bruise',
        decision: 'ham',
        weight: 1_400,
        measure: null,
        note: 'left',
        photo: '',
      },
      withdrawFound: { clientId: randomUUID(), foundId: randomUUID(), reason: 'another side' },
      photoView: { photoId: randomUUID() },
      weighQuarter: {
        clientId: randomUUID(),
        sideId,
        quarter: 'fore',
        kind: 'hot',
        gross: 92_500,
        tare: 0,
      },
      noteLiveWeight: { clientId: randomUUID(), sideId, gross: 250_000, tare: 0, sure: false },
      doOnRail: { clientId: randomUUID(), sideId, kind: 'held', rail: '', foot: null, reason: 'smells' },
      startBlock: { clientId: randomUUID(), ...id, reason: '' },
      blockView: { shareId },
      sayWhoDid: { clientId: randomUUID(), shareId, hand: 'left', task: 'boned', personId },
      markStep: { clientId: randomUUID(), shareId, hand: 'left', step: 'ham-off', done: true },
      weighPiece: {
        clientId: randomUUID(),
        shareId,
        hand: 'left',
        piece: 'ham',
        reading: shop.reading(22_000),
      },
      takePieceBack: { clientId: randomUUID(), shareId, hand: 'left', piece: 'ham' },
      doOtherwise: {
        clientId: randomUUID(),
        shareId,
        hand: 'left',
        decision: 'butt',
        reason: 'tough',
        doneAs: 'grind',
        weight: null,
      },
      weigh: shop.weighing(shareId, purpose, 1290),
      voidWeighing: { clientId: randomUUID(), weighingId: pack.id, reason: '' },
      noteLine: { clientId: randomUUID(), shareId, lineKey: 'center-loin.0.0', note: 'thin' },
      readNote: { clientId: randomUUID(), shareId },
      reprintLabel: { clientId: randomUUID(), weighingId: pack.id },
      tareScale: {},
      noteTemperature: { clientId: randomUUID(), sideId, typed: 38.5 },
      wrapView: { shareId },
      grindView: {},
      traceView: { words: 'H900' },
      beginBatch: { clientId: randomUUID(), shareId, lineKey: 'grind.0' },
      notePoolWord: {
        clientId: randomUUID(),
        shareId: waiting!.share.id,
        yes: true,
        name: 'Wray',
        how: 'paper',
      },
      weekView: {},
      weekJobView: {},
      weekCalendarView: {},
      readyView: { species: 'hog', killDate: '2026-11-30' },
      sayOfWeek: { clientId: randomUUID(), word: { kind: 'usual', day: '2026-12-01' as never } },
      tubView: { text: 'H14', batchId: pack.id },
      weighMeat: { clientId: randomUUID(), batchId: pack.id, typed: TYPED },
      putMeatBack: { clientId: randomUUID(), batchId: pack.id },
      weighIngredient: {
        ...{ clientId: randomUUID(), batchId: pack.id, typed: TYPED },
        ...{ ingredient: 'salt', lot: '', otherwise: '' },
      },
      lookSecond: { clientId: randomUUID(), batchId: pack.id, ingredient: 'curing salt' },
      doBatch: { clientId: randomUUID(), batchId: pack.id, said: { kind: 'head' } },
      noteWash: { clientId: randomUUID(), wash: 'scrape' },
      dayBookView: {},
      dayBookFileView: { day: '2026-11-24' },
      signDay: { clientId: randomUUID(), day: '2026-11-24', words: 'looked at' },
      ingredientsView: {},
      receiveIngredient: {
        ...{ clientId: randomUUID(), ingredient: 'salt', lot: 'S-1', supplier: 'Saltgate', tenths: 100_000 },
        bestBy: null,
      },
      beginDrill: { clientId: randomUUID(), words: 'H900' },
      reachInDrill: { clientId: randomUUID(), drillId: pack.id, shareId },
      endDrill: { clientId: randomUUID(), drillId: pack.id },
      smokeView: {},
      loadPaperView: { loadId: pack.id },
      beginMix: { clientId: randomUUID(), recipeId: 'ham-pumped', piece: null, skinOn: false, makes: 20_000 },
      weighMix: {
        ...{ clientId: randomUUID(), mixId: pack.id, typed: TYPED },
        ...{ ingredient: 'salt', lot: '', otherwise: '' },
      },
      lookAtMix: { clientId: randomUUID(), mixId: pack.id, ingredient: 'curing salt' },
      doMix: { clientId: randomUUID(), mixId: pack.id, said: { kind: 'mixed' } },
      beginCure: {
        ...{ clientId: randomUUID(), shareId, weighingId: pack.id, mixId: pack.id },
        ...{ thicknessIn: 5, skinOn: false, place: 'Cure room' },
      },
      weighCure: { clientId: randomUUID(), cureId: pack.id, as: 'pumped', typed: TYPED },
      doCure: { clientId: randomUUID(), cureId: pack.id, said: { kind: 'turned' } },
      beginLoad: { clientId: randomUUID(), planId: 'cooked-whole' },
      doLoad: { clientId: randomUUID(), loadId: pack.id, said: { kind: 'ended' } },
      noteReading: { clientId: randomUUID(), loadId: pack.id, degreesF: 120 },
      weighSmoked: { clientId: randomUUID(), loadId: pack.id, weighingId: pack.id, typed: TYPED },
      labelView: { weighingId: pack.id, copy: 1 },
      scaleView: {},
      printerView: {},
      scannedView: { text: 'H112' },
      givePack: { clientId: randomUUID(), weighingId: pack.id, toShareId: waiting!.share.id },
      eventsView: {},
      todayView: {},
      ticketView: { shareId },
      correctFacts: { clientId: randomUUID(), ...id, facts: { sex: 'gilt' }, reason: 'the farm called' },
      cancelOrder: { clientId: randomUUID(), shareId: off!.share.id, reason: 'moved away', deposit: 'kept' },
      sellPart: {
        clientId: randomUUID(),
        animalId: waiting!.animal.id,
        part: 'left',
        owner: { name: 'Isolde Marsh', phone: '555 0170' },
        deposit: 20,
        house: true,
      },
      closeShare: { clientId: randomUUID(), shareId, note: '' },
      takePayment: { clientId: randomUUID(), shareId, amountCents: 100, method: 'cash' },
      handOver: { clientId: randomUUID(), shareId, takenBy: 'Ottilie' },
      balanceView: { shareId },
      settleView: { shareId },
      railView: {},
      stageView: { stage: 'sheet', page: 0 },
      findView: { words: 'ott' },
      sessionsView: {},
      endSession: { clientId: randomUUID(), sessionId: randomUUID() },
      unlockName: { clientId: randomUUID(), name: 'Tove' },
      staffView: {},
      takeOn: { clientId: randomUUID(), name: 'Hedda', role: 'wrapper', secret: 'fish-on-friday' },
      giveLevel: { clientId: randomUUID(), personId, level: 2 },
      changeRole: { clientId: randomUUID(), personId, role: 'cutter' },
      changeSecret: { clientId: randomUUID(), personId, secret: 'fish-on-monday' },
      changeStanding: { clientId: randomUUID(), personId, state: 'rests' },
      pricesView: {},
      setUpView: {},
      hangsOnView: { words: 'roast' },
      changeSetUp: {
        clientId: randomUUID(),
        change: { kind: 'word', species: 'hog', cut: 'Tenderloin, whole', word: 'Filet' },
      },
      startPriceList: { clientId: randomUUID(), baseId, name: 'Winter', effectiveFrom: '2099-01-07' },
      changePrices: { clientId: randomUUID(), draftId, change },
      takeBackPrice: { clientId: randomUUID(), draftId, changeId },
      importPrices: { clientId: randomUUID(), draftId, text: writePriceListCsv(demoPriceLists('lb')[0]!) },
      putPricesInForce: { clientId: randomUUID(), draftId: forced },
      putPricesAway: { clientId: randomUUID(), draftId: put },
      priceFileView: { listId: baseId, as: 'csv' },
      triedFileView: { kind: 'atlas', species: 'hog', text: 'id,primal' },
      giveLink: {
        clientId: randomUUID(),
        shareId,
        days: 14,
        prices: true,
        origin: 'https://shop.example.org',
        secret: 'x'.repeat(43),
      },
      endLink: { clientId: randomUUID(), linkId: randomUUID() },
      linksView: { shareId },
      otherSheetsView: { shareId },
      householdSheetView: { shareId },
      householdSpeciesView: { shareId },
      householdCopyView: { shareId },
      householdCalendarView: { shareId },
      statementView: { shareId },
      yieldsView: { species: 'hog' },
      yieldsFileView: { species: 'hog' },
      shareYieldView: { shareId },
      farmSeasonView: { personId: otherId },
      farmSeasonFileView: { personId: otherId },
      noteSeason: {
        clientId: randomUUID(),
        personId: otherId,
        species: 'hog',
        cut: 'Liver',
        pace: 'slowly',
        note: '',
      },
      wholeBookView: {},
      bookRowsView: { table: 'shares', after: 0, upTo: 9 },
      reportFileView: { year: 2026 },
      learningView: { species: 'hog' },
      leaveOut: { clientId: randomUUID(), shareId, leftOut: true, reason: 'The scale was off' },
      reportView: { year: 2026 },
      householdStatementView: { shareId },
      sendSheet: { clientId: randomUUID(), shareId, version: 1 },
      labelSampleView: {},
      yearView: { listId: baseId, besideId: baseId },
      speciesFileView: { id: 'hog', as: 'csv' },
    };
  });
  afterAll(() => shop.close());

  const owner = { kind: 'staff', id: 'fuzz', name: 'Fuzz', role: 'owner' } as const;
  const names = Object.keys(USE_CASES) as UseCaseName[];
  const RUNS_EACH = Math.ceil(5_000 / names.length);

  it('knows a sound question for every use case', () => {
    expect(Object.keys(sound).sort()).toEqual([...names].sort());
  });

  it.each(names)(
    '%s answers or refuses, and every page still opens',
    async (name) => {
      let asked = 0;
      await fc.assert(
        fc.asyncProperty(almost({ input: sound[name] }), async (changed) => {
          asked += 1;
          const { input } = (changed ?? {}) as { input?: unknown };
          const result = await passDoorway(USE_CASES[name] as never, input, owner, shop.around());
          if (!result.ok) expect(result.reason).not.toBe('unexpected');
        }),
        { numRuns: RUNS_EACH, seed: 41_207, endOnFailure: true },
      );
      expect(asked).toBeGreaterThanOrEqual(RUNS_EACH);
      for (const view of ['railView', 'hangView'] as const) {
        expect(await passDoorway(USE_CASES[view] as never, {}, owner, shop.around())).toMatchObject({
          ok: true,
        });
      }
      const broken: unknown[] = await shop.db('shareStages').whereNot({ broken: '' });
      expect(broken).toEqual([]);
    },
    120_000,
  );

  it('a sheet of names that every object has is refused, and one saved that way is a red ticket', async () => {
    const { shareId } = sound.sheetView as { shareId: never };
    for (const option of ['whole', 'half-shank']) {
      for (const cure of ['toString', 'constructor', '__proto__', 'hasOwnProperty']) {
        const { sheet } = sound.saveSheet as { sheet: ReturnType<typeof houseSheet> };
        const params = JSON.parse(`{"cure":${JSON.stringify(cure)}}`) as Record<string, string>;
        const ham = { forms: [{ option, amount: { kind: 'rest' as const }, params }] };
        const { version } = await shop.get('sheetView', { shareId });
        const input = {
          shareId,
          baseVersion: version,
          sheet: { ...sheet, answers: { ...sheet.answers, ham } },
        };
        expect(await shop.ask('saveSheet', input)).toMatchObject({ ok: false, reason: 'invalid' });
      }
    }
  });
});
