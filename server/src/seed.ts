import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readDocument } from '@north-pane/core/document';
import { proposeMapping, readReadings, sensorsSchema } from '@north-pane/core/proof';
import { previewTable } from '@north-pane/core/table';
import * as z from 'zod';
import type { Database } from './db/database';
import { createJob, keepRevision, recordBuild } from './db/jobs';
import { writeReadings } from './db/readings';

/** A scene of the demo folder: a job, how it came to be built, and what was measured. */
const sceneSchema = z.strictObject({
  job: z.unknown(),
  built: z.strictObject({ note: z.string(), from: z.iso.datetime() }).optional(),
  readings: z.array(z.strictObject({ file: z.string(), source: z.string(), sensors: sensorsSchema })),
});

/** Puts the demo scenes on an empty shelf. Throws when a scene is not sound: the demo is part of the program. */
export async function seedDemo(database: Database, folder: string): Promise<string[]> {
  const names: string[] = [];
  for (const file of readdirSync(folder)
    .filter((name) => name.endsWith('.scene.json'))
    .sort()) {
    const scene = sceneSchema.parse(JSON.parse(readFileSync(join(folder, file), 'utf8')));
    const parsed = readDocument(scene.job);
    if (!parsed.ok) throw new Error(`${file}: ${parsed.errors.map((one) => `${one.path} ${one.message}`).join('; ')}`);
    const job = await createJob(database, parsed.job, parsed.events);
    if (scene.built) {
      const kept = await keepRevision(database, job.id, scene.built.note);
      if (kept && kept !== 'moved on') await recordBuild(database, job.id, kept.id, new Date(scene.built.from));
    }
    for (const { file: csv, source, sensors } of scene.readings) {
      const text = readFileSync(join(folder, csv), 'utf8');
      const { time, columns } = proposeMapping(previewTable(text) ?? { headings: [] });
      if (!time) throw new Error(`${csv}: no time column`);
      const { readings, refused, trouble } = readReadings(text, { time, columns }, parsed.job.site.zone);
      if (trouble || refused.length > 0) throw new Error(`${csv}: ${trouble ?? `${refused.length} lines refused`}`);
      await writeReadings(database, { jobId: job.id, source, sensors, readings, dryRun: false });
    }
    names.push(parsed.job.name);
  }
  return names;
}
