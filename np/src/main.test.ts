import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { defaultJob } from '@north-pane/core/document';
import { expect } from 'chai';

const root = join(import.meta.dirname, '../..');

describe('np, the program', () => {
  let folder = '';
  before(() => {
    folder = mkdtempSync(join(tmpdir(), 'north-pane-np-'));
    writeFileSync(join(folder, 'job.json'), JSON.stringify(defaultJob('harp')));
    writeFileSync(join(folder, 'wrong.json'), JSON.stringify({ ...defaultJob('harp'), heaters: {} }));
  });
  after(() => rmSync(folder, { recursive: true }));
  const np = (...args: string[]) =>
    spawnSync(process.execPath, ['--import', 'tsx', 'np/src/main.ts', ...args], { cwd: root, encoding: 'utf8' });

  it('prints JSON and ends with 0', () => {
    const { status, stdout, stderr } = np('figures', join(folder, 'job.json'));
    expect([status, stderr]).deep.equal([0, '']);
    expect(JSON.parse(stdout)).property('gain').above(1);
  });
  it('names the field in one line on the error stream and ends with 2', () => {
    const { status, stdout, stderr } = np('figures', join(folder, 'wrong.json'));
    expect([status, stdout]).deep.equal([2, '']);
    expect(stderr).match(/^[^\n]*heaters: [^\n]*\n$/);
  });
  it('says that a file cannot be read, and ends with 2', () => {
    const { status, stderr } = np('parts', join(folder, 'gone.json'));
    expect(status).equal(2);
    expect(stderr).match(/gone\.json: cannot be read \(ENOENT\)\n$/);
  });
});
