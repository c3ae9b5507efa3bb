import { forecast } from '@/core/forecast/forecast';
import { weight } from '@/core/quantity/weight';
import { COLD, half, house } from '@/core/tests/halfHog';
import type { WrapView } from '@/server/wrap';
import type { ScaleReading } from '@/core/scale/reading';
import { runningAccount } from './runningAccount';
import { isDue, SECTIONS, targetsOf, type Target } from './targets';
import { whyNotTaken } from './whyNotTaken';

const expected = forecast(half, house, COLD);

function view(change: Partial<WrapView> = {}): WrapView {
  return {
    readAt: '2026-11-26T08:00:00Z',
    tradeItems: {},
    trays: [],
    barrels: { bone: 'the pit', fat: 'the pit', skin: 'the pit', inedible: 'waste' },
    shareId: 's1' as WrapView['shareId'],
    name: 'Ottilie Brandreth, left half',
    about: '',
    noteRead: false,
    instructions: '',
    unit: 'lb',
    started: true,
    closed: false,
    asked: { ofLine: {}, toTub: [] },
    chilling: false,
    whyNotReady: '',
    lines: expected.lines,
    losses: expected.losses,
    expectedTub: weight(9.65),
    weighings: [],
    settledLines: [],
    inSmoke: {},
    cold: COLD[0]!,
    onBlock: COLD[0]!,
    inTub: weight(0),
    scaleMost: weight(30),
    cautions: [],
    ...change,
  };
}

type Counted = Parameters<typeof targetsOf>[1][number];

function pack(lineKey: string, source = 'share'): Counted {
  return { kind: 'package', source, lineKey, net: weight(1) };
}

function load(kind: 'green' | 'barrel', where: string, net: number): Counted {
  const [source, lineKey] = kind === 'green' ? ['', where] : [where, ''];
  return { kind, source, lineKey, net: net as Counted['net'] };
}

const belly = expected.lines.find((line) => line.key === 'belly.0.0')!;
const BELLY_GREEN = belly.packaged + belly.cureLoss;

const target = (key: string, pending: Counted[] = [], change: Partial<WrapView> = {}): Target =>
  targetsOf(view(change), pending).find((each) => each.key === key)!;

describe('what is due at the wrap table', () => {
  it('adds up to the whole side before anything is weighed, less what saw and air take', () => {
    const { due, over } = runningAccount(targetsOf(view(), []), COLD[0]!);
    expect(due + over).toBe(COLD[0]);
    expect(Math.abs(over)).toBeLessThan(COLD[0]! * 0.03);
  });

  it('every line of the sheet, where it comes from, then tub and barrels', () => {
    const targets = targetsOf(view(), []);
    expect(SECTIONS.map((section) => targets.filter((each) => each.section === section).length)).toEqual([
      13, 1, 6, 5,
    ]);
    expect(new Set(targets.map((each) => each.key)).size).toBe(targets.length);
  });

  it('a cured cut is weighed green first, then finished', () => {
    expect(target('green belly.0.0')).toMatchObject({ section: 'block', due: 1, made: 0 });
    expect(target('package belly.0.0')).toMatchObject({ section: 'smokehouse', waits: 'green weight first' });
    const green = load('green', 'belly.0.0', BELLY_GREEN);
    expect(target('package belly.0.0', [green])).toMatchObject({ waits: '' });
    expect(isDue(target('green belly.0.0', [green]))).toBe(false);
  });

  it('grind waits for its tub', () => {
    expect(target('package grind.0').waits).toBe('weigh the trim tub first');
    expect(target('package grind.0', [], { inTub: weight(9) }).waits).toBe('');
  });

  it('counts what is packed and what is still on its way', () => {
    const chops = 'center-loin.0.0';
    const two = target(`package ${chops}`, [pack(chops), pack(chops)]);
    expect(two).toMatchObject({ made: 2, due: 9, pieces: 2, detail: '1 in, 2 in a pack' });
    expect(isDue(two)).toBe(true);
  });

  it('the odd chop is a pack of one', () => {
    const chops = 'center-loin.0.0';
    const eight = Array.from({ length: 8 }, () => pack(chops));
    expect(target(`package ${chops}`, eight).pieces).toBe(1);
  });

  it('what was explained waits for nothing more', () => {
    const explained = target('package butt.0.0', [], { settledLines: ['butt.0.0'] });
    expect(explained).toMatchObject({ settled: true, made: 0 });
    expect(isDue(explained)).toBe(false);
  });

  it('expects a pack around an even share of its line', () => {
    const bacon = target('package belly.0.0');
    expect(bacon.band).toEqual({ low: 750, high: 1250 });
    const whole = expected.lines.find((line) => line.key === 'sirloin.0.0')!;
    const { low, high } = target('package sirloin.0.0').band!;
    expect((low + high) / 2).toBeCloseTo(whole.packaged, -1);
  });

  it('what goes in bulk comes in as many loads as it takes', () => {
    const half = load('green', 'belly.0.0', BELLY_GREEN / 2);
    const one = target('green belly.0.0', [half]);
    expect(one).toMatchObject({ due: 2, made: 1 });
    expect((one.band!.low + one.band!.high) / 2).toBeCloseTo(BELLY_GREEN / 2, -1);
    expect(isDue(target('green belly.0.0', [half, half]))).toBe(false);
  });

  it('no load of the bones of a beef is heavier than the scale carries', () => {
    const losses = { ...expected.losses, bone: weight(62) };
    const first = target('bone', [], { losses });
    expect(first).toMatchObject({ due: 3, made: 0 });
    expect((first.band!.low + first.band!.high) / 2).toBeLessThan(30_000);
    const two = [load('barrel', 'bone', 24_000), load('barrel', 'bone', 26_000)];
    expect(isDue(target('bone', two, { losses }))).toBe(false);
    expect(isDue(target('bone', two.slice(1), { losses }))).toBe(true);
  });

  it('a barrel that nothing goes into is not due', () => {
    const none = target('skin', [], { losses: { ...expected.losses, skin: weight(0) } });
    expect(none).toMatchObject({ due: 0, band: null });
  });
});

describe('what lies on the scale', () => {
  const steady: ScaleReading = {
    scaleId: 'bench',
    loadId: '1',
    gross: 1330,
    tare: 40,
    net: 1290,
    unit: 'lb',
    state: 'steady',
  };
  const chops = target('package center-loin.0.0');

  it('is taken when it is steady and something is chosen', () => {
    expect(whyNotTaken(chops, steady)).toBeUndefined();
  });

  it.each<[string, Target | undefined, ScaleReading | null]>([
    ['Choose what is on the scale', undefined, steady],
    ['green weight first', target('package belly.0.0'), steady],
    ['does not answer', chops, null],
    ['still moving', chops, { ...steady, state: 'moving' }],
    ['Too heavy', chops, { ...steady, state: 'overload' }],
    ['Nothing is on the scale', chops, { ...steady, state: 'empty' }],
  ])('otherwise it is said why: %s', (words, chosen, reading) => {
    expect(whyNotTaken(chosen, reading)).toContain(words);
  });
});
