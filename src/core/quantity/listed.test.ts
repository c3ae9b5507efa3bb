import { listed, oneOf } from './listed';

it.each([
  [[], ''],
  [['Wray'], 'Wray'],
  [['Wray', 'Lane'], 'Wray and Lane'],
  [['Wray', 'Lane', 'Hale'], 'Wray, Lane and Hale'],
])('%j is named as a sentence does', (words, said) => {
  expect(listed(words)).toBe(said);
  expect(oneOf(words)).toBe(said.replace(' and ', ' or '));
});
