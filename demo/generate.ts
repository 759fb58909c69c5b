import { mkdirSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { demoFiles } from './scenes';

// Remakes the files of the demo: npm run demo.
for (const [name, text] of Object.entries(demoFiles())) {
  const path = join(import.meta.dirname, name);
  mkdirSync(dirname(path), { recursive: true });
  writeFileSync(path, text);
  console.log(path, text.length);
}
