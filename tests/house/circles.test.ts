import { execFileSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { dirname, join, normalize } from 'node:path';
import ts from 'typescript';

/** Every source file but tests, with the files whose values it imports; types cost nothing and bind nobody. */
function importsOf(): Map<string, string[]> {
  const listed = execFileSync('git', ['ls-files', '-co', '--exclude-standard', 'src'], { encoding: 'utf8' });
  const files = listed
    .split('\n')
    .filter((file) => /\.tsx?$/.test(file) && !/\.test\.|\/tests\//.test(file) && existsSync(file));
  return new Map(files.map((file) => [file, valuesImportedBy(file)]));
}

function valuesImportedBy(file: string): string[] {
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.ES2022);
  return source.statements.flatMap((statement) => {
    if (!ts.isImportDeclaration(statement) && !ts.isExportDeclaration(statement)) return [];
    if (!statement.moduleSpecifier || isOfTypesOnly(statement)) return [];
    const target = resolved(file, (statement.moduleSpecifier as ts.StringLiteral).text);
    return target ? [target] : [];
  });
}

function isOfTypesOnly(statement: ts.ImportDeclaration | ts.ExportDeclaration): boolean {
  if (ts.isExportDeclaration(statement)) {
    const { exportClause, isTypeOnly } = statement;
    const named = exportClause && ts.isNamedExports(exportClause) ? exportClause.elements : [];
    return isTypeOnly || (named.length > 0 && named.every((each) => each.isTypeOnly));
  }
  const clause = statement.importClause;
  if (!clause) return false;
  if (clause.isTypeOnly) return true;
  const bindings = clause.namedBindings;
  return (
    !clause.name &&
    !!bindings &&
    ts.isNamedImports(bindings) &&
    bindings.elements.every((each) => each.isTypeOnly)
  );
}

function resolved(from: string, name: string): string | undefined {
  if (!name.startsWith('@/') && !name.startsWith('.')) return undefined;
  const base = name.startsWith('@/') ? join('src', name.slice(2)) : normalize(join(dirname(from), name));
  return ['.ts', '.tsx', '/index.ts'].map((end) => base + end).find((file) => existsSync(file));
}

/** The groups of names that reach each other, each in alphabetical order. */
function circlesIn(graph: ReadonlyMap<string, readonly string[]>): string[][] {
  const reach = new Map([...graph.keys()].map((from) => [from, reachedFrom(graph, from)]));
  const circles = [...graph.keys()]
    .filter((from) => reach.get(from)!.has(from))
    .map((from) =>
      [...graph.keys()].filter((to) => reach.get(from)!.has(to) && reach.get(to)!.has(from)).sort(),
    );
  return [...new Map(circles.map((circle) => [circle.join(), circle])).values()];
}

function reachedFrom(graph: ReadonlyMap<string, readonly string[]>, from: string): Set<string> {
  const reached = new Set<string>();
  const waiting = [...(graph.get(from) ?? [])];
  for (let next = waiting.pop(); next !== undefined; next = waiting.pop()) {
    if (reached.has(next)) continue;
    reached.add(next);
    waiting.push(...(graph.get(next) ?? []));
  }
  return reached;
}

/** The same graph with folders below `top` in place of files. */
function byFolder(files: ReadonlyMap<string, readonly string[]>, top: string): Map<string, string[]> {
  const folderOf = (file: string) => file.slice(top.length + 1).split('/')[0]!;
  const folders = new Map<string, string[]>();
  for (const [file, targets] of files) {
    if (!file.startsWith(`${top}/`)) continue;
    const others = targets.filter(
      (target) => target.startsWith(`${top}/`) && folderOf(target) !== folderOf(file),
    );
    folders.set(folderOf(file), [...(folders.get(folderOf(file)) ?? []), ...others.map(folderOf)]);
  }
  return folders;
}

describe('nothing leads back to itself', () => {
  const files = importsOf();

  it('finds a circle where there is one', () => {
    const graph = new Map([
      ['a', ['b']],
      ['b', ['c']],
      ['c', ['a']],
      ['d', ['a']],
    ]);
    expect(circlesIn(graph)).toEqual([['a', 'b', 'c']]);
    expect(files.size).toBeGreaterThan(200);
  });

  it('no file', () => {
    expect(circlesIn(files)).toEqual([]);
  });

  it('no folder of the core', () => {
    expect(circlesIn(byFolder(files, 'src/core'))).toEqual([]);
  });

  it('no area of the data floor', () => {
    expect(circlesIn(byFolder(files, 'src/data'))).toEqual([]);
  });
});
