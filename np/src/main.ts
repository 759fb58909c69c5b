import { readFileSync } from 'node:fs';
import { paperFonts } from './fonts';
import { Complaint, run, type World } from './run';

function read(path: string): string {
  try {
    return readFileSync(path, 'utf8');
  } catch (error) {
    throw new Complaint(`${path}: cannot be read (${(error as NodeJS.ErrnoException).code})`);
  }
}

const world: World = { read, now: () => new Date(), fonts: paperFonts };

try {
  process.stdout.write(await run(process.argv.slice(2), world));
} catch (error) {
  if (!(error instanceof Complaint)) throw error;
  process.stderr.write(`${error.message.replaceAll('\n', ' ')}\n`);
  process.exitCode = 2;
}
