import Joi from 'joi';
import { chargeKeys, keyWords } from '@/core/charges/keys';
import { success } from '@/core/quantity/result';
import { defineUseCase } from '../house/useCase';

export type HangsOn = { readonly key: string; readonly words: string };

/** More than these nobody reads; another letter says which. */
const MOST_FOUND = 30;

/** What a charge can hang on, by any letters of its words. */
export const hangsOnView = defineUseCase<{ words: string }, readonly HangsOn[]>({
  name: 'hangsOnView',
  roles: ['owner'],
  writes: false,
  input: Joi.object({ words: Joi.string().trim().max(80).allow('').required() }),
  run: async ({ catalogue }, { words }) => {
    const wanted = words.toLowerCase();
    const found = [...chargeKeys(catalogue)]
      .map((key) => ({ key, words: keyWords(key) }))
      .filter((each) => each.words.toLowerCase().includes(wanted) || each.key === words);
    return success(found.sort((a, b) => a.words.length - b.words.length).slice(0, MOST_FOUND));
  },
});
