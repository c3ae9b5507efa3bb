import { fileURLToPath } from 'node:url';
import { tsImport } from 'tsx/esm/api';

/** What is worked out beside the server's own thread, so that no weighing waits for it. */
const {
  blankSheetPdf,
  blockSheetPdf,
  confirmationPdf,
  cutCardsPdf,
  dayBookPdf,
  farmSeasonPdf,
  loadPaperPdf,
  sheetCopyPdf,
  statementPdf,
} = await tsImport('./index.ts', {
  parentURL: import.meta.url,
  tsconfig: fileURLToPath(new URL('../../tsconfig.json', import.meta.url)),
});

export const statement = statementPdf;
export const confirmation = confirmationPdf;
export const cutCards = cutCardsPdf;
export const blankSheet = blankSheetPdf;
export const blockSheet = blockSheetPdf;
export const sheetCopy = sheetCopyPdf;
export const farmSeason = farmSeasonPdf;
export const dayBook = dayBookPdf;
export const loadPaper = loadPaperPdf;
