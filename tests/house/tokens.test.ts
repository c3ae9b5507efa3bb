import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { tokenStyles, TYPE } from '@/ui/kit/tokens';

const files = execFileSync('git', ['ls-files', '-co', '--exclude-standard', 'src/ui', 'src/app'], {
  encoding: 'utf8',
})
  .split('\n')
  .filter((file) => /\.(tsx?|css)$/.test(file) && !/\.test\./.test(file));

describe('the look stands in one file', () => {
  it('no colour is written anywhere but among the tokens', () => {
    const written = files
      .filter((file) => file !== 'src/ui/kit/tokens.ts')
      .flatMap((file) =>
        [...readFileSync(file, 'utf8').matchAll(/#[0-9a-f]{3,8}\b/gi)].map(([colour]) => `${file} ${colour}`),
      );
    expect(written).toEqual([]);
  });

  it('every variable that a style sheet takes is one of them, or set beside it', () => {
    const texts = files.map((file) => readFileSync(file, 'utf8'));
    const set = [...texts, tokenStyles()].flatMap((text) => [...text.matchAll(/(--[a-z-]+)['"]?\]?:/g)]);
    const known = new Set(set.map(([, name]) => name));
    const taken = texts.flatMap((text) => [...text.matchAll(/var\((--[a-z-]+)/g)].map(([, name]) => name!));
    const missing = taken.filter((name) => !known.has(name));
    expect(missing).toEqual([]);
  });

  it('no type is smaller than the smallest', () => {
    const small = files.flatMap((file) =>
      [...readFileSync(file, 'utf8').matchAll(/font-size: ([\d.]+)px/g)]
        .filter(([, size]) => Number(size) < TYPE.smallest)
        .map(([words]) => `${file} ${words}`),
    );
    expect(small).toEqual([]);
  });
});
