export { closingsOf, paymentsOf, pickUpsOf, writeClosing, writePayment, writePickUp } from './settlement';
