import { fileURLToPath } from 'node:url';
import { tsImport } from 'tsx/esm/api';

/** Searches that take seconds, in a thread that can be stopped. */
const options = {
  parentURL: import.meta.url,
  tsconfig: fileURLToPath(new URL('../../../tsconfig.json', import.meta.url)),
};
const { searchJob } = await tsImport('../../core/goals/searchJob.ts', options);
export const { wantedJob } = await tsImport('../../core/goals/wantedJob.ts', options);

export default searchJob;
