// Lays a gzip copy beside every built file that shrinks by it: the server gives that, and compresses nothing twice.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';

const folder = join(import.meta.dirname, '../web/dist/assets');
for (const name of readdirSync(folder)) {
  if (!/\.(js|css|wasm|svg)$/.test(name)) continue;
  const whole = readFileSync(join(folder, name));
  if (whole.length > 1024) writeFileSync(join(folder, `${name}.gz`), gzipSync(whole, { level: 9 }));
}
