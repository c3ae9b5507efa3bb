import type { Evaluation, Ground } from '@/core/questions/evaluate';
import type { Sheet } from '@/core/sheet/types';
import { Evaluations } from './evaluations';

const sheet = (instructions: string) => ({ instructions }) as Sheet;

describe('what each way would give', () => {
  it('is worked out once, however often it is asked; the oldest makes room', () => {
    const asked: string[] = [];
    const evaluations = new Evaluations({} as Ground, (_, { instructions }) => {
      asked.push(instructions);
      return { forecast: instructions } as unknown as Evaluation;
    });
    expect(evaluations.of(sheet('a'))).toBe(evaluations.of(sheet('a')));
    expect(asked).toEqual(['a']);
    for (let at = 0; at < 40; at += 1) evaluations.of(sheet(`way ${at}`));
    evaluations.of(sheet('a'));
    expect(asked.filter((each) => each === 'a')).toHaveLength(2);
  });
});
