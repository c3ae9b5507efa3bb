export { balancesOf, reverseTransaction, writeTransaction, type Entry } from './ledger';
export { bookProblems, trialBalanceAt, type TrialBalance } from './audit';
