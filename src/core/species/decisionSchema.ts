import Joi from 'joi';
import { destination, id, inches, pounds, share, span, tissues, words } from './schemaParts';
import { TISSUES } from './types';

/** The shapes of what is decided at a zone: claims, parameters, pieces, products, options. */

const claim = Joi.object({
  atom: id.required(),
  trim: Joi.object(Object.fromEntries(TISSUES.map((tissue) => [tissue, share]))).min(1),
  share,
  span,
  yields: Joi.boolean(),
  lessPer: Joi.object({ param: id.required(), share: share.required() }),
  sharePctParam: id,
  onlyIf: id,
});

const param = Joi.alternatives().try(
  Joi.object({
    id: id.required(),
    kind: Joi.valid('length').required(),
    label: words.required(),
    defaultIn: Joi.number().min(0).required(),
    minIn: Joi.number().min(0).required(),
    maxIn: Joi.number().min(Joi.ref('minIn')).required(),
    words: Joi.object().pattern(words, Joi.number().min(0)),
  }),
  Joi.object({
    id: id.required(),
    kind: Joi.valid('weight').required(),
    label: words.required(),
    defaultLb: pounds.required(),
    minLb: pounds.required(),
    maxLb: pounds.min(Joi.ref('minLb')).required(),
  }),
  Joi.object({
    id: id.required(),
    kind: Joi.valid('count').required(),
    label: words.required(),
    default: Joi.number().integer().min(0).required(),
    min: Joi.number().integer().min(0).required(),
    max: Joi.number().integer().min(Joi.ref('min')).required(),
  }),
  Joi.object({
    id: id.required(),
    kind: Joi.valid('yesNo').required(),
    label: words.required(),
    default: Joi.boolean().required(),
  }),
  Joi.object({
    id: id.required(),
    kind: Joi.valid('choice').required(),
    label: words.required(),
    default: id.required(),
    options: Joi.object().pattern(id, words).min(2).required(),
  }),
);

const pieces = Joi.alternatives().try(
  Joi.object({
    kind: Joi.valid('slices').required(),
    run: Joi.array().items(id).required(),
    thickness: id.required(),
    alongside: Joi.array().items(id).min(1),
    lengthIn: inches,
    endLossIn: Joi.number().min(0),
    parts: id,
  }),
  Joi.object({
    kind: Joi.valid('discs').required(),
    run: Joi.array().items(id).required(),
    perPiece: id,
  }),
  Joi.object({ kind: Joi.valid('roasts').required(), weight: id.required() }),
  Joi.object({ kind: Joi.valid('each').required(), eachLb: pounds.required() }),
  Joi.object({ kind: Joi.valid('fixed').required(), count: Joi.number().integer().min(1).required() }),
  Joi.object({ kind: Joi.valid('uncounted').required() }),
);

const packs = Joi.alternatives().try(
  Joi.object({ kind: Joi.valid('pieces', 'weight').required(), param: id.required() }),
  Joi.object({ kind: Joi.valid('single').required() }),
);

const finishedYield = Joi.number().greater(0.2).max(1.5);

const product = Joi.object({
  cut: words.required(),
  namesAlong: Joi.array()
    .items(Joi.object({ name: words.required(), from: words.required(), afterIn: Joi.number().min(0) }))
    .min(2),
  boned: Joi.boolean(),
  acrossSides: Joi.boolean(),
  destination: destination.required(),
  claims: Joi.array().items(claim).min(1).required(),
  trim: tissues(share).required(),
  skinParam: id,
  coverParam: id,
  saw: Joi.alternatives().try(
    Joi.object({ param: id.required() }),
    Joi.object({ thicknessIn: inches.required() }),
    Joi.object({ dustShare: share.required() }),
  ),
  pieces: pieces.required(),
  packs: packs.required(),
  finishedYield: finishedYield.required(),
  charges: Joi.array().items(id).required(),
  cure: Joi.object({
    cut: words.required(),
    bacon: Joi.valid(true),
    finishedYield: finishedYield.required(),
    param: id,
    method: id,
    trim: tissues(share),
    charges: Joi.array().items(id).required(),
    labelWords: Joi.array().items(words).required(),
  }),
  lastRibs: Joi.object({ param: id.required() }),
});

const option = Joi.object({
  id: id.required(),
  label: words.required(),
  note: words,
  params: Joi.array().items(param).unique('id'),
  products: Joi.array().items(product).required(),
  destination,
  needsBothSides: Joi.boolean(),
  needsTool: id,
  aloneOnly: Joi.boolean(),
  takesOver: Joi.array().items(id, Joi.valid('*')).min(1),
  ownSharePct: Joi.number().greater(0).max(100),
  fromHind: Joi.object({ inches: Joi.number().greater(0).max(60).required() }),
});

export const circumstance = Joi.object({
  types: Joi.array().items(id).min(1),
  flags: Joi.array().items(id).min(1),
  fatnessOver: Joi.number().min(0),
  fatnessUnder: Joi.number().greater(0),
  sideLbOver: pounds,
  sideLbUnder: pounds,
  months: Joi.array().items(Joi.number().integer().min(1).max(12)).min(1),
}).min(1);

export const decision = Joi.object({
  id: id.required(),
  title: words.required(),
  zone: words.required(),
  step: Joi.number().integer().min(1).required(),
  pulledFirst: Joi.boolean(),
  span,
  options: Joi.array().items(option).unique('id').min(2).required(),
  house: Joi.object({
    option: id.required(),
    then: id,
    reason: words.required(),
    beside: Joi.object({
      decision: id.required(),
      options: Joi.array().items(id).min(1).required(),
      otherwise: id.required(),
      reason: words.required(),
    }),
    when: Joi.array()
      .items(Joi.object({ if: circumstance.required(), option: id, then: id, reason: words.required() }))
      .min(1),
  }).required(),
  optional: Joi.boolean(),
  needsAddOn: id,
  divisible: Joi.boolean(),
});
