import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { say, stop } from './say.mjs';

/** Tells postgresql's package not to make and start a cluster of its own. */
const noSystemCluster = '/etc/postgresql-common/createcluster.d/north-pane.conf';

function installed(name) {
  const status = spawnSync('dpkg', ['-s', name], { encoding: 'utf8' });
  if (status.error)
    stop(
      `North Pane installs what it needs on Debian; here there is no dpkg. Install ${name} by hand and set DATABASE_URL.`,
    );
  return /^Status: install ok installed$/m.test(status.stdout);
}

/**
 * Makes sure of Debian packages. As root they are installed; otherwise the exact command is printed and we stop.
 *
 * @param {{ name: string, why: string }[]} wanted
 */
export function ensureDebian(wanted) {
  const missing = wanted.filter(({ name }) => !installed(name));
  if (missing.length === 0) return;
  for (const { name, why } of missing) say(`missing: ${name} (${why})`);
  const names = missing.map(({ name }) => name);
  if (process.getuid?.() !== 0)
    stop(
      `Install it with this command, then start again:\n  sudo apt-get install -y --no-install-recommends ${names.join(' ')}`,
    );
  const guarded = names.includes('postgresql') && !existsSync(noSystemCluster);
  if (guarded) {
    mkdirSync(dirname(noSystemCluster), { recursive: true });
    writeFileSync(noSystemCluster, 'create_main_cluster = false\n');
  }
  say(`installing ${names.join(', ')} with apt-get`);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const apt = (args) => spawnSync('apt-get', args, { env, stdio: ['ignore', 'ignore', 'inherit'] }).status === 0;
  apt(['update', '-q']);
  const done = apt(['install', '-y', '-q', '--no-install-recommends', ...names]);
  if (guarded) rmSync(noSystemCluster, { force: true });
  if (!done)
    stop(`apt-get could not install ${names.join(', ')}. Look at its message above, mend it, and start again.`);
}

export const postgresql = { name: 'postgresql', why: 'the database that keeps your jobs and readings' };
/** Chromium without the window of a browser about its pages: it starts in half the time. */
export const chromium = {
  name: 'chromium-headless-shell',
  why: 'the browser that the journeys and screenshots run in',
};
export const poppler = { name: 'poppler-utils', why: 'what measures the printed templates in a test' };
