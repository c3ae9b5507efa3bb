'use client';

import { Button, Form, Input, InputNumber, Segmented, Select, Switch } from 'antd';
import { useState } from 'react';
import { CURE_METHOD_WORDS } from '@/core/curing/days';
import { wholeDegrees } from '@/core/quantity/degrees';
import { parseWeight } from '@/core/quantity/weight';
import type { PieceAtSmoke, RecipeAtSmoke, SmokeView } from '@/server/smoke';
import { Dialog } from '../kit/Dialog';
import { Note } from '../kit/Note';
import { useAsk } from '../kit/useAsk';
import styles from './SmokeScreen.module.css';
import { weightWords } from './words';

/** What was said of a piece before its brine or rub was weighed: it goes in as soon as that is mixed. */
export type Intended = {
  readonly piece: Pick<PieceAtSmoke, 'id' | 'shareId' | 'name'>;
  readonly thicknessIn: number;
  readonly skinOn: boolean;
  readonly place: string;
};

type Props = {
  piece: PieceAtSmoke;
  view: SmokeView;
  onBegun: () => void;
  /** A brine or a rub is to be weighed first. */
  onMix: (mixId: string, intended: Intended) => void;
  onClose: () => void;
};

const NEW = 'new';

type Values = {
  recipe: string;
  mix: string;
  makes: string;
  thicknessIn: number;
  skinOn: boolean;
  place: string;
};

