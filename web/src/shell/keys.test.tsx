import { expect } from 'chai';
import { address, focus, goTo, head, KeptJob, keys, openPage, reloads, saved } from './page.fixture';
import {
  button,
  documentNow,
  field,
  find,
  leaveStation,
  pageText,
  panelNow,
  press,
  rest,
  screen,
  soon,
  textIn,
  type,
} from './station.fixture';

const tape = () => textIn(screen.getByTestId('tape-value'));
const slider = (name: string) => find('[role="slider"]', name);
const dimension = (name: RegExp) => find('[role="button"]', name);

describe('web: keys', () => {
  after(leaveStation);

  it('work the bench without a mouse: a dimension is taken, typed and nudged', async () => {
    const user = await openPage();
    const pitch = dimension(/^riser pitch, .*: set$/);
    await focus(pitch);
    await keys(user, '{Enter}');
    const typed = screen.getByRole('textbox', { name: 'riser pitch' });
    expect(document.activeElement === typed, 'has the focus').equal(true);
    await type(user, typed, '3 3/8"');
    expect(tape()).include('86 mm');
    await focus(slider('riser pitch'));
    // The first key puts it on a mark of the tape.
    await keys(user, '{ArrowRight}');
    expect(tape()).include('86 mm');
    await keys(user, '{ArrowRight}');
    expect(tape()).include('87 mm');
    expect(panelNow().parameters.pitch).closeTo(0.087, 9);
  });
  it('go to stations by their numbers, and nowhere for one that is not built', async () => {
    const user = await openPage();
    for (const [key, station] of [
      ['8', 'prove'],
      ['7', 'forecast'],
      ['4', 'cut'],
      ['5', 'build'],
      ['1', 'place'],
      ['3', 'size'],
      ['6', 'size'],
    ] as const) {
      await keys(user, key);
      expect(address(), key).equal(`/jobs/shed/${station}`);
    }
  });
  it('undo and redo from anywhere but a field', async () => {
    const user = await openPage();
    await press(user, 'One less: Risers');
    for (const [key, risers] of [
      ['{Control>}z{/Control}', 12],
      ['{Control>}{Shift>}Z{/Shift}{/Control}', 11],
      ['{Control>}z{/Control}', 12],
      ['{Control>}y{/Control}', 11],
    ] as const) {
      await keys(user, key);
      expect(panelNow().parameters.riserCount, key).equal(risers);
    }
  });
  it('go by what they write and not by where they lie', async () => {
    await openPage();
    const pressed = async (key: string, code: string, more: object = {}) => {
      const at = document.activeElement ?? document.body;
      at.dispatchEvent(new window.KeyboardEvent('keydown', { key, code, bubbles: true, cancelable: true, ...more }));
      await rest();
    };
    await rest();
    const before = panelNow().parameters.pitch as number;
    // AZERTY: a digit needs Shift, and the comma lies where m lies elsewhere.
    await pressed('4', 'Quote', { shiftKey: true });
    expect(address()).equal('/jobs/shed/cut');
    await pressed('3', 'Quote', { shiftKey: true });
    expect(address()).equal('/jobs/shed/size');
    await pressed(',', 'KeyM');
    expect(panelNow().parameters.pitch).closeTo(before - 0.001, 1e-3);
    const less = panelNow().parameters.pitch as number;
    // QWERTZ: Shift with the comma writes a semicolon.
    await pressed(';', 'Comma', { shiftKey: true });
    expect(panelNow().parameters.pitch).closeTo(less - 0.01, 1e-9);
    // QWERTZ: the key that writes z lies where y lies elsewhere.
    await pressed('y', 'KeyZ', { ctrlKey: true });
    expect(panelNow().parameters.pitch).closeTo(less - 0.01, 1e-9);
    await pressed('z', 'KeyY', { ctrlKey: true });
    expect(panelNow().parameters.pitch).closeTo(less, 1e-9);
    // What lies where u lies, and writes something else, flips nothing.
    await pressed('g', 'KeyU');
    expect(head()).include('m²');
    await pressed('u', 'KeyG');
    expect(head()).include('ft²');
  });
  it('do nothing by themselves once they are switched off; those with Ctrl go on', async () => {
    const user = await openPage();
    await keys(user, '?');
    const dialog = await soon(() => screen.getByRole('dialog'));
    await user.click(find('[role="checkbox"]', 'Single keys work without Ctrl', dialog));
    await press(user, 'Back', dialog);
    const before = documentNow();
    await keys(user, 'u', 'k', '4', ',', '?');
    expect(address()).equal('/jobs/shed/size');
    expect(documentNow() === before, 'nothing was set').equal(true);
    expect(screen.queryByRole('dialog')).equal(null);
    expect(head()).include('m²').and.include('no version saved');
    await press(user, 'One less: Risers');
    await keys(user, '{Control>}z{/Control}');
    expect(panelNow().parameters.riserCount).equal(12);
  });
  it('do not reach the bench through a dialog', async () => {
    const user = await openPage();
    await keys(user, '?');
    const dialog = await soon(() => screen.getByRole('dialog'));
    await focus(button('Back', dialog));
    const before = documentNow();
    await keys(user, 'u', '4', ',', 'k');
    expect(address()).equal('/jobs/shed/size');
    expect(documentNow() === before, 'nothing was set').equal(true);
    expect(head()).include('m²').and.include('no version saved');
    await press(user, 'Back', dialog);
  });
  it('do not reach the bench through the shop mode', async () => {
    const user = await openPage('/jobs/shed/cut');
    await press(user, 'Shop mode');
    await soon(() => screen.getByTestId('shop-size'));
    await keys(user, 'u', '3', 'k');
    expect(address()).equal('/jobs/shed/cut');
    expect(textIn(screen.getByTestId('shop-size'))).include('mm');
    await press(user, 'Leave shop mode');
  });
  it('with Ctrl Z take back an edit once it is entered, and only the typing before', async () => {
    const user = await openPage();
    const entry = () => screen.getByLabelText<HTMLInputElement>('Riser entry');
    const before = entry().value;
    await type(user, entry(), '9');
    expect(entry().value).match(/^9/);
    await keys(user, '{Control>}z{/Control}');
    expect(entry().value).equal(before);
    await keys(user, '{Control>}y{/Control}');
    expect(panelNow().parameters.entry).closeTo(0.009, 1e-9);
    await keys(user, '{Control>}z{/Control}');
    await user.type(entry(), '12');
    await keys(user, '{Control>}z{/Control}', '{Escape}');
    expect(panelNow().parameters.entry).closeTo(0.007, 1e-9);
  });
  it('are listed on the shelf and for the thing in hand, and the focus goes back to it', async () => {
    const user = await openPage('/');
    await keys(user, '?');
    await soon(() => expect(textIn(screen.getByRole('dialog'))).include('flip units'));
    await keys(user, '{Escape}');
    await openPage('/jobs/shed/place');
    await focus(slider('Tilt of the pane'));
    await keys(user, '?');
    await soon(() => expect(textIn(find('section, [role="region"]', 'Tilt of the pane'))).include('to the ends'));
    await keys(user, '{Escape}');
    await soon(() => expect(document.activeElement === slider('Tilt of the pane'), 'has the focus').equal(true));
  });
  it('move a slider by every key that sliders have', async () => {
    const user = await openPage();
    await focus(slider('riser pitch'));
    for (const [key, words] of [
      ['{ArrowDown}', '88 mm'],
      ['{ArrowUp}', '89 mm'],
      ['{PageDown}', '79 mm'],
      ['{PageUp}', '89 mm'],
      ['{Shift>}{ArrowLeft}{/Shift}', '79 mm'],
      ['{Shift>}{ArrowRight}{/Shift}', '89 mm'],
      ['{End}', '90 mm'],
      ['{ArrowUp}', '90 mm'],
      ['{Home}', '30 mm'],
    ] as const) {
      await keys(user, key);
      expect(tape(), key).include(words);
    }
  });
  it('leave the focus where it was: after typing, Escape, the next step, a digit', async () => {
    const user = await openPage();
    const pitch = () => dimension(/^riser pitch, .*: set$/);
    await focus(pitch());
    await keys(user, '{Enter}');
    await type(user, screen.getByRole('textbox', { name: 'riser pitch' }), '88');
    await soon(() => expect(document.activeElement === pitch(), 'has the focus').equal(true));
    await keys(user, '{Enter}', '{Escape}');
    await soon(() => expect(document.activeElement === pitch(), 'has the focus').equal(true));
    await keys(user, '5');
    expect(document.activeElement === document.querySelector('main'), 'has the focus').equal(true);
    await focus(button('Done, next step'));
    await keys(user, '{Enter}');
    await soon(() => expect(document.activeElement?.getAttribute('aria-label')).equal('Drill the headers'));
    await keys(user, '3');
    await soon(() => expect(document.activeElement === pitch(), 'has the focus').equal(true));
  });
});

