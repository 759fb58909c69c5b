import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { dirname, join, relative, resolve, sep } from 'node:path';

/**
 * Enforces the house plan: workspaces only import downwards, core knows nobody outside, inside core a room imports only
 * rooms above it in this list; in web a station knows no other station; and nothing imports in a circle.
 */
const coreRooms = [
  'quantity',
  'readout',
  'table',
  'time',
  'catalogue',
  'field',
  'statics',
  'care',
  'steps',
  'draw',
  'sky',
  'thermal',
  'hydraulic',
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
  'shoplog',
  'document',
  'job',
  'cautions',
  'figures',
  'site',
  'forecasting',
  'cutting',
  'building',
  'picking',
  'proving',
  'stations',
  'papers',
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
  'immer',
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
  const graph = new Map<string, string[]>();
  for (const workspace of Object.keys(allowed)) {
    const base = join(root, workspace);
    for (const path of sources(base)) {
      const file = relative(root, path);
      const targets: string[] = [];
      for (const match of readFileSync(path, 'utf8').matchAll(importPattern)) {
        const imports = match[2] ?? '';
        const why = judge(root, workspace, path, imports);
        if (why) found.push({ file, imports, why });
        const target = imports.startsWith('.') ? fileOf(resolve(dirname(path), imports)) : undefined;
        if (target) targets.push(relative(root, target));
      }
      graph.set(file, targets);
    }
  }
  for (const circle of circles(graph)) {
    const [file = '', imports = file] = circle;
    found.push({ file, imports, why: `imports in a circle: ${[...circle, file].join(' > ')}` });
  }
  return found;
}

/** The file that a path without its ending means. */
function fileOf(path: string): string | undefined {
  return ['', '.ts', '.tsx', '.mts', '/index.ts', '/index.tsx']
    .map((ending) => `${path}${ending}`)
    .find((one) => existsSync(one) && statSync(one).isFile());
}

/** One circle for each way back that a walk along the imports finds. */
function circles(graph: ReadonlyMap<string, readonly string[]>): string[][] {
  const found: string[][] = [];
  const done = new Set<string>();
  const trail: string[] = [];
  const walk = (file: string) => {
    const back = trail.indexOf(file);
    if (back >= 0) {
      found.push(trail.slice(back));
      return;
    }
    if (done.has(file)) return;
    trail.push(file);
    for (const next of graph.get(file) ?? []) walk(next);
    trail.pop();
    done.add(file);
  };
  for (const file of graph.keys()) walk(file);
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
    const from = relative(root, path).split(sep);
    return workspace === 'core'
      ? judgeRooms(from, target)
      : workspace === 'web'
        ? judgeStations(from, target)
        : undefined;
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

function judgeStations(from: readonly string[], to: readonly string[]): string | undefined {
  const [here, there] = [from, to].map((path) => (path[1] === 'src' && path[2] === 'stations' ? path[3] : undefined));
  return here && there && here !== there ? `station ${here} may not know station ${there}` : undefined;
}

if (process.argv[1] && resolve(process.argv[1]) === import.meta.filename) {
  const found = breaches(process.cwd());
  for (const { file, imports, why } of found) console.error(`${file}: ${imports}: ${why}`);
  if (found.length > 0) process.exitCode = 1;
  else console.log('rooms: every import goes the right way');
}
