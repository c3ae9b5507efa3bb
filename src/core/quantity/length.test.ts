import fc from 'fast-check';
import { formatInches, parseLength } from './length';

const chop = { minIn: 0.5, maxIn: 2, words: { regular: 1, thick: 1.5, thin: 0.5 } };

describe('a word that every object has', () => {
  it.each(['constructor', 'toString', '__proto__'])('%s is no length', (said) => {
    expect(parseLength(said, { minIn: 0.25, maxIn: 3, words: {} })).toMatchObject({ reason: 'not-a-length' });
  });
});

describe('a thickness as people say it', () => {
  it.each([
    ['3/4', 0.75],
    ['1 1/4', 1.25],
    ['1-1/4', 1.25],
    ['1¼', 1.25],
    ['¾ in', 0.75],
    ['0.75', 0.75],
    ['.75', 0.75],
    ['0,75', 0.75],
    ['1"', 1],
    ['1 inch', 1],
    ['1.5 inches', 1.5],
    ['19 mm', 19 / 25.4],
    ['19mm', 19 / 25.4],
    ['2 cm', 20 / 25.4],
    ['Regular', 1],
    ['thick', 1.5],
  ])('"%s" is %d inches', (text, inches) => {
    expect(parseLength(text, chop)).toEqual({ ok: true, value: inches });
  });

  it.each(['', 'chunky', '1/0', '3//4', '1 2', '-1', '1 ft', '1/4/5'])(
    '"%s" is refused in plain words',
    (text) => {
      const read = parseLength(text, chop);
      expect(read).toMatchObject({ ok: false, reason: 'not-a-length' });
      expect(read.ok || read.message).toContain('Say it like 3/4');
    },
  );

  it.each(['5', '1/4', '3 mm', '100 mm'])(
    '"%s" is outside what a chop can be, and the limits are said',
    (text) => {
      const read = parseLength(text, chop);
      expect(read).toMatchObject({ ok: false, reason: 'out-of-range' });
      expect(read.ok || read.message).toContain('1/2 in to 2 in');
    },
  );

  it('on the ruler is read back as it was shown', () => {
    fc.assert(
      fc.property(fc.integer({ min: 8, max: 32 }), (sixteenths) => {
        const shown = formatInches(sixteenths / 16);
        expect(parseLength(shown, chop)).toEqual({ ok: true, value: sixteenths / 16 });
      }),
    );
  });
});

describe('inches on the screen', () => {
  it('are fractions to the sixteenth', () => {
    expect(formatInches(1.25)).toBe('1 1/4 in');
    expect(formatInches(0.748)).toBe('3/4 in');
    expect(formatInches(2)).toBe('2 in');
    expect(formatInches(0.0625)).toBe('1/16 in');
  });
});