describe('web: what belongs to whoever looks', () => {
  after(leaveStation);

  it('light goes round by its button and is kept', async () => {
    const kept = new KeptJob();
    const user = await openPage('/', kept);
    const dark = () => document.documentElement.classList.contains('dark');
    await press(user, /^Light/);
    expect(dark()).equal(false);
    expect(JSON.parse(window.localStorage.getItem('north-pane-view') ?? '{}').state.light).equal('day');
    await press(user, 'Light: by day');
    expect(JSON.parse(window.localStorage.getItem('north-pane-view') ?? '{}').state.light).equal('night');
  });
  it('units chosen on the bench hold on the shelf, and store nothing', async () => {
    const kept = new KeptJob();
    const user = await openPage('/jobs/shed/size', kept);
    const before = kept.document;
    await press(user, 'Feet and inches');
    expect(head()).include('ft²');
    expect(tape()).include('″');
    await user.click(find('a', /North Pane|shelf/i));
    await soon(() => expect(pageText()).include('Jobs on the shelf'));
    expect(kept.document).equal(before);
    expect(kept.count('POST', 'changes')).equal(0);
  });
  it('each edit is announced once to a screen reader, by what it changed', async () => {
    const user = await openPage();
    await press(user, 'One less: Risers');
    expect(textIn(screen.getByTestId('announcer'))).equal('Risers: 12 to 11');
    await saved();
    expect(textIn(screen.getByTestId('announcer'))).equal('Risers: 12 to 11');
  });
  it('what is half done at a station is there when one comes back, and after the page is loaded again', async () => {
    const kept = new KeptJob();
    const user = await openPage('/jobs/shed/prove', kept);
    await type(user, field('Water in'), '21.5');
    await user.click(find('input[type="radio"]', 'thin cloud'));
    await goTo(user, /Forecast/);
    await type(user, field('Air'), '3');
    await goTo(user, /Size/);
    await user.click(document.querySelector('[data-dimension="riser-clear"]') as Element);
    await press(user, 'From the side');
    await goTo(user, /Prove/);
    expect((field('Water in') as HTMLInputElement).value).match(/^21\.5/);
    await goTo(user, /Forecast/);
    expect((field('Air') as HTMLInputElement).value).match(/^3\.0/);
    await goTo(user, /Size/);
    expect(tape()).include('riser, clear of headers');
    expect(button('From the side').getAttribute('aria-pressed')).equal('true');
    await goTo(user, /Prove/);
    await reloads(kept);
    expect((field('Water in') as HTMLInputElement).value).match(/^21\.5/);
    expect((find('input[type="radio"]', 'thin cloud') as HTMLInputElement).checked).equal(true);
  });
});
