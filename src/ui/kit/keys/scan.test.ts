import { elementString, parseElementString, tradeItem } from '@/core/label/gs1';
import { weight } from '@/core/quantity/weight';
import { FASTER_THAN_HANDS_MS, ScanReader, type Heard } from './scan';

const code = {
  tradeItem: tradeItem('200', 1220),
  net: weight(1.29),
  unit: 'lb',
  lot: '261124-H112',
  serial: '000042',
} as const;

function typed(reader: ScanReader, keys: readonly string[], every: number, from = 0): Heard[] {
  return keys.map((key, at) => {
    const isSeparator = key === '\u001d';
    const stroke = { key: isSeparator ? ']' : key, ctrlKey: isSeparator, repeat: false };
    return reader.press({ ...stroke, at: from + at * every });
  });
}

describe('what is typed', () => {
  it('by a scanner is a scan, and no key of it means anything else', () => {
    const keys = [...elementString(code), 'Enter'];
    const heard = typed(new ScanReader(), keys, 3);
    expect(heard.slice(0, -1).every((each) => each === 'held')).toBe(true);
    const { scan } = heard.at(-1) as { scan: string };
    expect(parseElementString(scan)).toEqual({ ok: true, value: code });
  });

  it('with capitals as well', () => {
    const heard = typed(new ScanReader(), ['Shift', 'H', '1', 'Shift', 'T', '2', '3', 'Enter'], 2);
    expect(heard).toEqual(['hand', 'held', 'held', 'held', 'held', 'held', 'held', { scan: 'H1T23' }]);
  });

  it('by a hand is the hand’s, however many keys it presses', () => {
    const slow = FASTER_THAN_HANDS_MS + 1;
    expect(typed(new ScanReader(), ['2', '7', '1', '1', '1', '1', 'Enter'], slow).at(-1)).toBe('hand');
  });

  it('by a hurried hand is not a scan: two digits and Enter', () => {
    expect(typed(new ScanReader(), ['2', '7', 'Enter'], 5)).toEqual(['held', 'held', 'hand']);
  });

  it('by a key that is held down is not a scan', () => {
    const reader = new ScanReader();
    const held = Array.from({ length: 9 }, (_, at) =>
      reader.press({ key: '+', ctrlKey: false, repeat: at > 0, at: at * 30 }),
    );
    expect(held.slice(1).every((each) => each === 'hand')).toBe(true);
  });

  it('ends a scan with Enter at once, not with the Enter of a hand later', () => {
    const reader = new ScanReader();
    typed(reader, [...'H112345'], 2);
    expect(reader.press({ key: 'Enter', ctrlKey: false, repeat: false, at: 500 })).toBe('hand');
  });
});
