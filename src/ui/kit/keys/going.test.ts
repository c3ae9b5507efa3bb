import { Going } from './going';

const key = (name: string, timeStamp: number, ctrlKey = false) => ({
  key: name,
  timeStamp,
  ctrlKey,
  metaKey: false,
  altKey: false,
});

function second(...pressed: ReturnType<typeof key>[]): boolean {
  const going = new Going();
  pressed.forEach((each) => going.press(each));
  return going.isSecond(pressed.at(-1)!);
}

describe('a letter after g', () => {
  it('goes somewhere and does nothing else, unless one waits too long', () => {
    expect(second(key('g', 0), key('h', 300))).toBe(true);
    expect(second(key('g', 0), key('h', 1300))).toBe(false);
  });

  it('is a letter by itself after any other key, and after a chord', () => {
    expect(second(key('h', 300))).toBe(false);
    expect(second(key('n', 0), key('h', 300))).toBe(false);
    expect(second(key('g', 0, true), key('h', 300))).toBe(false);
    expect(second(key('g', 0), key('n', 200), key('h', 300))).toBe(false);
    expect(second(key('g', 0), key('Enter', 300))).toBe(false);
  });
});
