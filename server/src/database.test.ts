import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from 'chai';
import { MigrationFailed, openDatabase, prepareDatabase } from './db/database';
import { listJobs } from './db/jobs';
import { sourcesWithReadings } from './db/readings';
import { seedDemo } from './seed';
import { emptyDatabase, migrations } from './testing';

describe('server: database', () => {
  it('knows a fresh database, and is quick about one that is up to date', async () => {
    const { url, drop } = await emptyDatabase();
    const database = openDatabase(url);
    expect(await prepareDatabase(database, migrations)).deep.equal({ fresh: true });
    expect(await prepareDatabase(database, migrations)).deep.equal({ fresh: false });
    await database.close();
    await drop();
  });
  it('leaves nothing of a migration that fails halfway', async () => {
    const { url, drop } = await emptyDatabase();
    const folder = mkdtempSync(join(tmpdir(), 'north-pane-migrations-'));
    cpSync(migrations, folder, { recursive: true });
    const journal = join(folder, 'meta/_journal.json');
    const entries = JSON.parse(readFileSync(journal, 'utf8'));
    entries.entries.push({
      idx: entries.entries.length,
      version: '7',
      when: entries.entries.at(-1).when + 1,
      tag: 'torn',
      breakpoints: true,
    });
    writeFileSync(journal, JSON.stringify(entries));
    writeFileSync(
      join(folder, 'torn.sql'),
      'create table half (id integer);\n--> statement-breakpoint\nselect nonsense;',
    );
    const database = openDatabase(url);
    let failed: unknown;
    await prepareDatabase(database, folder).catch((error: unknown) => {
      failed = error;
    });
    expect(failed).instanceOf(MigrationFailed);
    const left = await database.pool.query(
      "select table_name from information_schema.tables where table_schema = 'public'",
    );
    expect(left.rows).deep.equal([]);
    // The way out: the sound migrations still go.
    expect(await prepareDatabase(database, migrations)).deep.equal({ fresh: true });
    await database.close();
    await drop();
    rmSync(folder, { recursive: true });
  });
  it('puts the demo on the shelf whole', async () => {
    const { url, drop } = await emptyDatabase();
    const database = openDatabase(url);
    await prepareDatabase(database, migrations);
    expect(await seedDemo(database, join(import.meta.dirname, '../../demo'))).deep.equal([
      'Ferncliff propagation bench',
      'Gannet Reach showers',
      'Juniper Draw wash-down',
    ]);
    const readings = await Promise.all(
      (await listJobs(database, { putAway: false })).cards.map(async ({ id }) => {
        const [source] = await sourcesWithReadings(database, id, 20_000);
        return [id, source?.name, (source?.count ?? 0) > 500 ? 'a logger' : source?.count];
      }),
    );
    expect(readings).deep.equal([
      ['juniper-draw-wash-down', 'notebook', 28],
      ['gannet-reach-showers', 'shed logger', 'a logger'],
      ['ferncliff-propagation-bench', undefined, undefined],
    ]);
    await database.close();
    await drop();
  });
});
