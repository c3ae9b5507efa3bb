#!/usr/bin/env node
import { tsImport } from 'tsx/esm/api';
import { fileURLToPath } from 'node:url';

process.env.FRACTUM_SPECIES ??= fileURLToPath(new URL('../species', import.meta.url));

const { main } = await tsImport('../src/cli/main.ts', {
  parentURL: import.meta.url,
  tsconfig: fileURLToPath(new URL('../tsconfig.json', import.meta.url)),
});
await main();
