import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { say, stop } from './say.mjs';

function digest(parts) {
  const hash = createHash('sha256');
  for (const part of parts) hash.update(part).update('\0');
  return hash.digest('hex');
}

/** Installs node packages from the lock file when they are not those of the lock file. */
export function ensurePackages(root) {
  const stamp = join(root, 'node_modules/.north-pane-lock');
  const wanted = digest([readFileSync(join(root, 'package-lock.json'))]);
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  say('installing node packages from the lock file (a minute or two, once)');
  const npm = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  if (npm.status !== 0) stop('npm ci did not succeed. Look at its message above; nothing else was changed.');
  writeFileSync(stamp, wanted);
}

function filesBelow(folder) {
  return readdirSync(folder, { withFileTypes: true })
    .filter(({ name }) => name !== 'node_modules' && name !== 'dist')
    .flatMap((one) => (one.isDirectory() ? filesBelow(join(folder, one.name)) : [join(folder, one.name)]))
    .sort();
}

/** Builds server and web when their sources have changed since the last build. */
export function ensureBuild(root) {
  const sources = ['core', 'server', 'web']
    .flatMap((room) => filesBelow(join(root, room)))
    .filter((file) => !/\.(test|fixture)\.tsx?$/.test(file));
  const wanted = digest([
    readFileSync(join(root, 'package-lock.json')),
    ...sources.flatMap((file) => [file.slice(root.length), readFileSync(file)]),
  ]);
  const stamp = join(root, '.data/build');
  const outputs = ['web/dist/index.html', 'server/dist/main.js'].map((file) => join(root, file));
  const built = outputs.every((file) => existsSync(file) && statSync(file).size > 0);
  if (built && existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  say('building');
  const build = spawnSync('npm', ['run', '-s', 'build'], { cwd: root, encoding: 'utf8' });
  if (build.status !== 0) stop(`The build did not succeed:\n${build.stdout}${build.stderr}`);
  mkdirSync(join(root, '.data'), { recursive: true });
  writeFileSync(stamp, wanted);
}
