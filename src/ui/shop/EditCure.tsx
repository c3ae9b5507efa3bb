'use client';

import { Form, Input, Select } from 'antd';
import { checkCure, isPumped, ppmOf, type CureRecipe } from '@/core/curing/cureRecipe';
import { CURE_METHODS, CURE_METHOD_WORDS, type CureMethod } from '@/core/curing/days';
import { CURE_CLASSES, CURE_CLASS_WORDS, limitOf, type CureClass } from '@/core/curing/limits';
import { pantryOf } from '@/core/species/recipe';
import type { SetUpView } from '@/server/shop';
import { AskDialog } from '../kit/AskDialog';
import type { FieldProblem } from '../kit/asking';
import type { Question } from '../kit/useAsk';
import { idOf } from './idOf';
import { PartsField, partsOf, partsProblem } from './PartsField';
import styles from './SetUp.module.css';

/** What sheets call cures. */
const FOR_WORDS: Readonly<Record<string, string>> = {
  cured: 'cured',
  natural: 'natural source',
  none: 'no nitrite',
  dry: 'dry cured',
  corned: 'corned',
  jerky: 'jerky',
};

type Values = {
  name: string;
  of: CureClass;
  method: CureMethod;
  for: string[];
  takesPct: string;
  parts: { ingredient?: string; lb?: string }[];
};

type Props = { view: SetUpView; recipe?: CureRecipe; onDone: () => void; onClose: () => void };

const NOTHING_YET: Values = {
  name: '',
  of: 'ham',
  method: 'pumped',
  for: ['cured'],
  takesPct: '12',
  parts: [
    { ingredient: 'water', lb: '84' },
    { ingredient: 'salt', lb: '14' },
    { ingredient: 'curing salt', lb: '2' },
  ],
};

/** A cure: pounds to a hundred of brine, or of green meat. What it brings into the meat follows as it is typed. */
export function EditCure({ view, recipe, onDone, onClose }: Props) {
  const pantry = pantryOf(view.ingredients);
  const initial: Values = recipe
    ? {
        ...{ name: recipe.name, of: recipe.of, method: recipe.method, for: [...recipe.for] },
        takesPct: String(recipe.takesPct),
        parts: recipe.parts.map(({ ingredient, lb }) => ({ ingredient, lb: String(lb) })),
      }
    : NOTHING_YET;
  const read = (values: Values): CureRecipe => ({
    ...(recipe ?? {}),
    id: recipe?.id ?? `own-${idOf(values.name)}`,
    name: values.name.trim(),
    of: values.of,
    method: values.method,
    for: values.for,
    takesPct: takesIn(values) ? numberIn(values.takesPct) : 0,
    parts: partsOf(values.parts),
  });
  return (
    <AskDialog
      title={recipe ? recipe.name : 'A cure of our own'}
      asks="changeSetUp"
      width={620}
      initial={initial}
      question={(values): Question<'changeSetUp'> | FieldProblem => {
        if (values.name.trim() === '') return { field: 'name', message: 'It needs a name.' };
        const odd = partsProblem(values.parts);
        if (odd) return odd;
        return { change: { kind: 'cure-recipe', recipe: read(values) } };
      }}
      does="Keep it"
      onDone={onDone}
      onClose={onClose}
    >
      {(values) => (
        <>
          <div className={styles.pair}>
            <Form.Item name="name" label="Its name">
              <Input maxLength={60} autoFocus />
            </Form.Item>
            <Form.Item name="of" label="What it is for">
              <Select options={CURE_CLASSES.map((of) => ({ value: of, label: CURE_CLASS_WORDS[of] }))} />
            </Form.Item>
            <Form.Item name="method" label="How">
              <Select
                options={CURE_METHODS.map((method) => ({ value: method, label: CURE_METHOD_WORDS[method] }))}
              />
            </Form.Item>
            <Form.Item name="for" label="Asked on sheets as">
              <Select
                mode="multiple"
                options={Object.entries(FOR_WORDS).map(([value, label]) => ({ value, label }))}
              />
            </Form.Item>
            {takesIn(values) && (
              <Form.Item
                name="takesPct"
                label={isPumped(values) ? 'Pumped, % of green' : 'Picked up, % of green'}
              >
                <Input inputMode="decimal" />
              </Form.Item>
            )}
          </div>
          <p className="quiet">
            Pounds to a hundred pounds of {takesIn(values) ? 'brine, its water counted' : 'green meat'}.
          </p>
          <PartsField ingredients={view.ingredients} />
          <Brings recipe={read(values)} view={view} pantry={pantry} />
        </>
      )}
    </AskDialog>
  );
}

/** What of it comes into the meat, and what the shop's own limits say to it. */
function Brings({
  recipe,
  view,
  pantry,
}: {
  recipe: CureRecipe;
  view: SetUpView;
  pantry: ReturnType<typeof pantryOf>;
}) {
  const rules = view.rules.nitrite;
  const { refused, warned } = checkCure(recipe, { pantry, rules });
  const sum = recipe.parts.reduce((all, { lb }) => all + (lb > 0 ? lb : 0), 0);
  return (
    <div className={styles.contains} role="status">
      {Math.round(ppmOf(recipe, pantry))} ppm of nitrite into the meat, limit {limitOf(rules, recipe.of)};{' '}
      {sum.toFixed(2)} lb in all.{' '}
      {refused.map((words) => (
        <b key={words} className="alarm">
          {words}{' '}
        </b>
      ))}
      {warned.join(' ')}
    </div>
  );
}

function takesIn({ method }: Pick<Values, 'method'>): boolean {
  return method !== 'dry' && method !== 'overnight';
}

function numberIn(text: string): number {
  const said = Number(text.replace(',', '.'));
  return Number.isFinite(said) ? said : 0;
}
