import Joi from 'joi';
import { broken, carcassType, school, shifts } from './carcassSchema';
import { circumstance, decision } from './decisionSchema';
import { guide } from './guideSchema';
import { writtenRecipeFields } from './recipeSchema';
import { destination, id, inches, percent, pounds, share, span, tissues, words } from './schemaParts';
import { RITES, type Species } from './types';

const residue = Joi.object({ lean: share.required(), fat: share.required() });

const atom = Joi.object({
  id: id.required(),
  name: words.required(),
  primal: words.required(),
  sharePct: Joi.number().greater(0).max(100).required(),
  composition: tissues(percent).required(),
  span,
  lengthIn: inches,
  leftover: Joi.valid('pools', 'bone', 'fat', 'inedible').required(),
  residue,
  attachedShare: share,
  cover: Joi.boolean(),
  stockBone: Joi.boolean(),
  item: words,
  note: words,
});

const atlas = Joi.object({
  reference: Joi.object({ sideLb: pounds.required(), coverLeftIn: inches.required() }).required(),
  quarters: Joi.object({
    fore: Joi.array().items(words).min(1).required(),
    hind: Joi.array().items(words).min(1).required(),
  }),
  skinning: Joi.object({
    gone: Joi.array().items(id).required(),
    back: id.required(),
    covers: Joi.array().items(id).min(1).required(),
    knifeLossPct: percent.required(),
  }),
  vertebrae: Joi.array().items(words).unique().min(1).required(),
  atoms: Joi.array().items(atom).unique('id').min(1).required(),
  addOns: Joi.array()
    .items(Joi.object({ atom: atom.required(), label: words.required() }))
    .required(),
  source: words.required(),
});
const amountRange = (least: Joi.NumberSchema) =>
  Joi.object({ default: least.required(), min: least.required(), max: least.required() }).required();

const grind = Joi.object({
  fatPct: Joi.object({
    default: percent.required(),
    min: percent.required(),
    max: percent.required(),
    when: Joi.array()
      .items(Joi.object({ if: circumstance.required(), pct: percent.required() }))
      .min(1),
  }).required(),
  picking: Joi.object({
    lossPctPerPoint: Joi.number().greater(0).max(20).required(),
    mostPoints: Joi.number().greater(0).max(30).required(),
  }).required(),
  fatBasis: Joi.valid('separable', 'total').required(),
  lipid: Joi.object({ lean: share.required(), fat: share.required() }).required(),
  attachedShare: Joi.object({ whole: share.required(), trim: share.required() }).required(),
  sinewShare: share.required(),
  grinderLossShare: share.required(),
  casingLossShare: share.required(),
  packLb: amountRange(pounds),
  minBatchLb: amountRange(pounds),
  kindsPerHalf: Joi.number().integer().min(0).required(),
  sacrifices: Joi.array()
    .items(
      Joi.object({
        id: id.required(),
        label: words.required(),
        decision: id.required(),
        option: id.required(),
        sharePct: Joi.number().greater(0).max(100).required(),
      }),
    )
    .unique('id')
    .required(),
});

const recipe = Joi.object({
  ...writtenRecipeFields,
  seasoned: Joi.boolean().required(),
  ingredients: Joi.string().max(600).required(),
  allergens: Joi.array().items(words).required(),
  notFor: Joi.array().items(Joi.valid(...RITES)),
});

const point = Joi.array().ordered(Joi.number().required(), Joi.number().required());

const sideMap = Joi.object({
  size: point.required(),
  edges: Joi.object().pattern(id, Joi.array().items(point).min(2)).required(),
  zones: Joi.object().pattern(words, Joi.array().items(words).min(1)).required(),
  labels: Joi.object().pattern(words, point).required(),
  ribs: Joi.array().items(
    Joi.object({ back: id.required(), front: id.required(), from: id.required(), until: id.required() }),
  ),
});

