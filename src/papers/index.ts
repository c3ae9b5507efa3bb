export { blockSheetPdf, type BlockPaper } from './blockSheet';
export { drawLabel } from './label';
export { blankSheetPdf } from './blankSheet';
export { confirmationPdf } from './confirmation';
export { sheetCopyPdf } from './sheetCopy';
export { statementPdf } from './statement';
