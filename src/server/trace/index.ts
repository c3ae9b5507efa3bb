import { beginDrill, endDrill, reachInDrill } from './drills';
import { traceView } from './traceView';

export type { DrillUnderWay } from './drills';
export type { Traced } from './traced';
export type { TraceView } from './traceView';

export const trace = { traceView, beginDrill, reachInDrill, endDrill } as const;
