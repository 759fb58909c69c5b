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
  it('begins with a job that can be opened', () => {
    const scene = JSON.parse(demoFiles()['gannet-reach.scene.json'] ?? '');
    expect(parseJob(scene.job).ok).equal(true);
  });
});
