import { readdirSync, readFileSync, statSync } from 'node:fs';
import { dirname, join, relative, resolve, sep } from 'node:path';

/**
 * Enforces the house plan: workspaces only import downwards, core knows nobody outside, and inside core a room imports
 * only rooms above it in this list.
 */
const coreRooms = [
  'quantity',
  'catalogue',
  'care',
  'plan',
  'draw',
  'sky',
  'heat',
  'flow',
  'shop',
  'absorbers',
  'glazings',
  'boxes',
  'mounts',
  'families',
  'store',
  'loop',
  'run',
  'proof',
  'job',
];
/** Which workspaces each may import, by package or by path. */
const allowed: Record<string, readonly string[]> = {
  core: [],
  np: ['core'],
  server: ['core'],
  web: ['core', 'server'],
};
/** Packages that core may use: neither DOM nor Node in any of them. */
const corePackages = [
  'zod',
  '@date-fns/tz',
  'd3-dsv',
  'd3-random',
  'geomagnetism',
  'highs',
  'pdf-lib',
  '@pdf-lib/fontkit',
  '@tarikjabiri/dxf',
];
const coreTestPackages = ['chai', 'fast-check', 'dxf-parser'];

export interface Breach {
  file: string;
  imports: string;
  why: string;
}

function sources(folder: string): string[] {
  return readdirSync(folder).flatMap((name) => {
    if (name === 'node_modules' || name === 'dist' || name.startsWith('.')) return [];
    const path = join(folder, name);
    if (statSync(path).isDirectory()) return sources(path);
    return /\.(ts|tsx|mts)$/.test(name) ? [path] : [];
  });
}

const importPattern = /(?:\bfrom\s*|\bimport\s*\(?\s*|\brequire\s*\(\s*)(['"])([^'"\s]+)\1/g;

/** Every import in a tree that goes against the plan. */
export function breaches(root: string): Breach[] {
  const found: Breach[] = [];
  for (const workspace of Object.keys(allowed)) {
    const base = join(root, workspace);
    for (const path of sources(base)) {
      const file = relative(root, path);
      for (const match of readFileSync(path, 'utf8').matchAll(importPattern)) {
        const imports = match[2] ?? '';
        const why = judge(root, workspace, path, imports);
        if (why) found.push({ file, imports, why });
      }
    }
  }
  return found;
}

function judge(root: string, workspace: string, path: string, imports: string): string | undefined {
  const may = allowed[workspace] ?? [];
  if (imports.startsWith('.')) {
    const target = relative(root, resolve(dirname(path), imports)).split(sep);
    const other = target[0] ?? '';
    if (other !== workspace) {
      if (other === '..' || !(other in allowed)) return `${workspace} reaches outside its workspace`;
      return `${workspace} reaches into ${other} by path; use its package`;
    }
    return workspace === 'core' ? judgeRooms(relative(root, path).split(sep), target) : undefined;
  }
  const [scope, name] = imports.split('/');
  if (scope === '@north-pane') {
    if (!may.includes(name ?? '')) return `${workspace} may not know ${name}`;
    if (workspace === 'web' && name === 'server' && imports !== '@north-pane/server/client')
      return 'web knows server only through its client';
    return undefined;
  }
  if (workspace !== 'core') return undefined;
  const packageName = imports.startsWith('@') ? `${scope}/${name}` : scope;
  const test = /\.(test|fixture)\.ts$/.test(path);
  if (corePackages.includes(packageName ?? '') || (test && coreTestPackages.includes(packageName ?? '')))
    return undefined;
  return `core may not use ${packageName}`;
}

function judgeRooms(from: readonly string[], to: readonly string[]): string | undefined {
  const room = from[2] ?? '';
  const other = to[2] ?? '';
  if (from.length <= 3 || to[1] !== 'src') return undefined;
  if (to.length <= 2) return `${room} imports the front door`;
  if (room === other) return undefined;
  const here = coreRooms.indexOf(room);
  const there = coreRooms.indexOf(other);
  if (here < 0 || there < 0) return `${here < 0 ? room : other} is no room of the house plan`;
  return there < here ? undefined : `${room} may not know ${other}, which stands below it`;
}

if (process.argv[1] && resolve(process.argv[1]) === import.meta.filename) {
  const found = breaches(process.cwd());
  for (const { file, imports, why } of found) console.error(`${file}: ${imports}: ${why}`);
  if (found.length > 0) process.exitCode = 1;
  else console.log('rooms: every import goes the right way');
}
