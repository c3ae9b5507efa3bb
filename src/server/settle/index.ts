import { balanceView } from './balanceView';
import { closeShare } from './closeShare';
import { handOver } from './handOver';
import { settleView } from './settleView';
import { statementView } from './statementView';
import { takePayment } from './takePayment';

export type { BalanceView } from './balanceView';

export const settle = { closeShare, takePayment, handOver, balanceView, settleView, statementView } as const;
