import { fileURLToPath } from 'node:url';
import { tsImport } from 'tsx/esm/api';

/** Searches that take seconds, in a thread that can be stopped; how many sheets were tried is told by the port. */
const options = {
  parentURL: import.meta.url,
  tsconfig: fileURLToPath(new URL('../../../tsconfig.json', import.meta.url)),
};
const { searchJob } = await tsImport('../../core/goals/searchJob.ts', options);
const { weekJob: planWeek } = await tsImport('../../core/week/weekJob.ts', options);
export const { wantedJob } = await tsImport('../../core/goals/wantedJob.ts', options);

/** Told each so many sheets: some ten times a second. */
const TOLD_EACH = 50;

export default async function search({ job, port }) {
  try {
    return await searchJob(job, (tried) => {
      if (tried % TOLD_EACH === 0) port.postMessage(tried);
    });
  } finally {
    port.close();
  }
}

/** Weeks planned: each better plan is told by the port. */
export async function weekJob({ job, port }) {
  try {
    return await planWeek(job, (sofar) => port.postMessage(sofar));
  } finally {
    port.close();
  }
}
