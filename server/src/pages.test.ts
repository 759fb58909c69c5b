import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import { expect } from 'chai';
import { pages } from './pages';

describe('server: pages', () => {
  let folder = '';
  before(() => {
    folder = mkdtempSync(join(tmpdir(), 'north-pane-pages-'));
    mkdirSync(join(folder, 'assets'));
    writeFileSync(join(folder, 'index.html'), '<!doctype html><title>North Pane</title>');
    writeFileSync(join(folder, 'pane.svg'), '<svg/>');
    writeFileSync(join(folder, 'assets/index-abc.js'), 'export {};');
    writeFileSync(join(folder, 'assets/index-abc.js.gz'), gzipSync('export {};'));
  });
  after(() => rmSync(folder, { recursive: true }));
  const get = (path: string) => pages(folder).request(`http://localhost${path}`);

  it('gives the page at every address that is a place in it', async () => {
    for (const path of ['/', '/jobs/gannet-reach-showers', '/jobs/gannet-reach-showers/size', '/jobs/x/prove?day=1']) {
      const answer = await get(path);
      expect(answer.status, path).equal(200);
      expect(await answer.text(), path).include('<title>North Pane</title>');
    }
  });
  it('gives the page elsewhere too, and says that there is nothing', async () => {
    for (const path of ['/anything/at/all', '/jobs', '/jobs/x/kitchen', '/jobs/x/size/more', '/index']) {
      const answer = await get(path);
      expect(answer.status, path).equal(404);
      expect(answer.headers.get('content-type'), path).match(/html/);
      expect(await answer.text(), path).include('<title>North Pane</title>');
    }
  });
  it('gives assets for ever, by their type', async () => {
    const answer = await get('/assets/index-abc.js');
    expect(answer.headers.get('cache-control')).equal('public, max-age=31536000, immutable');
    expect(answer.headers.get('content-type')).match(/javascript/);
  });
  it('gives the copy that was compressed at the build to whoever takes it', async () => {
    const packed = await pages(folder).request('http://localhost/assets/index-abc.js', {
      headers: { 'accept-encoding': 'gzip' },
    });
    expect(packed.headers.get('content-encoding')).equal('gzip');
    expect(packed.headers.get('content-type')).match(/javascript/);
    expect(gunzipSync(await packed.arrayBuffer()).toString()).equal('export {};');
    expect((await get('/assets/index-abc.js')).headers.get('content-encoding')).equal(null);
  });
  it('does not pass the page off as a script that is gone', async () => {
    const answer = await get('/assets/index-old.js');
    expect(answer.status).equal(404);
    expect(await answer.text()).not.include('doctype');
  });
  it('gives other files by name, and none from outside the folder', async () => {
    expect((await get('/pane.svg')).headers.get('content-type')).match(/svg/);
    for (const path of ['/../package.json', '/%2e%2e/package.json', '/assets/..%2f..%2fetc/passwd'])
      expect(await (await get(path)).text(), path).not.match(/"name"|root:/);
  });
});
