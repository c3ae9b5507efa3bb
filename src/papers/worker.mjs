import { fileURLToPath } from 'node:url';
import { tsImport } from 'tsx/esm/api';

/** What is worked out beside the server's own thread, so that no weighing waits for it. */
const { statementPdf } = await tsImport('./statement.ts', {
  parentURL: import.meta.url,
  tsconfig: fileURLToPath(new URL('../../tsconfig.json', import.meta.url)),
});

export const statement = statementPdf;
