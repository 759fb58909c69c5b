// Brings everything North Pane needs and stays in front until Ctrl-C. Node alone is asked for; the rest comes here.
import { fork } from 'node:child_process';
import { mkdirSync, realpathSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { isRunning, openCluster, readNote, thisProcess, writeNote } from './lib/cluster.mjs';
import { ensureDebian, postgresql } from './lib/debian.mjs';
import { ensureBuild, ensurePackages } from './lib/packages.mjs';
import { explainDisk, say, stop } from './lib/say.mjs';

explainDisk();

const root = realpathSync(join(import.meta.dirname, '..'));
const empty = process.argv.includes('--empty');
const port = Number(process.env.PORT ?? 4170);
if (!Number.isInteger(port) || port < 1 || port > 65535)
  stop(`PORT is “${process.env.PORT}”; a port is a whole number from 1 to 65535.`);

/** Two starts in one clone would stop the database under each other. */
const lock = join(root, '.data/running.json');
mkdirSync(join(root, '.data'), { recursive: true });
const other = readNote(lock);
// A copied folder brings this note of its original along.
if (isRunning(other) && other.root === root)
  stop(
    `North Pane is already open at http://localhost:${other.port} (process ${other.pid}). Stop it there with Ctrl-C first.`,
  );
writeNote(lock, { ...thisProcess(), port, root });

if (!process.env.DATABASE_URL) ensureDebian([postgresql]);
ensurePackages(root);
ensureBuild(root);
const own = !process.env.DATABASE_URL;
const cluster = own
  ? await openCluster(root)
  : { url: process.env.DATABASE_URL, isUp: () => true, restart: () => true, stop: () => {} };

/** s between tries to bring something up again: growing, and no longer than the last. */
const pauses = [1, 2, 5, 10, 30];
/** ms. What has been up this long has come up well: the next pause is the first again. */
const well = 60_000;

let asked = false;
let server;
let watch;

/** Starts the server, in a group of its own: Ctrl-C comes to us, and we close server and database in that order. */
function startServer(tries) {
  let open = false;
  const began = Date.now();
  server = fork(join(root, 'server/dist/main.js'), [], {
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
  server.on('message', () => {
    open = true;
    say(tries === 0 ? 'Ctrl-C stops it; everything is kept.' : 'it is open again');
  });
  server.on('exit', (code) => {
    if (asked) return end(0);
    // One that never opened has said why: a port that is taken, a migration that does not go.
    if (!open && tries === 0) return end(code ?? 1);
    const next = Date.now() - began > well ? 0 : tries;
    const pause = pauses[Math.min(next, pauses.length - 1)];
    say(`the server ended (${code ?? 'killed'}); starting it again in ${pause} s. What was saved is kept.`);
    setTimeout(() => !asked && startServer(next + 1), pause * 1000);
  });
}

/** Looks after the database and brings it up again when it has died. */
function watchDatabase() {
  let tries = 0;
  let upSince = Date.now();
  const look = () => {
    if (asked) return;
    let pause = 2;
    if (cluster.isUp()) {
      if (tries > 0 && Date.now() - upSince > well) tries = 0;
    } else {
      say('the database ended; starting it again. What was saved is kept.');
      const up = cluster.restart();
      upSince = Date.now();
      pause = up ? 2 : pauses[Math.min(tries, pauses.length - 1)];
      say(up ? 'the database is up again' : `the database did not come up; the next try is in ${pause} s`);
      tries += 1;
    }
    watch = setTimeout(look, pause * 1000);
  };
  watch = setTimeout(look, 2000);
}

function end(code) {
  asked = true;
  clearTimeout(watch);
  cluster.stop();
  rmSync(lock, { force: true });
  if (code === 0) say('closed');
  process.exit(code);
}

const close = () => {
  if (asked) return;
  asked = true;
  // Between two tries there is no server to wait for.
  if (server.exitCode !== null || server.signalCode !== null) end(0);
  else server.kill('SIGTERM');
};
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, close);

startServer(0);
if (own) watchDatabase();
