import { traceView } from './traceView';

export type { Traced, TraceView } from './traceView';

export const trace = { traceView } as const;
