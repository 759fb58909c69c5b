import { readFileSync } from 'node:fs';
import { Complaint, run } from './run';

function read(path: string): string {
  try {
    return readFileSync(path, 'utf8');
  } catch (error) {
    throw new Complaint(`${path}: cannot be read (${(error as NodeJS.ErrnoException).code})`);
  }
}

try {
  process.stdout.write(run(process.argv.slice(2), { read }));
} catch (error) {
  if (!(error instanceof Complaint)) throw error;
  process.stderr.write(`${error.message.replaceAll('\n', ' ')}\n`);
  process.exitCode = 2;
}
