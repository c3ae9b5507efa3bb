export { blockSheetPdf, type BlockPaper } from './blockSheet';
export { drawLabel, labelMeasures } from './label';
export { farmSeasonPdf } from './farmSeason';
export { cutCardsPdf } from './cutCards';
export { blankSheetPdf } from './blankSheet';
export { confirmationPdf } from './confirmation';
export { sheetCopyPdf } from './sheetCopy';
export { statementPdf } from './statement';
