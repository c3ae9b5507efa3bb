import type { WeighingId } from '@/core/order/work';
import type { Weight } from '@/core/quantity/weight';
import { lastOwn } from './lastOwn';

const own = (id: string, mine = true) => ({
  id: id as WeighingId,
  cut: id,
  net: 1000 as Weight,
  mine,
});
const nothing = new Set<string>();

describe('what "take back the last" takes back', () => {
  it('is the last of one’s own, not the last of the table', () => {
    expect(lastOwn([own('a'), own('b'), own('theirs', false)], [], nothing)?.id).toBe('b');
  });

  it('is what was just taken, before the table has been read again', () => {
    expect(lastOwn([own('a')], [own('a'), own('b')], nothing)?.id).toBe('b');
    expect(lastOwn([own('a'), own('b')], [own('a'), own('b')], nothing)?.id).toBe('b');
  });

  it('pressed twice goes one further back, though the table still lists the first', () => {
    expect(lastOwn([own('a'), own('b')], [own('b')], new Set(['b']))?.id).toBe('a');
  });

  it('is nothing when all there is is somebody else’s', () => {
    expect(lastOwn([own('theirs', false)], [], nothing)).toBeUndefined();
  });
});
