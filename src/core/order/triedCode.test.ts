import fc from 'fast-check';
import { CODE_SIGNS, codeOf, codeWords, newCode } from './triedCode';

const codes = fc
  .array(fc.integer({ min: 0, max: CODE_SIGNS.length - 1 }), { minLength: 8, maxLength: 8 })
  .map((signs) => {
    const left = [...signs];
    return newCode(() => left.pop()!);
  });

describe('the code of a tried sheet', () => {
  it('is the same however it is written down', () => {
    const asWritten = fc.constantFrom<(words: string) => string>(
      (words) => words,
      (words) => words.toLowerCase(),
      (words) => ` ${words.replace('-', ' ')} `,
      (words) => words.replace('-', ''),
      (words) => [...words].join(' '),
    );
    fc.assert(fc.property(codes, asWritten, (code, write) => codeOf(write(codeWords(code))) === code));
  });

  it.each(['', 'K7QM-4XT', 'K7QM-4XTBB', 'K7QM-4XT0', 'K7QM-4XTI', 'hello there'])('%j is none', (said) =>
    expect(codeOf(said)).toBeUndefined(),
  );
});
