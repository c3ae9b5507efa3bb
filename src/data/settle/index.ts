export { allotmentsOf, writeAllotments } from './allotments';
export {
  billsClosed,
  closedSince,
  closingsOf,
  paymentsOf,
  pickUpsOf,
  writeClosing,
  writePayment,
  writePickUp,
} from './settlement';
