import Joi from 'joi';
import { P90_DEVIATIONS } from '@/core/forecast/spread';
import { localName } from '@/core/forecast/lines';
import type { LearntFigure } from '@/core/experience/experience';
import { figuresOf } from '@/core/learning/kinds';
import { TAUGHT, type Taught } from '@/core/learning/lessons';
import { inSentence } from '@/core/quantity/inSentence';
import { success } from '@/core/quantity/result';
import type { Species } from '@/core/species/types';
import { choicesOfLearning, learntRows } from '@/data/learning';
import { namesOfYields } from '@/data/yields';
import { isOwner } from '../house/actor';
import { refuse } from '../house/reasons';
import { defineUseCase, OFFICE } from '../house/useCase';

/** One figure of the shop against the reference. */
export type ShopFigure = {
  readonly taught: Taught;
  /** In the words of the shop; empty where there is only one of it. */
  readonly name: string;
  readonly orders: number;
  /** How much more or less than the reference, percent; and what it lies between, four times in five. */
  readonly pct: number;
  readonly lowPct: number;
  readonly highPct: number;
  /** How much the shop's own orders count, percent. */
  readonly ownPct: number;
  /** How far single orders scatter, against the reference. */
  readonly noiseScale: number;
  readonly change: { readonly since: string; readonly pct: number; readonly orders: number } | null;
};

/** A figure of one share that lies too far off to be learnt from. */
export type HeldBack = {
  readonly taught: Taught;
  readonly name: string;
  readonly shareId: string;
  readonly share: string;
  readonly expected: number;
  readonly got: number;
};

/** A share that somebody took out of the learning. */
export type LeftOut = {
  readonly shareId: string;
  readonly share: string;
  readonly reason: string;
  readonly at: string;
};

export type LearningView = {
  readonly species: readonly { readonly id: string; readonly label: string }[];
  readonly asked: string;
  /** `hog`, as it stands in a sentence. */
  readonly animal: string;
  readonly shares: number;
  readonly figures: readonly ShopFigure[];
  readonly heldBack: readonly HeldBack[];
  readonly leftOut: readonly LeftOut[];
  /** The owner says what is learnt from. */
  readonly mayChoose: boolean;
};

/** What the shop has learnt of a species from its finished orders, against the reference. */
export const learningView = defineUseCase<{ species?: string }, LearningView>({
  name: 'learningView',
  roles: OFFICE,
  writes: false,
  input: Joi.object({ species: Joi.string().max(80).allow('').default('') }),
  run: async (house, { species: asked = '' }) => {
    const { species: all } = house.catalogue;
    const species = asked === '' ? all[0]! : all.find(({ id }) => id === asked);
    if (!species) return refuse('not-found', 'We do not cut that animal.', 'species');
    const rows = await learntRows(house.db, species.id);
    const of = TAUGHT.flatMap((taught) =>
      figuresOf(rows, taught, species.uncertainty).map((figure) => ({ taught, figure })),
    );
    const choices = [...(await choicesOfLearning(house.db)).values()].filter(({ leftOut }) => leftOut);
    const heldBack = of.flatMap(({ figure }) => figure.heldBack.map(({ source = '' }) => source));
    const names = await namesOfYields(house.db, species.id, [
      ...heldBack,
      ...choices.map(({ shareId }) => shareId),
    ]);
    return success({
      species: all.map(({ id, name }) => ({ id, label: name })),
      asked: species.id,
      animal: inSentence(species.name),
      shares: rows.length,
      mayChoose: isOwner(house.actor),
      figures: of.map(({ taught, figure }) => figureOf(species, taught, figure)),
      heldBack: of.flatMap(({ taught, figure }) => heldBackOf(species, taught, { figure, names })),
      leftOut: choices.flatMap(({ shareId, reason, at }) => {
        const share = names.get(shareId);
        return share ? [{ shareId, share, reason, at }] : [];
      }),
    });
  },
});

function nameOf(species: Species, taught: Taught, name: string): string {
  return taught === 'cut' || taught === 'pieces' ? localName({ species }, name) : name;
}

function figureOf(species: Species, taught: Taught, figure: LearntFigure): ShopFigure {
  const { orders, logRatio, logRatioSd, noiseScale, evidence, change } = figure;
  const pct = (log: number) => 100 * (Math.exp(log) - 1);
  return {
    taught,
    name: nameOf(species, taught, figure.cut),
    orders,
    pct: pct(logRatio),
    lowPct: pct(logRatio - P90_DEVIATIONS * logRatioSd),
    highPct: pct(logRatio + P90_DEVIATIONS * logRatioSd),
    ownPct: 100 * evidence,
    noiseScale,
    change,
  };
}

type From = {
  readonly figure: LearntFigure;
  readonly names: ReadonlyMap<string, string>;
};

function heldBackOf(species: Species, taught: Taught, { figure, names }: From): HeldBack[] {
  return figure.heldBack.map(({ source = '', expected, packed }) => ({
    taught,
    name: nameOf(species, taught, figure.cut),
    shareId: source,
    share: names.get(source) ?? '',
    expected,
    got: packed,
  }));
}
