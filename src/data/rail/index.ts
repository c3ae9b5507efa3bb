export { writeHistory, type Booked, type History } from './history';
export { readShareFile, readShareFiles, shareAlone, togetherOf, sidesWithoutShare } from './shareFiles';
export {
  allStageRows,
  countRows,
  findShares,
  goneSince,
  isTagInShop,
  liveRows,
  liveShares,
  liveSharesOfFarm,
  sharesAt,
  sharesOfOtherFarms,
  sharesBeforeTheBlock,
  sharesWithoutSheet,
  stageCounts,
  stageRowsOf,
  writeStage,
  type Page,
} from './stages';
