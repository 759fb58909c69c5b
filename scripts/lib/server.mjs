import { fork } from 'node:child_process';
import { join } from 'node:path';
import { freePort } from './cluster.mjs';

/**
 * Starts the built server on a database and waits until it is open.
 *
 * @param {{ root: string, database: string, empty?: boolean }} query
 * @returns {Promise<{ url: string, close(): Promise<void> }>}
 */
export async function openServer({ root, database, empty = false }) {
  const port = await freePort();
  const child = fork(join(root, 'server/dist/main.js'), [], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
    env: {
      ...process.env,
      DATABASE_URL: database,
      PORT: String(port),
      NORTH_PANE_ROOT: root,
      NORTH_PANE_EMPTY: empty ? '1' : '',
    },
  });
  await new Promise((resolve, reject) => {
    child.once('message', resolve);
    child.once('exit', (code) => reject(new Error(`the server ended with ${code} before it was open`)));
  });
  return {
    url: `http://localhost:${port}`,
    close: () =>
      new Promise((resolve) => {
        child.once('exit', resolve);
        child.kill('SIGTERM');
      }),
  };
}
