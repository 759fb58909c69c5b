import { type ChildProcess, execFileSync, spawn } from 'node:child_process';
import {
  cpSync,
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from 'chai';
import pg from 'pg';
import { clusterFolder, create, run } from './lib/cluster.mjs';
import { diskWords } from './lib/say.mjs';

const root = join(import.meta.dirname, '..');

function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() => resolve(typeof address === 'object' && address ? address.port : 0));
    });
  });
}

interface Run {
  child: ChildProcess;
  said(): string;
  /** Resolves when it is open, or with its exit code when it ends before. */
  open: Promise<'open' | number>;
  ended: Promise<number | null>;
}

/** A clone beside this one: the tracked files as they are here, packages and builds shared with it. */
function makeClone(): string {
  const clone = mkdtempSync(join(tmpdir(), 'north-pane-clone-'));
  const files = execFileSync('git', ['ls-files', '-z', '--cached', '--others', '--exclude-standard'], {
    cwd: root,
  }).toString();
  for (const file of files.split('\0'))
    if (file && existsSync(join(root, file))) cpSync(join(root, file), join(clone, file));
  symlinkSync(join(root, 'node_modules'), join(clone, 'node_modules'));
  for (const built of ['server/dist', 'web/dist']) cpSync(join(root, built), join(clone, built), { recursive: true });
  cpSync(join(root, '.data/build'), join(clone, '.data/build'));
  return clone;
}

const running = new Set<Run>();

function start(clone: string, port: number, options: { args?: string[]; env?: Record<string, string> } = {}): Run {
  const env: NodeJS.ProcessEnv = { ...process.env, PORT: String(port), ...options.env };
  if (!options.env?.DATABASE_URL) delete env.DATABASE_URL;
  // A group of its own, as a terminal gives one: Ctrl-C goes to all of it.
  const child = spawn(process.execPath, ['scripts/start.mjs', ...(options.args ?? [])], {
    cwd: clone,
    env,
    detached: true,
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let said = '';
  const ended = new Promise<number | null>((resolve) => child.once('exit', resolve));
  const open = new Promise<'open' | number>((resolve) => {
    const take = (chunk: Buffer) => {
      said += chunk;
      if (said.includes(`open at http://localhost:${port}`)) resolve('open');
    };
    child.stdout?.on('data', take);
    child.stderr?.on('data', take);
    void ended.then((code) => resolve(code ?? -1));
  });
  const run: Run = { child, said: () => said, open, ended };
  running.add(run);
  void ended.then(() => running.delete(run));
  return run;
}

/** Ctrl-C, as the terminal sends it. */
async function interrupt(run: Run): Promise<void> {
  process.kill(-(run.child.pid ?? 0), 'SIGINT');
  await run.ended;
}

const jobs = async (port: number) =>
  ((await (await fetch(`http://localhost:${port}/api/jobs`)).json()) as { jobs: { id: string; name: string }[] }).jobs;
const begin = (port: number, name: string) =>
  fetch(`http://localhost:${port}/api/jobs`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name, units: 'metric' }),
  });