/** Puts a piece into its cure: by which recipe, in which brine or rub, how thick it is, and where it lies. */
export function BeginCureDialog({ piece, view, onBegun, onMix, onClose }: Props) {
  const offered = view.recipes.filter(({ id }) => piece.recipes.includes(id));
  const [form] = Form.useForm<Values>();
  const [values, setValues] = useState<Values>(() => firstOf(piece, view, offered));
  const recipe = offered.find(({ id }) => id === values.recipe);
  const mixes = recipe ? mixesFor(view, piece, recipe) : [];
  const begin = useAsk('beginCure');
  const make = useAsk('beginMix');
  const [problem, setProblem] = useState('');
  const isNew = values.mix === NEW;

  async function send() {
    if (!recipe) return;
    const { thicknessIn, skinOn, place } = values;
    if (!isNew) {
      const said = {
        shareId: piece.shareId,
        weighingId: piece.id,
        mixId: values.mix,
        thicknessIn,
        skinOn,
        place,
      };
      const answer = await begin.ask(said);
      if (answer.ok) onBegun();
      return;
    }
    const makes = recipe.isForOne ? 0 : brineOf(values.makes, view);
    if (makes === undefined) return setProblem('Say how much brine, such as 20.');
    setProblem('');
    const of = { shareId: piece.shareId, weighingId: piece.id };
    const answer = await make.ask({ recipeId: recipe.id, piece: recipe.isForOne ? of : null, skinOn, makes });
    if (answer.ok) onMix(answer.value.id, { piece, thicknessIn, skinOn, place });
  }

  if (offered.length === 0) {
    return (
      <Dialog title={`The cure of ${piece.name}`} onClose={onClose}>
        <p>
          The shop has no cure for {piece.cut.toLowerCase()}. Write one among cures and plans of the shop.
        </p>
      </Dialog>
    );
  }
  return (
    <Dialog
      title={`The cure of ${piece.name}, ${piece.cut.toLowerCase()}`}
      onClose={onClose}
      width={560}
      around={(dialog) => (
        <Form
          form={form}
          layout="vertical"
          requiredMark={false}
          initialValues={values}
          disabled={begin.busy || make.busy}
          onFinish={() => void send()}
          onValuesChange={(changed: Partial<Values>, all) => {
            const next = { ...values, ...all };
            const other = offered.find(({ id }) => id === next.recipe);
            const mix = changed.recipe && other ? (mixesFor(view, piece, other)[0]?.id ?? NEW) : next.mix;
            form.setFieldValue('mix', mix);
            setValues({ ...next, mix });
          }}
        >
          {dialog}
        </Form>
      )}
      footer={
        <div className={styles.foot}>
          <Button onClick={onClose}>Back</Button>
          <Button type="primary" htmlType="submit" loading={begin.busy || make.busy} data-main>
            {isNew ? `Weigh the ${recipe?.isForOne ? 'rub' : 'brine'} first` : 'Into its cure'}
          </Button>
        </div>
      }
    >
      <Form.Item name="recipe" label="Cure">
        <Select
          options={offered.map(({ id, name, method, ppm, limit }) => ({
            value: id,
            label: `${name}: ${CURE_METHOD_WORDS[method]}, ${ppm > 0 ? `${Math.round(ppm)} ppm of ${limit}` : 'no nitrite'}`,
          }))}
        />
      </Form.Item>
      {recipe?.warned.map((words) => (
        <p key={words} className="alarm">
          {words}
        </p>
      ))}
      <Form.Item name="mix" label={recipe?.isForOne ? 'Rub' : 'Brine'}>
        <Select
          options={[
            ...mixes.map(({ id, lot, makes }) => ({
              value: id,
              label: `lot ${lot}, ${weightWords(makes, view.unit)}`,
            })),
            { value: NEW, label: recipe?.isForOne ? 'a new one, by its green weight' : 'a new one' },
          ]}
        />
      </Form.Item>
      {isNew && recipe && !recipe.isForOne && (
        <Form.Item
          name="makes"
          label={`Brine to make, ${view.unit}`}
          {...(problem ? { validateStatus: 'error' as const, help: problem } : {})}
        >
          <Input inputMode="decimal" autoComplete="off" maxLength={7} />
        </Form.Item>
      )}
      <div className={styles.fields}>
        <Form.Item name="thicknessIn" label="Thickest part, in">
          <InputNumber min={1} max={6} step={0.25} style={{ width: '100%' }} />
        </Form.Item>
        <Form.Item name="skinOn" label="Skin on" valuePropName="checked">
          <Switch />
        </Form.Item>
        <Form.Item
          name="place"
          label="Where it lies"
          rules={[{ required: true, message: 'Say where it lies.' }]}
        >
          {view.places.length > 0 && view.places.length <= 3 ? (
            <Segmented options={[...view.places]} />
          ) : (
            <Input maxLength={60} autoComplete="off" />
          )}
        </Form.Item>
      </div>
      <p className="quiet">
        {wholeDegrees(36, view.unit)} to {wholeDegrees(40, view.unit)} throughout. Limits are this shop’s own;
        follow your plan and local code.
      </p>
      <Note failure={begin.refusal ?? make.refusal} />
    </Dialog>
  );
}

/** What is in the fields first: the first cure of the piece, in what is mixed for it already. */
function firstOf(piece: PieceAtSmoke, view: SmokeView, offered: readonly RecipeAtSmoke[]): Values {
  const [recipe] = offered;
  const mix = recipe && mixesFor(view, piece, recipe)[0];
  return {
    recipe: recipe?.id ?? '',
    mix: mix?.id ?? NEW,
    makes: '',
    thicknessIn: piece.usualThicknessIn,
    skinOn: false,
    place: view.places[0] ?? 'Cure room',
  };
}

function mixesFor({ mixes }: SmokeView, piece: PieceAtSmoke, { id }: RecipeAtSmoke) {
  return mixes.filter(
    ({ recipeId, weighingId, standing, isTooOld }) =>
      recipeId === id &&
      !isTooOld &&
      standing.isMixed &&
      standing.held === '' &&
      (weighingId === null || weighingId === piece.id),
  );
}

function brineOf(said: string, { unit }: SmokeView): number | undefined {
  const weight = parseWeight(said, unit);
  return weight.ok && weight.value > 0 ? weight.value : undefined;
}
