import { characteristicTables, heaterCharacteristic } from '../figures';
import type { OpenJob } from '../job';
import { heading, newSheet, type Print, write } from './frame';
import { table } from './table';

/** The characteristic of every heater of a job as a laboratory prints it, a sheet each. */
export function reportPages(print: Print, open: OpenJob): void {
  open.panels.forEach(({ document }, index) => {
    newSheet(print, 'Test report');
    write(print, `${document.count > 1 ? `${document.count} × ` : ''}${document.id}`, { heading: true, size: 5 });
    for (const section of characteristicTables(heaterCharacteristic(open, index))) {
      if (section.kind !== 'table') continue;
      heading(print, section.title);
      table(
        print,
        section.columns.map((title, column) => ({
          title,
          // As wide as its longest word, as far as the others let it.
          share: Math.max(title.length, ...section.rows.map((row) => row[column]?.length ?? 0), 4),
          words: (row: readonly string[]) => row[column] ?? '',
        })),
        section.rows,
      );
      write(print, section.note, { size: 3.2 });
      print.y -= 2;
    }
  });
}
