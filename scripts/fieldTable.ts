import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fieldsPage } from '../np/src/fieldsPage';

// Writes docs/fields.md from the declarations of the fields: `npm run fields`.
writeFileSync(join(import.meta.dirname, '../docs/fields.md'), fieldsPage());
