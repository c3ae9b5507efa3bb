import { failure, success, type Result } from '@/core/quantity/result';
import type { Sheet } from '@/core/sheet/types';
import { SheetSaver, type Kept } from './sheetSaver';

const sheet = (instructions: string) => ({ instructions }) as Sheet;

/** A browser whose clock is pushed, and a house that answers as it is told. */
function desk(
  answers: Result<{ version: number }, string>[] = [],
  theirs?: { version: number; sheet: Sheet },
  approved = false,
) {
  const begun = sheet('begun');
  const sent: Kept[] = [];
  let kept: Kept | undefined;
  let due: (() => void) | undefined;
  let version = 1;
  const met: [Sheet, Sheet][] = [];
  const saver = new SheetSaver(
    { version: 1, sheet: begun, approved },
    {
      reopens: true,
      send: async (asked) => {
        sent.push(asked);
        return answers.shift() ?? success({ version: (version += 1) });
      },
      keep: (now) => (kept = now),
      later: (work) => {
        due = work;
        return () => (due = undefined);
      },
      meet: async (base, mine) => {
        met.push([base, mine()]);
        if (!theirs) return undefined;
        const together = sheet(`${mine().instructions} and ${theirs.sheet.instructions}`);
        return { version: theirs.version, theirs: theirs.sheet, together };
      },
    },
  );
  const quiet = async () => {
    due?.();
    for (let turn = 0; turn < 10; turn += 1) await Promise.resolve();
  };
  return { saver, begun, sent, met, kept: () => kept, quiet, isWaiting: () => due !== undefined };
}

describe('a sheet that is being answered', () => {
  it('is kept at once and sent when it is quiet, the latest only', async () => {
    const { saver, sent, kept, quiet } = desk();
    saver.change(sheet('a'));
    saver.change(sheet('b'));
    expect([sent, kept()?.sheet.instructions, saver.saving.get().state]).toEqual([[], 'b', 'saving']);
    await quiet();
    expect(sent.map((each) => each.sheet.instructions)).toEqual(['b']);
    expect([kept(), saver.saving.get().state, saver.version.get()]).toEqual([undefined, 'saved', 2]);
  });

  it('what is changed while one is on its way follows it, on its version', async () => {
    const { saver, sent, quiet } = desk();
    saver.change(sheet('a'));
    const first = saver.flush();
    saver.change(sheet('b'));
    await first;
    await quiet();
    expect(sent.map((each) => [each.baseVersion, each.sheet.instructions])).toEqual([
      [1, 'a'],
      [2, 'b'],
    ]);
  });

  it('waits for the network and is sent again, on the version it was made from', async () => {
    const { saver, sent, kept, quiet } = desk([failure('offline', 'away')]);
    saver.change(sheet('a'));
    await quiet();
    expect([saver.saving.get().state, kept()?.baseVersion]).toEqual(['waiting', 1]);
    await quiet();
    expect([sent.length, saver.saving.get().state]).toEqual([2, 'saved']);
  });

  it('refused for good is said, and not kept for somebody else to send', async () => {
    const { saver, kept, quiet, isWaiting } = desk([failure('not-allowed', 'This is not for the cutter.')]);
    saver.change(sheet('a'));
    await quiet();
    expect([saver.saving.get().message, kept(), isWaiting()]).toEqual([
      'This is not for the cutter.',
      undefined,
      false,
    ]);
  });

  it('changed elsewhere meanwhile is put together with theirs and sent on their version', async () => {
    const theirs = { version: 7, sheet: sheet('theirs') };
    const elsewhere = failure('changed-elsewhere', 'changed');
    const { saver, sent, met, kept, quiet } = desk([elsewhere, success({ version: 8 })], theirs);
    saver.change(sheet('mine'));
    await quiet();
    expect(met).toEqual([[sheet('begun'), sheet('mine')]]);
    expect(sent.map((each) => [each.baseVersion, each.sheet.instructions])).toEqual([
      [1, 'mine'],
      [7, 'mine and theirs'],
    ]);
    expect([saver.saving.get().state, saver.version.get(), kept()]).toEqual(['saved', 8, undefined]);
  });

  it('changed elsewhere and not to be fetched waits, and nothing is lost', async () => {
    const elsewhere = failure('changed-elsewhere', 'changed');
    const { saver, kept, quiet, isWaiting } = desk([elsewhere]);
    saver.change(sheet('mine'));
    await quiet();
    expect([saver.saving.get().state, kept()?.sheet.instructions, isWaiting()]).toEqual([
      'waiting',
      'mine',
      true,
    ]);
  });

  it('changed elsewhere without end is said in the end', async () => {
    const elsewhere = () => failure('changed-elsewhere', 'changed');
    const { saver, sent, quiet } = desk(Array.from({ length: 20 }, elsewhere), {
      version: 7,
      sheet: sheet('theirs'),
    });
    saver.change(sheet('mine'));
    for (let turn = 0; turn < 5; turn += 1) await quiet();
    expect(saver.saving.get()).toEqual({ state: 'refused', message: 'changed' });
    expect(sent.length).toBeLessThan(10);
  });

  it('that was approved is held until somebody says why, and goes then as a change of the version opened', async () => {
    const { saver, begun, sent, kept, quiet } = desk([], undefined, true);
    saver.change(sheet('thicker'));
    await quiet();
    expect([sent, kept()?.sheet.instructions, saver.saving.get().state]).toEqual([[], 'thicker', 'held']);
    saver.change(begun);
    expect([kept(), saver.saving.get().state]).toEqual([undefined, 'saved']);
    saver.change(sheet('thinner'));
    saver.reopened(5);
    await quiet();
    expect(sent).toEqual([{ baseVersion: 5, sheet: sheet('thinner') }]);
    expect([kept(), saver.saving.get().state]).toEqual([undefined, 'saved']);
  });

  it('that somebody approves meanwhile is put together with theirs, and held', async () => {
    const theirs = { version: 7, sheet: sheet('theirs') };
    const { saver, sent, kept, quiet } = desk([failure('approved', 'it stands')], theirs);
    saver.change(sheet('mine'));
    await quiet();
    await quiet();
    expect(sent).toHaveLength(1);
    expect([saver.saving.get().state, saver.version.get(), kept()?.sheet.instructions]).toEqual([
      'held',
      7,
      'mine and theirs',
    ]);
    saver.change(sheet('theirs'));
    expect([saver.saving.get().state, kept()]).toEqual(['saved', undefined]);
  });
});
