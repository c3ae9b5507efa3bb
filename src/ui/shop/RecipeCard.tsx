'use client';

import { Button } from 'antd';
import { FINISHED_SHARE, STATE_WORDS } from '@/core/species/recipe';
import type { Recipe } from '@/core/species/types';
import { Note } from '../kit/Note';
import type { SetUpState } from './useSetUp';
import styles from './SetUp.module.css';

type Props = { state: SetUpState; species: string; recipe: Recipe; onEdit: () => void };

/** One recipe: what is weighed in to a hundred pounds of meat, and what the label will say of it. */
export function RecipeCard({ state, species, recipe, onEdit }: Props) {
  const parts = [...recipe.parts].sort((a, b) => b.lb - a.lb);
  const finished = Math.round(FINISHED_SHARE[recipe.state] * 100);
  return (
    <article className={styles.recipe}>
      <h2>{recipe.name}</h2>
      <table className={styles.rules}>
        <thead>
          <tr>
            <th>to 100 lb of meat</th>
            <th className="num">lb</th>
            <th className="num">oz to 25 lb</th>
          </tr>
        </thead>
        <tbody>
          {parts.map(({ ingredient, lb }) => (
            <tr key={ingredient}>
              <td>{ingredient}</td>
              <td className="num">{lb}</td>
              <td className="num quiet">{((lb * 16) / 4).toFixed(2)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className={styles.contains}>
        <b>On the label.</b> Ingredients: {recipe.ingredients}{' '}
        {recipe.allergens.length > 0 && <b>Contains: {recipe.allergens.join(', ')}.</b>}{' '}
        {STATE_WORDS[recipe.state]}
      </div>
      <p className="quiet">
        Best at {recipe.fatPct} % fat.{' '}
        {finished < 100 && `About ${finished} % of what is stuffed is left when it comes out. `}
        {recipe.notFor && `Not for ${recipe.notFor.join(', ')} animals. `}
        {recipe.minBatchLb && `Smallest batch ${recipe.minBatchLb} lb.`}
      </p>
      <Note failure={state.refusal} />
      <div className={styles.makes}>
        <Button onClick={onEdit}>Change it</Button>
        <Button
          disabled={state.busy}
          onClick={() => void state.change({ kind: 'offer-recipe', species, id: recipe.id, offered: false })}
        >
          Not made here
        </Button>
      </div>
    </article>
  );
}
