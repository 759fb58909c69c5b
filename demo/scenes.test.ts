import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseJob } from '@north-pane/core/document';
import { expect } from 'chai';
import { demoFiles } from './scenes';

describe('demo', () => {
  it('is what its generator makes, to the letter', () => {
    for (const [name, text] of Object.entries(demoFiles()))
      expect(readFileSync(join(import.meta.dirname, name), 'utf8'), name).equal(text);
  });
  it('begins with jobs that can be opened', () => {
    const scenes = Object.entries(demoFiles()).filter(([name]) => name.endsWith('.scene.json'));
    expect(scenes.map(([name]) => name)).deep.equal([
      'ferncliff.scene.json',
      'gannet-reach.scene.json',
      'juniper-draw.scene.json',
    ]);
    for (const [name, text] of scenes) expect(parseJob(JSON.parse(text).job).ok, name).equal(true);
  });
});
