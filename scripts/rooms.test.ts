import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { expect } from 'chai';
import { breaches } from './rooms';

describe('rooms', () => {
  let root = '';
  beforeEach(() => {
    root = mkdtempSync(join(tmpdir(), 'north-pane-rooms-'));
    for (const workspace of ['core/src', 'np/src', 'server/src', 'web/src'])
      mkdirSync(join(root, workspace), { recursive: true });
  });
  afterEach(() => rmSync(root, { recursive: true }));
  const plant = (file: string, text: string) => {
    mkdirSync(dirname(join(root, file)), { recursive: true });
    writeFileSync(join(root, file), text);
    return breaches(root).map((breach) => breach.why);
  };

  const refused: [file: string, text: string, why: RegExp][] = [
    ['core/src/thermal/a.ts', `import { x } from '../job';`, /thermal may not know job/],
    ['core/src/sky/a.ts', `export * from '../thermal/fin';`, /sky may not know thermal/],
    ['core/src/thermal/a.ts', `import { x } from '..';`, /front door/],
    ['core/src/thermal/a.ts', `import fs from 'node:fs';`, /core may not use node:fs/],
    ['core/src/thermal/a.ts', `const d3 = await import("d3");`, /core may not use d3/],
    ['core/src/thermal/a.ts', `import { x } from '../../../web/src/a';`, /by path/],
    ['core/src/thermal/a.ts', `import { x } from '@north-pane/server/client';`, /core may not know server/],
    ['core/src/den/a.ts', `import { x } from '../thermal';`, /no room/],
    ['server/src/a.ts', `import { x } from '@north-pane/web';`, /server may not know web/],
    ['web/src/a.tsx', `import { x } from '@north-pane/server/src/db';`, /only through its client/],
  ];
  for (const [file, text, why] of refused)
    it(`refuses ${text} in ${file}`, () => {
      const found = plant(file, text);
      expect(found).length(1);
      expect(found[0]).match(why);
    });

  it('refuses a station that knows another, and lets it know what both share', () => {
    expect(plant('web/src/stations/cut/a.tsx', `import { x } from '../size/b';`)).deep.equal([
      'station cut may not know station size',
    ]);
    expect(
      plant('web/src/stations/cut/a.tsx', `import { x } from '../../parts/b';\nimport { y } from './c';`),
    ).deep.equal([]);
  });

  it('refuses a circle, in core and in web, and names all of it', () => {
    plant('core/src/thermal/a.ts', `import { b } from './b';`);
    plant('core/src/thermal/b.ts', `import { c } from './c';`);
    expect(plant('core/src/thermal/c.ts', `import type { a } from './a';`)).deep.equal([
      `imports in a circle: ${['a', 'b', 'c', 'a'].map((name) => join('core/src/thermal', `${name}.ts`)).join(' > ')}`,
    ]);
    plant('core/src/thermal/c.ts', '');
    plant('web/src/parts/a/index.tsx', `import { b } from './b';`);
    expect(plant('web/src/parts/a/b.tsx', `import { a } from '.';`)[0]).match(/in a circle: web/);
  });

  it('lets through what the plan allows', () => {
    expect(plant('core/src/job/a.ts', `import { x } from '../thermal';\nimport * as z from 'zod';`)).deep.equal([]);
    expect(plant('web/src/a.ts', `import type { A } from '@north-pane/server/client';`)).deep.equal([]);
  });
});
