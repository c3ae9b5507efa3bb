import { givePack } from './givePack';
import { labelView } from './labelView';
import { noteLine } from './noteLine';
import { reprintLabel } from './reprintLabel';
import { readNote } from './readNote';
import { printerView } from './printerView';
import { scannedView } from './scannedView';
import { scaleView } from './scaleView';
import { tareScale } from './tareScale';
import { voidWeighing } from './voidWeighing';
import { weigh } from './weigh';
import { wrapView } from './wrapView';

export type { Scanned, ScannedPack, ScannedShare } from './scannedView';
export type { PrinterView } from './printerView';
export type { Taken } from './take';
export type { ListedWeighing, WrapView } from './wrapView';

export const wrap = {
  weigh,
  voidWeighing,
  noteLine,
  reprintLabel,
  tareScale,
  wrapView,
  labelView,
  readNote,
  scaleView,
  printerView,
  scannedView,
  givePack,
} as const;
