import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect } from 'chai';
import { fieldsPage } from './fieldsPage';

describe('docs: the table of fields', () => {
  it('is what the declarations say: npm run fields writes it', () => {
    const kept = readFileSync(join(import.meta.dirname, '../../docs/fields.md'), 'utf8');
    expect(kept).equal(fieldsPage());
  });
});
