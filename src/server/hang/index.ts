import { hangView } from './hangView';
import { noteFound, photoView, withdrawFound } from './noteFound';
import { weighSide } from './weighSide';

export type { AnimalOnRail, FoundOnSide, HangBoard, SideOnRail, SpeciesOnRail } from './hangView';

export const hang = { weighSide, hangView, noteFound, withdrawFound, photoView } as const;
