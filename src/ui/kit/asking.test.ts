import { failure } from '@/core/quantity/result';
import { AskedIds, onFields } from './asking';
import { endedSession, signInAgain } from './session';

describe('the ids of what is asked', () => {
  const ids = () => {
    let count = 0;
    return new AskedIds(() => `id ${(count += 1)}`);
  };

  it('the same words sent again, because the answer was lost, are the same request', () => {
    const asked = ids();
    expect(asked.idFor({ tag: 'H1' })).toBe('id 1');
    asked.answered('offline');
    expect(asked.idFor({ tag: 'H1' })).toBe('id 1');
    asked.answered('no-answer');
    expect(asked.idFor({ tag: 'H1' })).toBe('id 1');
  });

  it('other words are another, whatever became of the first', () => {
    const asked = ids();
    asked.idFor({ tag: 'H1' });
    asked.answered('offline');
    expect(asked.idFor({ tag: 'H2' })).toBe('id 2');
  });

  it('after an answer the same words are something new', () => {
    const asked = ids();
    asked.idFor({ note: 'thin' });
    asked.answered(undefined);
    expect(asked.idFor({ note: 'thin' })).toBe('id 2');
    asked.answered('still-due');
    expect(asked.idFor({ note: 'thin' })).toBe('id 3');
  });
});

describe('a refusal', () => {
  it('stands on the fields that it names, and beside them where it names none', () => {
    const refusal = {
      ...failure('invalid', 'Tag is empty.', 'animal.tag'),
      problems: [
        { field: 'animal.tag', message: 'Tag is empty.' },
        { field: 'shares', message: 'Nobody has it.' },
      ],
    };
    expect(onFields(refusal, ['animal.tag', 'reason'])).toEqual({
      onField: [{ field: 'animal.tag', message: 'Tag is empty.' }],
      beside: 'Nobody has it.',
    });
    expect(onFields(failure('closed', 'It is closed.'), ['note'])).toEqual({
      onField: [],
      beside: 'It is closed.',
    });
  });

  it('of something within a field stands on the field', () => {
    const refusal = failure('invalid', 'Say the tag.', 'facts.tag');
    expect(onFields(refusal, ['facts']).onField).toEqual([{ field: 'facts', message: 'Say the tag.' }]);
  });
});

describe('a session that has ended', () => {
  it('is asked about once, however many wait for it, and all of them go on together', async () => {
    const waiting = [signInAgain(), signInAgain()];
    endedSession.get()!.answer(true);
    expect(await Promise.all(waiting)).toEqual([true, true]);
    expect(endedSession.get()).toBeNull();
  });

  it('given up leaves what was asked refused', async () => {
    const waiting = signInAgain();
    endedSession.get()!.answer(false);
    expect(await waiting).toBe(false);
  });
});