/** The shape of a species' data. What its parts say of each other is for `speciesProblems`. */
export const speciesSchema = Joi.object<Species>({
  id: id.required(),
  listed: Joi.number().integer().min(1).required(),
  items: Joi.object().pattern(Joi.string().max(200), Joi.number().integer().min(1).max(99_999)).required(),
  name: words.required(),
  sideWord: words.required(),
  atlas: atlas.required(),
  decisions: Joi.array().items(decision).unique('id').min(1).required(),
  names: Joi.array()
    .items(
      Joi.object({
        say: Joi.array().items(words).min(1).required(),
        cut: words.required(),
        where: words,
        dish: Joi.boolean(),
      }),
    )
    .required(),
  spokenAs: Joi.array().items(words).min(1).required(),
  absent: Joi.array()
    .items(Joi.object({ say: Joi.array().items(words).min(1).required(), sentence: words.required() }))
    .required(),
  contests: Joi.array()
    .items(Joi.object({ atoms: Joi.array().items(id).min(1).required(), sentence: words.required() }))
    .required(),
  watches: Joi.array()
    .items(
      Joi.object({
        id: id.required(),
        atoms: Joi.array().items(id).min(1).required(),
        decision: id.required(),
        sentence: words.required(),
      }),
    )
    .required(),
  poolKeeps: Joi.array()
    .items(
      Joi.object({
        pool: Joi.valid('fat', 'stockBone', 'skin').required(),
        id: id.required(),
        title: words.required(),
        cut: words.required(),
        destination: destination.required(),
        packLb: pounds.required(),
        charges: Joi.array().items(id).required(),
        house: Joi.object({ keep: Joi.boolean().required(), reason: words.required() }).required(),
      }),
    )
    .required(),
  offal: Joi.array()
    .items(
      Joi.object({
        id: id.required(),
        label: words.required(),
        perAnimal: Joi.number().integer().min(1).max(8).required(),
      }),
    )
    .unique('id')
    .required(),
  breaks: Joi.array().items(broken).unique('id').required(),
  schools: Joi.array().items(school).unique('id').min(1).required(),
  shifts: shifts.required(),
  types: Joi.array().items(carcassType).unique('id').required(),
  flags: Joi.array()
    .items(
      Joi.object({
        id: id.required(),
        label: words.required(),
        wastes: Joi.array().items(id).required(),
        forbids: Joi.array().items(id).required(),
        missing: Joi.array().items(id),
        sentence: words.required(),
      }),
    )
    .unique('id')
    .required(),
  faceTrim: Joi.object({
    perDay: Joi.array()
      .items(Joi.object({ afterDay: Joi.number().integer().min(0).required(), share: share.required() }))
      .min(1)
      .required(),
    where: Joi.array()
      .items(Joi.object({ atoms: Joi.array().items(id).min(1).required(), share: share.required() }))
      .min(1)
      .required(),
  }),
  onePerCarcass: Joi.array().items(id).required(),
  rites: Joi.array()
    .items(Joi.valid(...RITES))
    .required(),
  splitBones: Joi.array().items(id).required(),
  cutting: Joi.object({
    shrinkShare: share.required(),
    packShrinkShare: share.required(),
    kerfIn: inches.required(),
    kerfMassShare: share.required(),
    endLossIn: Joi.number().min(0).required(),
    thinEndShare: share,
    boningResidue: residue.required(),
    coverShift: Joi.array()
      .items(Joi.array().ordered(Joi.number().min(0).required(), Joi.number().min(-1).max(1).required()))
      .required(),
  }).required(),
  grind: grind.required(),
  recipes: Joi.array().items(recipe).unique('id').min(1).required(),
  cures: Joi.object()
    .pattern(
      id,
      Joi.object({
        charges: Joi.array().items(id).required(),
        labelWords: Joi.array().items(words).min(1).required(),
      }),
    )
    .required(),
  shrink: Joi.array()
    .items(
      Joi.object({
        covering: words.required(),
        skinned: Joi.valid(true),
        thinCover: Joi.valid(true),
        covered: Joi.boolean(),
        firstDay: share.required(),
        daysTwoToSeven: share.required(),
        later: share.required(),
      }),
    )
    .min(1)
    .required(),
  hang: Joi.object({
    targetDays: Joi.number().integer().min(0).required(),
    longestDays: Joi.number().integer().min(Joi.ref('targetDays')).required(),
  }).required(),
  room: Joi.object({
    feetPerSide: Joi.number().greater(0).max(10).required(),
    minutesPerAnimal: Joi.number().greater(0).max(2000).required(),
  }).required(),
  sideMap: sideMap.required(),
  cautions: Joi.array()
    .items(Joi.object({ id: id.required(), where: id.required(), text: words.required() }))
    .required(),
  help: Joi.object().pattern(
    id,
    Joi.object().pattern(
      id,
      Joi.object({
        sits: words.required(),
        eats: words.required(),
        bones: words,
        cook: words,
        not: words,
        plateLb: Joi.number().greater(0).max(10),
      }),
    ),
  ),
  guide,
  uncertainty: Joi.object({
    atomCv: share.required(),
    cutCv: share.required(),
    sideSd: share.required(),
    priorSd: share.required(),
  }).required(),
  tolerance: Joi.object({ lineShare: share.required() }).required(),
});
