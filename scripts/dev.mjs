// For developers: server under tsx with reload, web under Vite with hot replacement, the clone's own cluster beneath.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { openCluster } from './lib/cluster.mjs';
import { ensureDebian, postgresql } from './lib/debian.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { say } from './lib/say.mjs';

const root = join(import.meta.dirname, '..');
if (!process.env.DATABASE_URL) ensureDebian([postgresql]);
ensurePackages(root);
const cluster = process.env.DATABASE_URL ? { url: process.env.DATABASE_URL, stop: () => {} } : await openCluster(root);
const env = { ...process.env, DATABASE_URL: cluster.url, PORT: '4170', NORTH_PANE_ROOT: root };
const bin = (name) => join(root, 'node_modules/.bin', name);
const children = [
  spawn(bin('tsx'), ['watch', '--clear-screen=false', 'server/src/main.ts'], { cwd: root, env, stdio: 'inherit' }),
  spawn(bin('vite'), ['--port', '4171', '--strictPort'], { cwd: join(root, 'web'), env, stdio: 'inherit' }),
];
say('developing at http://localhost:4171 (server on 4170)');
let closing = false;
const close = () => {
  if (closing) return;
  closing = true;
  for (const child of children) child.kill('SIGTERM');
  cluster.stop();
  process.exit(0);
};
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, close);
for (const child of children) child.on('exit', close);
