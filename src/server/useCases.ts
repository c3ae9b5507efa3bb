import { bookOrder } from './cases/book';
import { weighSide } from './cases/hang';
import { approveSheet, saveSheet, startBlock } from './cases/sheet';
import { noteCall } from './cases/noteCall';
import { closeShare, handOver, takePayment } from './cases/settle';
import { noteLine, voidWeighing } from './cases/correct';
import { reprintLabel } from './cases/labels';
import { tareScale } from './cases/tareScale';
import { weigh } from './cases/weigh';
import { balanceView, settleView } from './views/balanceView';
import { hangView } from './views/hangView';
import { labelView } from './views/labelView';
import { railView } from './views/rail';
import { scaleView } from './views/scaleView';
import { sheetView } from './views/sheetView';
import { wrapView } from './views/wrapView';
import type { UseCase } from './doorway';

/** Everything that can be asked of the house, by name. The public surface of the server. */
export const USE_CASES = {
  bookOrder,
  weighSide,
  saveSheet,
  approveSheet,
  noteCall,
  startBlock,
  weigh,
  voidWeighing,
  reprintLabel,
  tareScale,
  noteLine,
  closeShare,
  takePayment,
  handOver,
  railView,
  hangView,
  sheetView,
  wrapView,
  balanceView,
  settleView,
  labelView,
  scaleView,
} as const;

export type UseCaseName = keyof typeof USE_CASES;
export type InputOf<Name extends UseCaseName> =
  (typeof USE_CASES)[Name] extends UseCase<infer Input, infer _Output> ? Input : never;
export type OutputOf<Name extends UseCaseName> =
  (typeof USE_CASES)[Name] extends UseCase<infer _Input, infer Output> ? Output : never;
