'use client';

import { Form, Input, Select } from 'antd';
import {
  GRIND_FORMS,
  type GrindForm,
  type Ingredient,
  type Recipe,
  type RecipeState,
  type Species,
} from '@/core/species/types';
import { pantryOf, recipeOf } from '@/core/species/recipe';
import { AskDialog } from '../kit/AskDialog';
import type { FieldProblem } from '../kit/asking';
import type { Question } from '../kit/useAsk';
import { idOf } from './idOf';
import { PartsField, partsOf, partsProblem } from './PartsField';
import styles from './SetUp.module.css';

type Values = {
  name: string;
  askedAs: string;
  state: RecipeState;
  forms: GrindForm[];
  fatPct: string;
  minBatchLb: string;
  parts: { ingredient?: string; lb?: string }[];
};

type Props = {
  species: Species;
  ingredients: readonly Ingredient[];
  recipe?: Recipe;
  onDone: (id: string) => void;
  onClose: () => void;
};

const STATES = [
  { value: 'raw', label: 'fresh: cooked at home' },
  { value: 'boiled', label: 'cooked in the shop' },
  { value: 'smoked', label: 'cured and smoked' },
  { value: 'dried', label: 'cured and dried' },
];

/** A recipe: pounds to a hundred pounds of meat. What the label says follows as it is typed. */
export function EditRecipe({ species, ingredients, recipe, onDone, onClose }: Props) {
  const pantry = pantryOf(ingredients);
  const meat = species.recipes[0]!.parts[0]!.ingredient;
  const id = (name: string) => recipe?.id ?? `own-${idOf(name)}`;
  const initial: Values = {
    name: recipe?.name ?? '',
    askedAs: recipe?.askedAs ?? '',
    state: recipe?.state ?? 'raw',
    forms: [...(recipe?.forms ?? ['bulk', 'links'])] as GrindForm[],
    fatPct: String(recipe?.fatPct ?? species.grind.fatPct.default),
    minBatchLb: recipe?.minBatchLb === undefined ? '' : String(recipe.minBatchLb),
    parts: (
      recipe?.parts ?? [
        { ingredient: meat, lb: 100 },
        { ingredient: 'salt', lb: 1.7 },
      ]
    ).map((part) => ({ ingredient: part.ingredient, lb: String(part.lb) })),
  };
  return (
    <AskDialog
      title={recipe ? recipe.name : 'A recipe of our own'}
      asks="changeSetUp"
      width={620}
      initial={initial}
      question={(values): Question<'changeSetUp'> | FieldProblem => {
        if (values.name.trim() === '') return { field: 'name', message: 'It needs a name for the label.' };
        const fatPct = Number(values.fatPct.replace(',', '.'));
        if (!Number.isFinite(fatPct))
          return { field: 'fatPct', message: `“${values.fatPct}” is no percentage.` };
        const parts = partsOf(values.parts);
        const odd = partsProblem(values.parts);
        if (odd) return odd;
        const least = values.minBatchLb.trim() === '' ? {} : { minBatchLb: Number(values.minBatchLb) };
        return {
          change: {
            kind: 'recipe',
            species: species.id,
            recipe: {
              id: id(values.name),
              name: values.name.trim(),
              askedAs: values.askedAs.trim(),
              state: values.state,
              forms: values.forms,
              fatPct,
              parts,
              ...least,
            },
          },
        };
      }}
      does="Keep it"
      onDone={() => onDone(recipe?.id ?? '')}
      onClose={onClose}
    >
      {(values) => (
        <>
          <div className={styles.pair}>
            <Form.Item name="name" label="Its name">
              <Input maxLength={60} autoFocus />
            </Form.Item>
            <Form.Item name="askedAs" label="What people call it, apart by commas">
              <Input maxLength={120} />
            </Form.Item>
            <Form.Item name="state" label="How it leaves the shop">
              <Select options={STATES} />
            </Form.Item>
            <Form.Item name="forms" label="Made as">
              <Select mode="multiple" options={GRIND_FORMS.map((form) => ({ value: form, label: form }))} />
            </Form.Item>
            <Form.Item name="fatPct" label="Best at so much fat, %">
              <Input inputMode="decimal" />
            </Form.Item>
            <Form.Item name="minBatchLb" label="Smallest batch, lb">
              <Input inputMode="decimal" placeholder="as the species" />
            </Form.Item>
          </div>
          <PartsField ingredients={ingredients} />
          <div className={styles.contains}>{labelWords(values, pantry)}</div>
        </>
      )}
    </AskDialog>
  );
}

/** What the label will say of what stands in the fields. */
function labelWords(values: Values, pantry: ReturnType<typeof pantryOf>): string {
  const parts = partsOf(values.parts).filter(({ ingredient, lb }) => pantry.has(ingredient) && lb > 0);
  if (parts.length === 0) return 'Ingredients: nothing yet.';
  const { ingredients, allergens } = recipeOf(
    {
      id: 'typed',
      name: values.name,
      askedAs: '',
      fatPct: 0,
      forms: values.forms,
      state: values.state,
      parts,
    },
    pantry,
  );
  return `Ingredients: ${ingredients}${allergens.length > 0 ? ` Contains: ${allergens.join(', ')}.` : ''}`;
}
