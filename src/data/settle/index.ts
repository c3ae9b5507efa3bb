export { allotmentsOf, writeAllotments } from './allotments';
export {
  closedSince,
  closingsOf,
  paymentsOf,
  pickUpsOf,
  writeClosing,
  writePayment,
  writePickUp,
} from './settlement';
