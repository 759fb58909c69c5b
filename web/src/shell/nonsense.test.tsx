import { defaultJob, parseJob } from '@north-pane/core/document';
import { everyTrial } from '@north-pane/core/fixtures/trials';
import { fireEvent } from '@testing-library/react';
import { expect } from 'chai';
import { openPage } from './page.fixture';
import {
  consoleErrors,
  documentNow,
  leaveStation,
  openStation,
  pageText,
  press,
  rest,
  type StationId,
} from './station.fixture';
import { stations } from './stations';

/** What a hand may type anywhere, by a slip or for fun. */
const nonsense = ['-5', 'warm', '1e999', 'NaN', '12,5,7', '9'.repeat(40), '∞', '"', '-0', '0', '  ', '<b>'];
/** What only a program says. */
const raw =
  /\b(expected|received|NaN|undefined|null|RangeError|TypeError|ZodError|Invalid (?:input|option)|Too (?:small|big)|Infinity)\b|\[object|[>]=|[<]=|heaters\.|parameters\./;

const fields = () =>
  [...document.querySelectorAll<HTMLInputElement>('input, textarea')].filter(
    ({ type, disabled }) =>
      !disabled && !['checkbox', 'radio', 'range', 'file', 'date', 'time', 'hidden'].includes(type),
  );
const nameOf = (field: HTMLInputElement) => field.labels?.[0]?.textContent ?? field.getAttribute('aria-label') ?? '';
const told = () => [...document.querySelectorAll('[role=alert]')].map((one) => one.textContent ?? '');

/** How much of it each field gets in `npm test`: the next ones of the list, so that all of it is typed somewhere. */
const some = everyTrial ? nonsense.length : 2;

/** Types nonsense into every field that there is, each by itself. */
async function typeNonsense(escapes = true): Promise<{ fields: number; said: string[] }> {
  const said = new Set<string>();
  const names = new Set<string>();
  for (let place = 0; place < fields().length; place += 1)
    for (let turn = 0; turn < some; turn += 1) {
      const text = nonsense[(place * some + turn) % nonsense.length] as string;
      const field = fields()[place];
      if (!field) break;
      names.add(nameOf(field));
      field.focus();
      fireEvent.change(field, { target: { value: text } });
      fireEvent.blur(field);
      await rest();
      for (const words of told()) {
        said.add(words);
        expect(words, `“${text}” in ${nameOf(field)}`).not.match(raw);
      }
      // What was typed may be shown again as it is.
      if (text !== 'NaN')
        expect(pageText(), `“${text}” in ${nameOf(field)}`).not.match(/\bNaN\b|undefined|\[object|Infinity/);
      const left = fields()[place];
      if (left && escapes) fireEvent.keyDown(left, { key: 'Escape' });
    }
  return { fields: names.size, said: [...said] };
}

describe('web: nonsense in every field', () => {
  afterEach(leaveStation);
  /** Fields of each station of a harp at the least: a page without any would pass. */
  const least: Record<string, number> = { place: 4, pick: 2, size: 1, cut: 3, build: 1, forecast: 3, prove: 4 };

  for (const { id } of stations)
    it(`of ${id} is refused in a builder’s words, or taken as what it says; the job stays sound`, async () => {
      const errors = await consoleErrors(async () => {
        await openStation(id as StationId, defaultJob('harp'), { shallow: true });
        const walked = await typeNonsense();
        expect(walked.fields, id).least(least[id] ?? 1);
        // A note may say anything.
        if (id !== 'build') expect(walked.said.length, id).above(0);
      });
      expect(parseJob(documentNow()).ok).equal(true);
      expect(errors.filter((words) => !/act\(/.test(words))).deep.equal([]);
    });
  it('of a new job is refused in a builder’s words', async () => {
    const user = await openPage('/');
    await press(user, /^Begin/);
    const walked = await typeNonsense(false);
    expect(walked.fields).least(4);
    await press(user, 'Begin');
    for (const words of told()) expect(words).not.match(raw);
    expect(told().length).above(0);
  });
});
