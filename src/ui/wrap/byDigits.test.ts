import { targetName, typedDigit } from './byDigits';

describe('targets by digits', () => {
  it('up to ten are chosen by one', () => {
    for (let index = 0; index < 10; index += 1) {
      expect(typedDigit('', targetName(index, 10), 10)).toEqual({ rest: '', index });
    }
  });

  it('more of them by two, each by what is printed on it', () => {
    for (let index = 0; index < 27; index += 1) {
      const [first, second] = targetName(index, 27) as unknown as [string, string];
      const { rest, index: none } = typedDigit('', first, 27);
      expect(none).toBeUndefined();
      expect(typedDigit(rest, second, 27)).toEqual({ rest: '', index });
    }
  });

  it('what names none chooses none, and the next digit begins anew', () => {
    expect(typedDigit('9', '9', 27)).toEqual({ rest: '', index: undefined });
    expect(typedDigit('0', '0', 27)).toEqual({ rest: '', index: undefined });
  });
});