describe('npm start', () => {
  let clone = '';
  let port = 0;
  before(async () => {
    clone = makeClone();
    port = await freePort();
  });
  afterEach(async () => {
    // What a failed test left running would stand in the way of the next.
    for (const run of running) await interrupt(run);
  });
  after(() => {
    const note = join(clone, '.data/cluster.json');
    if (existsSync(note)) rmSync(JSON.parse(readFileSync(note, 'utf8')).place, { recursive: true, force: true });
    rmSync(clone, { recursive: true, force: true });
  });

  it('brings a database and the demo, and Ctrl-C closes both', async () => {
    const run = start(clone, port);
    expect(await run.open, run.said()).equal('open');
    expect(run.said()).match(
      /making a database in .*\n.*demo on the shelf: Ferncliff propagation bench, Gannet Reach showers, Juniper Draw wash-down/,
    );
    expect((await jobs(port)).map((job) => job.name)).deep.equal([
      'Juniper Draw wash-down',
      'Gannet Reach showers',
      'Ferncliff propagation bench',
    ]);
    expect((await begin(port, 'Mine')).status).equal(201);
    await interrupt(run);
    expect(run.said()).match(/closed\n$/);
    await fetch(`http://localhost:${port}/api/health`).then(
      () => expect.fail('it still answers'),
      () => undefined,
    );
    expect(
      existsSync(join(JSON.parse(readFileSync(join(clone, '.data/cluster.json'), 'utf8')).place, 'postmaster.pid')),
    ).equal(false);
  });

  it('tells its server no password of the database’s superuser, and has none in a command line', async () => {
    const run = start(clone, port);
    expect(await run.open, run.said()).equal('open');
    const { password, serverPassword, place } = JSON.parse(readFileSync(join(clone, '.data/cluster.json'), 'utf8'));
    const pgPort = Number(readFileSync(join(place, 'postmaster.pid'), 'utf8').split('\n')[3]);
    const enters = async (user: string, with_: string) => {
      const client = new pg.Client({ host: '127.0.0.1', port: pgPort, user, password: with_, database: 'north_pane' });
      try {
        await client.connect();
        return (await client.query('select usesuper from pg_user where usename = current_user')).rows[0].usesuper;
      } catch {
        return 'refused';
      } finally {
        await client.end().catch(() => {});
      }
    };
    expect(await enters('north_pane_server', serverPassword)).equal(false);
    expect(await enters('north_pane', password)).equal(true);
    expect(await enters('north_pane', serverPassword)).equal('refused');
    // What any user of the machine can read of what runs.
    const lines = readdirSync('/proc')
      .filter((name) => /^\d+$/.test(name))
      .map((pid) => {
        try {
          return readFileSync(`/proc/${pid}/cmdline`, 'utf8');
        } catch {
          return '';
        }
      });
    for (const secret of [password, serverPassword])
      expect(lines.filter((line) => line.includes(secret))).deep.equal([]);
    await interrupt(run);
  });

  it('gives the superuser another password where an earlier version had told it to its server', async () => {
    const file = join(clone, '.data/cluster.json');
    const { place, password } = JSON.parse(readFileSync(file, 'utf8'));
    writeFileSync(file, JSON.stringify({ place, password }));
    const run = start(clone, port);
    expect(await run.open, run.said()).equal('open');
    const now = JSON.parse(readFileSync(file, 'utf8'));
    expect(now.password).not.equal(password);
    expect(now.earlier).equal(undefined);
    expect((await jobs(port)).map((job) => job.name)).include('Gannet Reach showers');
    await interrupt(run);
  });

  it('takes another port for its database where somebody has taken the one that it found free', async () => {
    const taken = await freePort();
    const squatter = createServer();
    await new Promise<void>((listens) => squatter.listen(taken, '127.0.0.1', listens));
    const folder = clusterFolder();
    try {
      create(join(folder, 'cluster'), 'password', ['--no-sync']);
      const running = await run(join(folder, 'cluster'), { fsync: 'off' }, async () => taken);
      expect(running.port).not.equal(taken);
      expect(running.isUp()).equal(true);
      running.stop();
    } finally {
      squatter.close();
      rmSync(folder, { recursive: true, force: true });
    }
  });

  it('says in a sentence what a folder or disk refuses', async () => {
    const bare = makeClone();
    try {
      rmSync(join(bare, '.data'), { recursive: true });
      writeFileSync(join(bare, '.data'), 'a file');
      const run = start(bare, await freePort());
      expect(await run.open).equal(1);
      expect(run.said()).match(/\.data should be a folder and is a file\. Move it out of the way/);
      expect(run.said()).not.match(/ at .*\.mjs/);
    } finally {
      rmSync(bare, { recursive: true, force: true });
    }
    for (const [code, words] of [
      ['EACCES', /belongs to another user.*chown/],
      ['EROFS', /mounted read-only/],
      ['ENOSPC', /is full. Make room/],
    ] as const)
      expect(diskWords(Object.assign(new Error(), { code, path: '/somewhere/.data' }))).match(words);
    expect(diskWords(new TypeError('another'))).equal(undefined);
  });

  it('starts again quickly with everything kept, and not twice in one clone', async () => {
    const run = start(clone, port);
    expect(await run.open, run.said()).equal('open');
    expect(run.said()).not.match(/making|demo|installing|building/);
    expect((await jobs(port)).map((job) => job.name)).include.members(['Mine', 'Gannet Reach showers']);
    const second = start(clone, await freePort());
    expect(await second.open).equal(1);
    expect(second.said()).match(new RegExp(`already open at http://localhost:${port} \\(process \\d+\\)`));
    expect((await jobs(port)).length).equal(4);
    await interrupt(run);
  });

  it('says which port is taken and how to take another', async () => {
    const squatter = createServer().listen(port, '127.0.0.1');
    const run = start(clone, port);
    expect(await run.open).equal(1);
    expect(run.said()).include(
      `Port ${port} is taken by another program. Start on another one: PORT=${port + 1} npm start`,
    );
    await new Promise((resolve) => squatter.close(resolve));
    const nonsense = start(clone, port, { env: { PORT: 'eighty' } });
    expect(await nonsense.open).equal(1);
    expect(nonsense.said()).match(/PORT is “eighty”/);
  });

  it('comes back after a crash of everything but the database, and loses nothing', async () => {
    const run = start(clone, port);
    expect(await run.open, run.said()).equal('open');
    await begin(port, 'Before the crash');
    run.child.kill('SIGKILL');
    await run.ended;
    const again = start(clone, await freePort());
    const open = await again.open;
    expect(open, again.said()).equal('open');
    expect(again.said()).match(/still running; taking it over/);
    const other = Number(/localhost:(\d+)/.exec(again.said())?.[1]);
    expect((await jobs(other)).map((job) => job.name)).include('Before the crash');
    await interrupt(again);
  });

  /** Waits until something is said after a place in what was said. */
  const said = async (run: Run, words: RegExp, after: number) => {
    for (let tries = 0; tries < 300 && !words.test(run.said().slice(after)); tries += 1)
      await new Promise((resolve) => setTimeout(resolve, 100));
    expect(run.said().slice(after)).match(words);
  };
  const answers = async (path = '/api/jobs') => {
    for (let tries = 0; tries < 100; tries += 1) {
      const status = await fetch(`http://localhost:${port}${path}`).then(
        (answer) => answer.status,
        () => 0,
      );
      if (status === 200) return true;
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    return false;
  };

  it('starts the server again when it dies, and the database when it dies, and tells both', async () => {
    const run = start(clone, port);
    expect(await run.open, run.said()).equal('open');
    await begin(port, 'Before it fell');
    const mark = run.said().length;
    execFileSync('pkill', ['-KILL', '-P', String(run.child.pid), '-f', 'server/dist/main.js']);
    await said(run, /the server ended \(killed\); starting it again in 1 s\./, mark);
    await said(run, /it is open again/, mark);
    expect(await answers()).equal(true);

    const place = JSON.parse(readFileSync(join(clone, '.data/cluster.json'), 'utf8')).place;
    const postmaster = Number(readFileSync(join(place, 'postmaster.pid'), 'utf8').split('\n')[0]);
    const after = run.said().length;
    process.kill(postmaster, 'SIGKILL');
    // While it is away the server stands, and says so.
    const health = await fetch(`http://localhost:${port}/api/health`);
    if (health.status !== 200) expect(await health.json()).include({ ok: false, database: 'silent' });
    await said(run, /the database ended; starting it again/, after);
    await said(run, /the database is up again/, after);
    expect(await answers('/api/health')).equal(true);
    expect((await jobs(port)).map((job) => job.name)).include('Before it fell');
    expect(run.said().slice(after)).not.match(/the server ended/);
    await interrupt(run);
  });

  it('gives a copied folder a database of its own and leaves the first one alone', async () => {
    const first = start(clone, port);
    expect(await first.open, first.said()).equal('open');
    const copy = `${clone}-copy`;
    cpSync(clone, copy, {
      recursive: true,
      verbatimSymlinks: true,
      filter: (path) => !path.includes('.data/cluster/'),
    });
    const other = await freePort();
    const second = start(copy, other);
    expect(await second.open, second.said()).equal('open');
    expect(second.said()).match(/this folder is a copy of .*: it gets a database of its own/);
    expect((await jobs(other)).map((job) => job.name)).deep.equal([
      'Juniper Draw wash-down',
      'Gannet Reach showers',
      'Ferncliff propagation bench',
    ]);
    await begin(other, 'Only in the copy');
    expect((await jobs(port)).map((job) => job.name)).not.include('Only in the copy');
    await interrupt(second);
    expect(await answers()).equal(true);
    await interrupt(first);
    rmSync(JSON.parse(readFileSync(join(copy, '.data/cluster.json'), 'utf8')).place, { recursive: true, force: true });
    rmSync(copy, { recursive: true, force: true });
  });

  it('mends notes that are garbage, in words, and finds its own database again', async () => {
    for (const name of ['cluster.json', 'running.json']) writeFileSync(join(clone, '.data', name), '{"place": ');
    const run = start(clone, port);
    expect(await run.open, run.said()).equal('open');
    expect(run.said()).match(/cluster\.json cannot be read and is made anew/);
    expect(run.said()).not.match(/making a database/);
    expect((await jobs(port)).map((job) => job.name)).include('Mine');
    await interrupt(run);
  });

  it('takes a database of one’s own, without the demo when asked', async () => {
    const cluster = process.env.NORTH_PANE_TEST_CLUSTER;
    if (!cluster) throw new Error('no throw-away cluster; run: npm test');
    const pg = await import('pg');
    const name = `own_${process.pid}`;
    const client = new pg.default.Client({ connectionString: cluster });
    await client.connect();
    await client.query(`create database ${name}`);
    const url = new URL(cluster);
    url.pathname = `/${name}`;
    const run = start(clone, port, { args: ['--empty'], env: { DATABASE_URL: url.href } });
    expect(await run.open, run.said()).equal('open');
    expect(await jobs(port)).deep.equal([]);
    await interrupt(run);
    // A migration that cannot be carried out: what happened, that nothing changed, and the way out.
    const journal = join(clone, 'server/migrations/meta/_journal.json');
    const entries = JSON.parse(readFileSync(journal, 'utf8'));
    entries.entries.push({ idx: 1, version: '7', when: Date.now(), tag: '0001_torn', breakpoints: true });
    writeFileSync(journal, JSON.stringify(entries));
    writeFileSync(join(clone, 'server/migrations/0001_torn.sql'), 'select nonsense;');
    const torn = start(clone, port, { env: { DATABASE_URL: url.href } });
    expect(await torn.open).equal(1);
    expect(torn.said()).match(
      /could not be brought up to date: .*\nNothing was changed in it\. Go back to the version/,
    );
    await client.query(`drop database ${name} with (force)`);
    await client.end();
  });
});
