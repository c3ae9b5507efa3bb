export { allotmentsOf, writeAllotments } from './allotments';
export { closingsOf, paymentsOf, pickUpsOf, writeClosing, writePayment, writePickUp } from './settlement';
