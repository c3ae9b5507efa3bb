export { balancesOf, reverseTransaction, writeTransaction, type Entry } from './ledger';
