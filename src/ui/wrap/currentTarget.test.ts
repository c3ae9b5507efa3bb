import { currentTarget } from './currentTarget';
import type { Target } from './targets';

const target = (key: string, made: number, due: number): Target =>
  ({ key, made, due, settled: false, waits: '', purpose: { kind: 'tub' } }) as unknown as Target;

describe('what the next weight is taken for', () => {
  const tips = target('tips', 0, 1);
  const chops = target('chops', 3, 9);

  it('is the first that is due, until somebody chooses', () => {
    expect(currentTarget([target('jowl', 1, 1), tips, chops], undefined)?.key).toBe('tips');
    expect(currentTarget([tips, chops], { key: 'chops', wasDue: true })?.key).toBe('chops');
  });

  it('moves on by itself when the last of the chosen one is made', () => {
    expect(currentTarget([chops, target('tips', 1, 1)], { key: 'tips', wasDue: true })?.key).toBe('chops');
  });

  it('stays with one that was chosen though all of it was made', () => {
    expect(currentTarget([chops, target('tips', 1, 1)], { key: 'tips', wasDue: false })?.key).toBe('tips');
  });
});
