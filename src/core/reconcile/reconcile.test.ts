import { forecast } from '../forecast/forecast';
import type { AccountKind, Posting } from '../ledger/ledger';
import { weight, type Weight } from '../quantity/weight';
import { COLD, half, house } from '../tests/halfHog';
import { USUAL_RULES } from '../shop/houseRules';
import { reconcile, verdictOn, type Reconciliation, type Weighed } from './reconcile';

const expected = forecast(half, house, COLD);

function holds(kind: AccountKind, units: number): Posting {
  return { kind, owner: 's1', weight: weight(units) };
}

function pack(lineKey: string, net: number, more: Partial<Weighed> = {}): Weighed {
  const line = expected.lines.find((each) => each.key === lineKey);
  return {
    kind: 'package',
    lineKey,
    cut: line?.cut ?? 'Something else',
    destination: line?.destination ?? 'steaks',
    net: weight(net),
    pieces: null,
    from: 'share',
    ...more,
  };
}

function balance(postings: Posting[], weighed: Weighed[] = [], cold: Weight = weight(91)): Reconciliation {
  return reconcile({
    cold,
    expected,
    postings,
    weighed,
    packed: true,
    limits: USUAL_RULES.unaccounted,
    lineTolerance: 0.08,
    unit: 'lb',
  });
}

describe('where the weight went', () => {
  it('a beef of the books: 2.58 % unaccounted is usual', () => {
    const beef = balance(
      [
        holds('package', 482.6),
        holds('bone', 118.9),
        holds('fat', 131.4),
        holds('inedible', 6.3),
        holds('unaccounted', 19.57),
      ],
      [],
      weight(758.77),
    );
    expect(beef).toMatchObject({ unaccounted: 19_570, unaccountedBp: 258, verdict: 'usual', yieldBp: 6360 });
  });

  it('the bridge leads from the cold weight to the boxes, and adds up', () => {
    const { bridge } = balance([
      holds('package', 60),
      holds('bone', 8),
      holds('cure', 12),
      holds('cure-change', -0.4),
      holds('tub', 3),
      holds('share', 8.4),
    ]);
    expect(bridge.map((step) => step.label)).toEqual([
      'cold weight',
      'bone',
      'cure and smoke',
      'unaccounted',
      'still in the tub',
      'still in cure',
      'in the boxes',
    ]);
    const [cold, ...rest] = bridge;
    const boxes = rest.pop()!;
    const lost = rest.reduce((sum, step) => sum + step.weight, 0);
    expect(cold!.weight - lost).toBe(boxes.weight);
  });

  it('explains the unaccounted weight line by line', () => {
    const { working } = balance([holds('package', 60), holds('bone', 8), holds('share', 23)]);
    expect(working.inputs).toContainEqual({ label: 'bone', value: '− 8.000 lb' });
    expect(working.inputs).toContainEqual({ label: 'unaccounted', value: '23.000 lb' });
    expect(working.inputs.at(-1)).toEqual({ label: 'of the cold weight', value: '25.27 %' });
  });

  it.each([
    [-1, 'investigate'],
    [0, 'usual'],
    [300, 'usual'],
    [301, 'ask'],
    [500, 'ask'],
    [501, 'investigate'],
  ] as const)('%d hundredths of a percent: %s', (basisPoints, verdict) => {
    expect(verdictOn(basisPoints, USUAL_RULES.unaccounted)).toBe(verdict);
  });

  it('is open while something of the sheet is still to come', () => {
    const input = { cold: weight(91), expected, postings: [holds('share', 60)], weighed: [] };
    const half = reconcile({
      ...input,
      packed: false,
      limits: USUAL_RULES.unaccounted,
      lineTolerance: 0.08,
      unit: 'lb',
    });
    expect(half).toMatchObject({ verdict: 'open', unaccounted: 60_000 });
  });

  it('of a share that weighs nothing is nothing', () => {
    expect(balance([], [], weight(0))).toMatchObject({ unaccountedBp: 0, yieldBp: 0, boxes: 0 });
  });
});

describe('what cure and smoke took', () => {
  const green = pack('belly.0.0', 10.4, { kind: 'green' });
  const cure: Posting = { kind: 'cure', owner: 's1/belly.0.0', weight: weight(0.8) };
  const finished = (packs: number) =>
    balance(
      [cure, holds('package', 9.6)],
      [green, ...Array.from({ length: packs }, () => pack('belly.0.0', 0.96, { from: 'cure' }))],
    );

  it('is known when the last pack is out, and still in cure before that', () => {
    const steps = (packs: number) =>
      Object.fromEntries(finished(packs).bridge.map((step) => [step.label, step.weight]));
    expect(steps(9)).toMatchObject({ 'still in cure': 800 });
    expect(steps(9)).not.toHaveProperty('cure and smoke');
    expect(steps(10)).toMatchObject({ 'cure and smoke': 800 });
    expect(finished(10).inCure).toBe(0);
  });
});

describe('asked against packed', () => {
  const line = (weighed: Weighed[], key: string) =>
    balance([], weighed).lines.find((each) => each.lineKey === key)!;

  it('a cut that nobody has weighed is to come', () => {
    expect(line([], 'butt.0.0')).toMatchObject({
      state: 'to come',
      packsMade: 0,
      offBp: null,
      unusual: false,
    });
  });

  it('fewer packs than asked are short, more are over', () => {
    const ribs = 'blade-end.0.0';
    expect(line([pack(ribs, 1.4)], ribs)).toMatchObject({ state: 'short', packsAsked: 2, packsMade: 1 });
    expect(
      line(
        [1, 2].map(() => pack(ribs, 1.4)),
        ribs,
      ),
    ).toMatchObject({ state: 'packed', unusual: false });
    expect(
      line(
        [1, 2, 3].map(() => pack(ribs, 1)),
        ribs,
      ).state,
    ).toBe('over');
  });

  it('a packed line far beside its forecast wants a word', () => {
    const ribs = 'blade-end.0.0';
    expect(line([pack(ribs, 0.9), pack(ribs, 0.9)], ribs)).toMatchObject({ unusual: true, state: 'packed' });
  });

  it('cured goods count green until they come out of the smoke', () => {
    const bacon = 'belly.0.0';
    const green = pack(bacon, 10.4, { kind: 'green' });
    expect(line([green], bacon)).toMatchObject({ state: 'in cure', green: 10_400, cured: true, actual: 0 });
    const finished = Array.from({ length: 10 }, () => pack(bacon, 0.96, { from: 'cure' }));
    expect(line([green, ...finished], bacon)).toMatchObject({ state: 'packed', actual: 9600, green: 10_400 });
  });

  it('a pack of something that is not on the sheet is shown as such', () => {
    const extra = balance([], [pack('old.0.0', 2), pack('old.0.0', 1)]).lines.at(-1);
    expect(extra).toMatchObject({ state: 'not asked', cut: 'Something else', actual: 3000, packsMade: 2 });
  });
});
