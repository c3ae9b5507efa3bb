'use client';

import { Button, Input, Segmented } from 'antd';
import { useMemo, useState } from 'react';
import type { Recipe } from '@/core/species/types';
import type { SetUpView } from '@/server/shop';
import { onDemand } from '../kit/onDemand';
import { Coming, Failed, Nothing } from '../kit/States';
import { useSpecies } from '../sheet/useSpecies';
import { RecipeCard } from './RecipeCard';
import { SetUpHistory } from './SetUpHistory';
import { ShopHeading } from './ShopHeading';
import { useSetUp } from './useSetUp';
import styles from './SetUp.module.css';

const EditRecipe = onDemand(() => import('./EditRecipe').then((module) => module.EditRecipe));

const STATES = { raw: '', boiled: 'cooked', smoked: 'smoked', dried: 'dried' } as const;

/** The recipe book: what the shop makes of what it grinds, found by any letters, each with what is in it. */
export function MadeScreen({ view: first }: { view: SetUpView }) {
  const state = useSetUp(first);
  const { view } = state;
  const [id, setId] = useState(view.species.find((each) => each.id === 'hog')?.id ?? view.species[0]!.id);
  const [words, setWords] = useState('');
  const [chosen, setChosen] = useState<string>();
  const [opened, setOpened] = useState<{ recipe?: Recipe }>();
  const { species, failed } = useSpecies({ id, version: view.version });
  const own = view.species.find((each) => each.id === id)!.own;
  const found = useMemo(() => (species ? matching(species.recipes, words) : []), [species, words]);
  const recipe = found.find((each) => each.id === chosen) ?? found[0];
  return (
    <div>
      <ShopHeading>
        <Segmented
          aria-label="Species"
          value={id}
          onChange={setId}
          options={view.species.map((each) => ({ value: each.id, label: each.name }))}
        />
        <Button type="primary" onClick={() => setOpened({})}>
          A recipe of our own
        </Button>
      </ShopHeading>
      <div className={styles.book}>
        <section>
          <Input
            autoFocus
            aria-label="Find a recipe"
            placeholder="any letters: fennel, milk, stick, brat"
            value={words}
            onChange={(event) => setWords(event.target.value)}
          />
          {!species ? (
            failed ? (
              <Failed words="The book could not be fetched. The network may be away; load the page again." />
            ) : (
              <Coming words="Fetching the book" rows={12} />
            )
          ) : found.length === 0 ? (
            <Nothing>
              Nothing has these letters. Fewer letters find more, or write a recipe of your own.
            </Nothing>
          ) : (
            <div className={styles.found}>
              <table className={styles.rules}>
                <thead>
                  <tr>
                    <th>{found.length} made here</th>
                    <th>as</th>
                    <th>fat</th>
                    <th>contains</th>
                  </tr>
                </thead>
                <tbody>
                  {found.map((each) => (
                    <tr key={each.id} aria-selected={each.id === recipe?.id}>
                      <td className={styles.named}>
                        <button type="button" className={styles.word} onClick={() => setChosen(each.id)}>
                          <b>{each.name}</b>
                        </button>{' '}
                        <span className="quiet">{each.askedAs}</span>
                      </td>
                      <td>
                        {STATES[each.state]} {each.forms.join(' ')}
                      </td>
                      <td className="num">{each.fatPct} %</td>
                      <td className={styles.allergens}>{each.allergens.join(', ')}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
          )}
          {own.hiddenRecipes.length > 0 && (
            <p className="quiet">
              Not made:{' '}
              {own.hiddenRecipes.map((hidden) => (
                <button
                  key={hidden}
                  type="button"
                  className="link"
                  onClick={() =>
                    void state.change({ kind: 'offer-recipe', species: id, id: hidden, offered: true })
                  }
                >
                  {hidden.replaceAll('-', ' ')}, make it again
                </button>
              ))}
            </p>
          )}
        </section>
        <section>
          {recipe && (
            <RecipeCard
              key={recipe.id}
              state={state}
              species={id}
              recipe={recipe}
              onEdit={() => setOpened({ recipe })}
            />
          )}
        </section>
        <SetUpHistory view={view} />
      </div>
      {opened && species && (
        <EditRecipe
          species={species}
          ingredients={view.ingredients}
          {...(opened.recipe ? { recipe: opened.recipe } : {})}
          onDone={(made) => {
            setWords('');
            setChosen(made);
            setOpened(undefined);
          }}
          onClose={() => setOpened(undefined)}
        />
      )}
    </div>
  );
}

/** Recipes whose name, other names, ingredients or allergens hold every run of letters typed. */
function matching(recipes: readonly Recipe[], words: string): readonly Recipe[] {
  const runs = words
    .toLowerCase()
    .split(/\s+/)
    .filter((run) => run !== '');
  return recipes.filter((recipe) => {
    const { name, askedAs, ingredients, allergens, state, forms } = recipe;
    const text = [name, askedAs, ingredients, ...allergens, STATES[state], ...forms].join(' ').toLowerCase();
    return runs.every((run) => text.includes(run));
  });
}
