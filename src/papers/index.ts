export { blockSheetPdf, type BlockPaper } from './blockSheet';
export { drawLabel, labelMeasures } from './label';
export { blankSheetPdf } from './blankSheet';
export { confirmationPdf } from './confirmation';
export { sheetCopyPdf } from './sheetCopy';
export { statementPdf } from './statement';
