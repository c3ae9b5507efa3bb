import { doOnRail } from './doOnRail';
import { hangView } from './hangView';
import { noteTemperature } from './noteTemperature';
import { noteFound, photoView, withdrawFound } from './noteFound';
import { noteLiveWeight } from './noteLiveWeight';
import { weighQuarter } from './weighQuarter';
import { weighSide } from './weighSide';

export { heldOf } from './doOnRail';
export type { Drying, RailBoard, SideOnPlan } from './railBoard';
export type { AnimalOnRail, FoundOnSide, HangBoard, SideOnRail, SpeciesOnRail } from './hangView';

export const hang = {
  weighSide,
  hangView,
  noteFound,
  withdrawFound,
  photoView,
  doOnRail,
  noteTemperature,
  weighQuarter,
  noteLiveWeight,
} as const;
