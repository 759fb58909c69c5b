// Brings everything North Pane needs and stays in front until Ctrl-C. Node alone is asked for; the rest comes here.
import { fork } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { openCluster } from './lib/cluster.mjs';
import { ensureDebian, postgresql } from './lib/debian.mjs';
import { ensureBuild, ensurePackages } from './lib/packages.mjs';
import { say, stop } from './lib/say.mjs';

const root = join(import.meta.dirname, '..');
const empty = process.argv.includes('--empty');
const port = Number(process.env.PORT ?? 4170);
if (!Number.isInteger(port) || port < 1 || port > 65535)
  stop(`PORT is “${process.env.PORT}”; a port is a whole number from 1 to 65535.`);

/** Two starts in one clone would stop the database under each other. */
const lock = join(root, '.data/running.json');
if (existsSync(lock)) {
  const other = JSON.parse(readFileSync(lock, 'utf8'));
  const command = `/proc/${other.pid}/cmdline`;
  if (existsSync(command) && readFileSync(command, 'utf8').includes('start.mjs'))
    stop(
      `North Pane is already open at http://localhost:${other.port} (process ${other.pid}). Stop it there with Ctrl-C first.`,
    );
}
mkdirSync(join(root, '.data'), { recursive: true });
writeFileSync(lock, JSON.stringify({ pid: process.pid, port }));

if (!process.env.DATABASE_URL) ensureDebian([postgresql]);
ensurePackages(root);
ensureBuild(root);
const cluster = process.env.DATABASE_URL ? { url: process.env.DATABASE_URL, stop: () => {} } : await openCluster(root);

// A group of its own: Ctrl-C comes to us, and we close server and database in that order.
const server = fork(join(root, 'server/dist/main.js'), [], {
  cwd: root,
  detached: true,
  env: {
    ...process.env,
    DATABASE_URL: cluster.url,
    PORT: String(port),
    NORTH_PANE_ROOT: root,
    NORTH_PANE_EMPTY: empty ? '1' : '',
  },
});
server.on('message', () => say('Ctrl-C stops it; everything is kept.'));

let asked = false;
const close = () => {
  if (asked) return;
  asked = true;
  server.kill('SIGTERM');
};
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, close);

server.on('exit', (code) => {
  cluster.stop();
  rmSync(lock, { force: true });
  if (asked) say('closed');
  process.exit(asked ? 0 : (code ?? 1));
});
