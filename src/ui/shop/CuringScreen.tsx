'use client';

import { Button } from 'antd';
import { useState } from 'react';
import { checkCure, ppmOf, type CureRecipe } from '@/core/curing/cureRecipe';
import { CURE_METHOD_WORDS } from '@/core/curing/days';
import { CURE_CLASSES, CURE_CLASS_WORDS, limitOf } from '@/core/curing/limits';
import { coolingWords, heatWords, type SmokePlan } from '@/core/smokehouse/plan';
import { pantryOf } from '@/core/species/recipe';
import type { SetUpView } from '@/server/shop';
import { onDemand } from '../kit/onDemand';
import { SetUpHistory } from './SetUpHistory';
import { ShopHeading } from './ShopHeading';
import { Toggle } from './Toggle';
import { useSetUp, type SetUpState } from './useSetUp';
import { numberOf, numberProblem, ValueField } from './ValueField';
import styles from './SetUp.module.css';

const EditCure = onDemand(() => import('./EditCure').then((module) => module.EditCure));
const EditPlan = onDemand(() => import('./EditPlan').then((module) => module.EditPlan));

type Opened =
  | { readonly kind: 'cure'; readonly recipe?: CureRecipe }
  | { readonly kind: 'plan'; readonly plan?: SmokePlan };

/** What the shop cures and smokes by: its own limits of nitrite, its brines and rubs, its plans. */
export function CuringScreen({ view: first }: { view: SetUpView }) {
  const state = useSetUp(first);
  const { view } = state;
  const [opened, setOpened] = useState<Opened>();
  const close = () => setOpened(undefined);
  return (
    <div>
      <ShopHeading>
        <Button onClick={() => setOpened({ kind: 'plan' })}>A plan of our own</Button>
        <Button type="primary" onClick={() => setOpened({ kind: 'cure' })}>
          A cure of our own
        </Button>
      </ShopHeading>
      <div className={styles.columns}>
        <div>
          <p className="quiet">
            Usual figures, to be set as your plan says. The plan, the inspector and local code stand above
            them.
          </p>
          <Limits state={state} />
          <Cures view={view} onOpen={(recipe) => setOpened({ kind: 'cure', recipe })} />
          <Plans view={view} onOpen={(plan) => setOpened({ kind: 'plan', plan })} />
        </div>
        <SetUpHistory view={view} />
      </div>
      {opened?.kind === 'cure' && (
        <EditCure
          view={view}
          {...(opened.recipe ? { recipe: opened.recipe } : {})}
          onDone={close}
          onClose={close}
        />
      )}
      {opened?.kind === 'plan' && (
        <EditPlan
          unit={view.shop.unit}
          {...(opened.plan ? { plan: opened.plan } : {})}
          onDone={close}
          onClose={close}
        />
      )}
    </div>
  );
}

function Limits({ state }: { state: SetUpState }) {
  const { nitrite } = state.view.rules;
  const keep = (change: Partial<typeof nitrite>) =>
    state.change({ kind: 'rules', rules: { nitrite: { ...nitrite, ...change } } });
  return (
    <table className={styles.rules}>
      <thead>
        <tr>
          <th>the most sodium nitrite, ingoing</th>
          <th />
        </tr>
      </thead>
      <tbody>
        {CURE_CLASSES.map((of) => (
          <tr key={of}>
            <td>{CURE_CLASS_WORDS[of]}</td>
            <td>
              <ValueField
                label={CURE_CLASS_WORDS[of]}
                kept={String(nitrite.ppm[of])}
                own
                problem={(text) => numberProblem(text, 0, 1000)}
                keep={(text) => keep({ ppm: { ...nitrite.ppm, [of]: numberOf(text) } })}
              />{' '}
              <span className="quiet">ppm</span>
            </td>
          </tr>
        ))}
        <tr>
          <td>Warned of below</td>
          <td>
            <ValueField
              label="Warned of below"
              kept={String(nitrite.warnUnder)}
              own
              problem={(text) => numberProblem(text, 0, 200)}
              keep={(text) => keep({ warnUnder: numberOf(text) })}
            />{' '}
            <span className="quiet">ppm: what keeps by nitrite may not keep</span>
          </td>
        </tr>
        <tr>
          <td>156.25 ppm under a limit of 156</td>
          <td>
            <Toggle pressed={nitrite.strict} onPress={() => void keep({ strict: !nitrite.strict })}>
              {nitrite.strict ? 'is over: compared unrounded' : 'passes: compared as whole ppm'}
            </Toggle>
          </td>
        </tr>
      </tbody>
    </table>
  );
}

function Cures({ view, onOpen }: { view: SetUpView; onOpen: (recipe: CureRecipe) => void }) {
  const pantry = pantryOf(view.ingredients);
  const rules = view.rules.nitrite;
  return (
    <table className={styles.rules}>
      <thead>
        <tr>
          <th>{view.curing.recipes.length} cures</th>
          <th>as</th>
          <th>for</th>
          <th>nitrite</th>
          <th />
        </tr>
      </thead>
      <tbody>
        {view.curing.recipes.map((recipe) => {
          const ppm = ppmOf(recipe, pantry);
          const { refused } = checkCure(recipe, { pantry, rules });
          return (
            <tr key={recipe.id}>
              <td>
                <b>{recipe.name}</b>
              </td>
              <td>
                {CURE_METHOD_WORDS[recipe.method]}
                {recipe.takesPct > 0 && `, takes ${recipe.takesPct} %`}
              </td>
              <td>{CURE_CLASS_WORDS[recipe.of]}</td>
              <td className={refused.length > 0 ? 'alarm' : undefined}>
                {ppm > 0 ? `${Math.round(ppm)} of ${limitOf(rules, recipe.of)} ppm` : 'none'}
                {refused.length > 0 && ', not used: over the limit'}
              </td>
              <td>
                <Button size="small" onClick={() => onOpen(recipe)}>
                  Change
                </Button>
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

function Plans({ view, onOpen }: { view: SetUpView; onOpen: (plan: SmokePlan) => void }) {
  return (
    <table className={styles.rules}>
      <thead>
        <tr>
          <th>{view.curing.plans.length} plans of the smokehouse</th>
          <th>gets over</th>
          <th>cools</th>
          <th>labels say</th>
          <th />
        </tr>
      </thead>
      <tbody>
        {view.curing.plans.map((plan) => (
          <tr key={plan.id}>
            <td>
              <b>{plan.name}</b>
            </td>
            <td>{heatWords(plan.lethal, view.shop.unit) || 'not cooked'}</td>
            <td>
              {plan.cooling.map((stretch) => coolingWords(stretch, view.shop.unit)).join(', ') || 'no limit'}
            </td>
            <td>{plan.label}</td>
            <td>
              <Button size="small" onClick={() => onOpen(plan)}>
                Change
              </Button>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
