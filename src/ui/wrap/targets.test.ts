import { forecast } from '@/core/forecast/forecast';
import { weight } from '@/core/quantity/weight';
import { COLD, half, house } from '@/core/tests/halfHog';
import type { WrapView } from '@/server/views/wrapView';
import { isDue, SECTIONS, targetsOf, type Target } from './targets';

const expected = forecast(half, house, COLD);

function view(change: Partial<WrapView> = {}): WrapView {
  return {
    shareId: 's1',
    name: 'Ottilie Brandreth, left half',
    about: '',
    instructions: '',
    unit: 'lb',
    started: true,
    closed: false,
    ready: true,
    whyNotReady: '',
    lines: expected.lines,
    losses: expected.losses,
    expectedTub: weight(9.65),
    weighings: [],
    settledLines: [],
    cold: COLD[0]!,
    onBlock: COLD[0]!,
    inTub: weight(0),
    cautions: [],
    ...change,
  };
}

type Counted = Parameters<typeof targetsOf>[1][number];

function pack(lineKey: string, source = 'share'): Counted {
  return { kind: 'package', source, lineKey };
}

const target = (key: string, pending: Counted[] = [], change: Partial<WrapView> = {}): Target =>
  targetsOf(view(change), pending).find((each) => each.key === key)!;

describe('what is due at the wrap table', () => {
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
    const green: Counted = { kind: 'green', source: '', lineKey: 'belly.0.0' };
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

  it('a barrel that nothing goes into is not due', () => {
    const none = target('skin', [], { losses: { ...expected.losses, skin: weight(0) } });
    expect(none).toMatchObject({ due: 0, band: null });
  });
});
