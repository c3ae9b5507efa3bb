import { fileURLToPath } from 'node:url';
import { tsImport } from 'tsx/esm/api';

/** Searches that take seconds, in a thread that can be stopped. */
const { searchJob } = await tsImport('../../core/goals/searchJob.ts', {
  parentURL: import.meta.url,
  tsconfig: fileURLToPath(new URL('../../../tsconfig.json', import.meta.url)),
});

export default searchJob;
