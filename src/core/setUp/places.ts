import Joi from 'joi';

/** What there is in a shop to hang, keep, smoke, grind, weigh and print with, and what a unit of each is. */
export const PLACE_KINDS = {
  rail: { word: 'rail', size: 'feet' },
  cooler: { word: 'cooler', size: 'sides' },
  freezer: { word: 'freezer', size: 'shelves' },
  smokehouse: { word: 'smokehouse', size: 'lb to a load' },
  grinder: { word: 'grinder', size: 'lb in the bowl' },
  stuffer: { word: 'stuffer', size: 'lb in the barrel' },
  scale: { word: 'scale', size: 'lb it carries' },
  printer: { word: 'label printer', size: 'inches wide' },
  tare: { word: 'tray or bag', size: 'lb it weighs' },
} as const;
export type PlaceKind = keyof typeof PLACE_KINDS;

/** One place or thing of the shop. */
export type Place = {
  readonly id: string;
  readonly kind: PlaceKind;
  readonly name: string;
  /** In the unit of its kind. */
  readonly size: number;
};

export const placeSchema = Joi.object<Place>({
  id: Joi.string()
    .pattern(/^[a-z0-9][a-z0-9-]*$/)
    .max(40)
    .required(),
  kind: Joi.valid(...Object.keys(PLACE_KINDS)).required(),
  name: Joi.string().trim().min(1).max(60).required(),
  size: Joi.number().greater(0).max(10_000).required(),
});

/** What the places of a kind hold together. */
export function roomOf(places: readonly Place[], kind: PlaceKind): number {
  return places.filter((place) => place.kind === kind).reduce((sum, place) => sum + place.size, 0);
}
