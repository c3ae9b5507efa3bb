import { doOnRail } from './doOnRail';
import { hangView } from './hangView';
import { railBoardView } from './railBoardView';
import { noteTemperature } from './noteTemperature';
import { noteFound, photoView, withdrawFound } from './noteFound';
import { weighSide } from './weighSide';

export { heldOf } from './doOnRail';
export type { RailBoard, SideOnPlan } from './railBoardView';
export type { AnimalOnRail, FoundOnSide, HangBoard, SideOnRail, SpeciesOnRail } from './hangView';

export const hang = {
  weighSide,
  hangView,
  noteFound,
  withdrawFound,
  photoView,
  doOnRail,
  noteTemperature,
  railBoardView,
} as const;
