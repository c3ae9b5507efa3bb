import { Button, Form, Input, Select } from 'antd';
import type { Ingredient } from '@/core/species/types';
import type { FieldProblem } from '../kit/asking';
import styles from './SetUp.module.css';

/** Ingredients as they are typed. */
export type TypedParts = readonly { readonly ingredient?: string; readonly lb?: string }[];

/** What is typed, without lines that are still empty. */
export function partsOf(parts: TypedParts): { ingredient: string; lb: number }[] {
  return parts.flatMap(({ ingredient, lb }) =>
    ingredient ? [{ ingredient, lb: Number((lb ?? '').replace(',', '.')) }] : [],
  );
}

/** What is wrong with what is typed; undefined where nothing is. */
export function partsProblem(parts: TypedParts): FieldProblem | undefined {
  const odd = partsOf(parts).find(({ lb }) => !(lb > 0));
  return odd && { field: 'name', message: `How much ${odd.ingredient}? Write pounds, such as 1.7.` };
}

/** What goes into a recipe: an ingredient of the pantry each, with its pounds to a hundred. */
export function PartsField({ ingredients }: { ingredients: readonly Ingredient[] }) {
  return (
    <Form.List name="parts">
      {(fields, { add, remove }) => (
        <>
          {fields.map(({ key, name }) => (
            <div key={key} className={styles.partRow}>
              <Form.Item name={[name, 'ingredient']} noStyle>
                <Select
                  showSearch
                  aria-label="Ingredient"
                  style={{ width: 260 }}
                  options={ingredients.map((each) => ({ value: each.name, label: each.name }))}
                />
              </Form.Item>{' '}
              <Form.Item name={[name, 'lb']} noStyle>
                <Input aria-label="Pounds to a hundred" inputMode="decimal" style={{ width: 90 }} />
              </Form.Item>{' '}
              <Button size="small" onClick={() => remove(name)}>
                out
              </Button>
            </div>
          ))}
          <Button onClick={() => add({ ingredient: undefined, lb: '' })}>Another ingredient</Button>
        </>
      )}
    </Form.List>
  );
}
