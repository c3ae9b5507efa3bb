import { farmSeasonFileView, farmSeasonView, noteSeason } from './farmSeasonView';
import { reportFileView, reportView } from './reportView';
import { shareYieldView } from './shareYieldView';
import { yieldsFileView } from './yieldsFileView';
import { yieldsView } from './yieldsView';

export { completeYields, writeFinished } from './yieldsOfShares';
export type { ReportView } from './reportView';
export type { ShareYieldView } from './shareYieldView';
export type { CutFigures, Stroke, Why, YieldsView } from './yieldsView';

export const yields = {
  yieldsView,
  yieldsFileView,
  shareYieldView,
  reportView,
  reportFileView,
  farmSeasonView,
  farmSeasonFileView,
  noteSeason,
} as const;
