import { hangView } from './hangView';
import { weighSide } from './weighSide';

export type { AnimalOnRail, HangBoard, SideOnRail } from './hangView';

export const hang = { weighSide, hangView } as const;
