import { defaultJob } from '@north-pane/core/document';
import type { ShopEvent } from '@north-pane/core/shoplog';
import { act, fireEvent } from '@testing-library/react';
import { expect } from 'chai';
import { record, useJob } from '../state/job';
import { useLine } from '../state/sync/line';
import { sendLeft, sendOrphans } from '../state/sync/orphans';
import { allPersisted, persistState } from '../state/sync/persisted';
import { unsaved } from '../state/sync/state';
import { tabName } from '../state/sync/tab';
import { goTo, KeptJob, openPage, reloads, saved } from './page.fixture';
import { button, choose, field, leaveStation, pageText, press, refusal, rest, serve, soon } from './station.fixture';

const set = async (path: string, value: unknown) => {
  await act(async () => {
    expect(useJob.getState().change(path, value)).deep.equal({ ok: true });
  });
};
const risers = (job = useJob.getState().document) => job?.heaters['panel-a']?.parameters.riserCount;
const count = 'heaters.panel-a.parameters.riserCount';
const tick = (id: string): ShopEvent => ({
  kind: 'made',
  part: 'panel-a/riser',
  count: 1,
  id,
  at: '2026-06-21T12:00:00.000Z',
  device: 'phone',
});

/** Locks as a browser has them, as far as windows ask for them: which names are held. */
class Locks {
  held = new Set<string>();
  async request(name: string, options: unknown, work?: (lock: unknown) => unknown): Promise<unknown> {
    const run = (work ?? options) as (lock: unknown) => unknown;
    if (this.held.has(name)) return run(null);
    this.held.add(name);
    try {
      return await run({ name });
    } finally {
      this.held.delete(name);
    }
  }
  query() {
    return Promise.resolve({ held: [...this.held].map((name) => ({ name })), pending: [] });
  }
}

/** A page with nine risers saved, loaded again after the server was put back to the copy from before. */
async function putBack() {
  const kept = new KeptJob();
  const user = await openPage('/jobs/shed/size', kept);
  await set(count, 9);
  await saved();
  const older = new KeptJob();
  older.key = kept.key;
  await reloads(older);
  return { user, older };
}

describe('web: what a window has of a job', () => {
  afterEach(leaveStation);

  it('is not shown for another job that has the name now, and nothing of it is written there', async () => {
    const first = new KeptJob();
    await openPage('/jobs/shed/size', first);
    serve({
      ...first.answers(),
      '/jobs/shed/changes': () => refusal(503, 'silent'),
      '/jobs/shed/events': () => refusal(503, 'silent'),
    });
    await set(count, 9);
    await act(async () => record([{ kind: 'made', part: 'panel-a/riser', count: 2 }]));
    await soon(() => expect(useJob.getState().sync?.link).equal('lost'));
    const second = new KeptJob();
    await reloads(second);
    expect(risers()).equal(12);
    expect(useJob.getState().shop.made).deep.equal({});
    await rest();
    expect([second.version, second.events.length]).deep.equal([1, 0]);
  });
  it('is asked about where the server was put back to an older copy, and this window’s goes on when that is chosen', async () => {
    const { user, older } = await putBack();
    expect(pageText()).match(/older copy of this job/);
    expect(risers()).equal(9);
    await set('heaters.panel-a.parameters.pitch', 0.1);
    await rest();
    expect(older.count('POST', '/changes')).equal(0);
    await press(user, /^Use this window’s copy/);
    await saved();
    expect(risers(older.document)).equal(9);
    expect(older.document.heaters['panel-a']?.parameters.pitch).equal(0.1);
    expect(pageText()).not.match(/older copy/);
  });
  it('gives way to the server’s older copy when that is chosen, and can stay as a job of its own', async () => {
    const { user, older } = await putBack();
    const made: unknown[] = [];
    serve(
      older.answers({
        '/api/jobs': ({ body }: { body: unknown }) => {
          made.push(body);
          return { id: 'shed-2', version: 1 };
        },
      }),
    );
    await press(user, /^Use the server’s, and save this one as a new job/);
    await soon(() => expect(risers()).equal(12));
    expect(made).length(1);
    expect(risers((made[0] as { document: ReturnType<typeof defaultJob> }).document)).equal(9);
    expect(unsaved(useJob.getState().sync as never)).equal(0);
  });
  it('names what the server does not take of what was done, and keeps the rest', async () => {
    const kept = new KeptJob();
    await openPage('/jobs/shed/cut', kept);
    const answer = () => ({
      added: 1,
      seq: 1,
      refused: [{ id: 'bad', index: 0, path: 'part', message: 'no such part' }],
    });
    serve({ ...kept.answers(), '/jobs/shed/events': answer });
    await act(async () => useJob.getState().give({ kind: 'record', events: [tick('bad'), tick('good')] }));
    await soon(() => expect(pageText()).match(/did not take a piece that was ticked: no such part/));
    expect(useJob.getState().sync?.log.map(({ id }) => id)).deep.equal(['good']);
  });
  it('is said to be saved while other screens are not heard, and not that they are', async () => {
    await openPage('/jobs/shed/size');
    expect(pageText()).not.match(/do not arrive/);
    await act(async () => useLine.setState({ open: false }));
    try {
      // It is not said of a server that is only started again.
      expect(pageText()).not.match(/do not arrive/);
      await act(() => new Promise((resolve) => setTimeout(resolve, 120)));
      expect(pageText()).match(/other screens do not arrive/);
    } finally {
      await act(async () => useLine.setState({ open: true }));
    }
    expect(pageText()).not.match(/do not arrive/);
  });
  it('is sent after the window is closed, though its job is open nowhere; what somebody must choose about waits', async () => {
    const locks = new Locks();
    const own = Object.getOwnPropertyDescriptor(window.navigator, 'locks');
    Object.defineProperty(window.navigator, 'locks', { value: locks, configurable: true });
    try {
      const kept = new KeptJob();
      await openPage('/jobs/shed/size', kept);
      serve({ ...kept.answers(), '/jobs/shed/changes': () => refusal(503, 'silent') });
      await set(count, 9);
      await soon(() => expect(useJob.getState().sync?.link).equal('lost'));
      const state = useJob.getState().sync;
      if (!state) throw new Error('no job is open');
      const job = { id: 'shed', key: kept.key };
      const conflict = { path: ['name'], yours: 'mine', theirs: 'theirs' };
      await persistState(job, 'closed', state);
      await persistState(job, 'asked', { ...state, contested: [conflict] });
      await persistState(job, await tabName(), { ...state, document: state.base.document, sent: undefined });
      leaveStation();
      serve(kept.answers());
      await sendOrphans();
      expect(risers(kept.document)).equal(9);
      const left = (await allPersisted()).map(({ tab }) => tab);
      expect(left).include('asked').and.not.include('closed');
    } finally {
      if (own) Object.defineProperty(window.navigator, 'locks', own);
      else delete (window.navigator as { locks?: unknown }).locks;
    }
  });
});

describe('web: what a window left unsent at a job', () => {
  afterEach(leaveStation);
  it('is sent while it looks at the shelf, once the server answers; a job that is looked at sends for itself', async () => {
    const kept = new KeptJob();
    await openPage('/jobs/shed/size', kept);
    serve({ ...kept.answers(), '/jobs/shed/changes': () => refusal(503, 'silent') });
    await set(count, 9);
    await soon(() => expect(useJob.getState().sync?.link).equal('lost'));
    await sendLeft();
    expect(risers(kept.document)).not.equal(9);
    leaveStation();
    serve(kept.answers());
    await rest();
    await sendLeft();
    expect(risers(kept.document)).equal(9);
    // It can be undone still when the job is opened again.
    await reloads(kept, '/jobs/shed/size');
    expect(useJob.getState().sync?.past.length).above(0);
  });
});

describe('web: what is sent for jobs that nobody looks at', () => {
  afterEach(leaveStation);
  it('is what stands there when its turn comes: an edit made while another job was being sent is not written over', async () => {
    const kept = new KeptJob();
    await openPage('/jobs/shed/size', kept);
    serve({ ...kept.answers(), '/jobs/shed/changes': () => refusal(503, 'silent') });
    await set(count, 9);
    await soon(() => expect(useJob.getState().sync?.link).equal('lost'));
    const early = useJob.getState().sync;
    await set('name', 'Later');
    const later = useJob.getState().sync;
    if (!early || !later) throw new Error('no job is open');
    leaveStation();
    await rest();
    const tab = await tabName();
    const shed = { id: 'shed', key: kept.key };
    // Before it stands another job, whose server takes its time.
    const slow = { id: 'slow', key: '00000000-0000-4000-8000-000000000000' };
    let answer = (_: Response) => {};
    serve({
      ...kept.answers(),
      '/jobs/slow/changes': () =>
        new Promise<Response>((resolve) => {
          answer = resolve;
        }),
    });
    await persistState(slow, tab, early);
    await persistState(shed, tab, early);
    const sent = sendLeft();
    await rest();
    // Both windows of the round: a second one begun meanwhile waits for nothing and spoils nothing.
    await sendLeft();
    await persistState(shed, tab, later);
    answer(refusal(503, 'silent'));
    await sent;
    expect(kept.document.name).equal('Later');
    expect(risers(kept.document)).equal(9);
    const left = (await allPersisted()).find(({ job }) => job.key === kept.key);
    expect(left?.state.document.name).equal('Later');
  });
});

describe('web: what is typed and not left yet', () => {
  afterEach(leaveStation);
  const typeName = async (user: Awaited<ReturnType<typeof openPage>>, text: string) => {
    const field = [...document.querySelectorAll('input')].find((one) =>
      one.labels?.[0]?.textContent?.match(/Project name/),
    );
    if (!field) throw new Error('no field for the name');
    await user.clear(field);
    await user.type(field, text);
    return field;
  };

  it('is kept when the page is loaded again', async () => {
    const kept = new KeptJob();
    const user = await openPage('/jobs/shed/place', kept);
    await typeName(user, 'Wash-house');
    expect(useJob.getState().document?.name).not.equal('Wash-house');
    await reloads(kept);
    expect(useJob.getState().document?.name).equal('Wash-house');
  });
  it('is kept when one goes to another station, and dropped by Escape', async () => {
    const kept = new KeptJob();
    const user = await openPage('/jobs/shed/place', kept);
    await typeName(user, 'Barn');
    await goTo(user, /Build/);
    expect(useJob.getState().document?.name).equal('Barn');
    await goTo(user, /Place/);
    await typeName(user, 'Nothing');
    await user.keyboard('{Escape}');
    await goTo(user, /Build/);
    expect(useJob.getState().document?.name).equal('Barn');
  });
});

describe('web: a dialog', () => {
  afterEach(leaveStation);
  it('has the focus in what is filled in first, and is closed by Back', async () => {
    const user = await openPage('/');
    await press(user, /^Begin/);
    await soon(() => expect((document.activeElement as HTMLInputElement).name).equal('name'));
    await user.keyboard('Wash-house x');
    expect((document.activeElement as HTMLInputElement).value).equal('Wash-house x');
    await act(async () => {
      window.history.back();
      await new Promise((resolve) => setTimeout(resolve, 50));
    });
    await soon(() => expect(document.querySelector('[role=dialog]')).equal(null));
    expect(button(/^Begin/)).not.equal(null);
  });
});

describe('web: somebody who has built one already', () => {
  afterEach(leaveStation);
  it('goes from the shelf to its kind, its sizes and a reading', async () => {
    const kept = new KeptJob(defaultJob('spiral'));
    const begun: unknown[] = [];
    const jobs = ({ method, body }: { method: string; body: unknown }) => {
      if (method !== 'POST') return { jobs: [], more: false };
      begun.push(body);
      return { id: 'shed', version: 1 };
    };
    const user = await openPage('/', kept, { '/api/jobs': jobs });
    await press(user, /^I have already built one/);
    await soon(() => expect((document.activeElement as HTMLInputElement).name).equal('name'));
    await user.keyboard('Old coil');
    await choose('What kind it is', 'Spiral');
    // Enter in the search takes the first town, and in the last field begins the job.
    fireEvent.change(field('Nearest town'), { target: { value: 'wellington, new z' } });
    await soon(() => button(/^Wellington/));
    await press(user, /^Wellington/);
    expect((field('Latitude, longitude') as HTMLInputElement).value).match(/41\.3\d*°\sS/);
    await press(user, 'Begin');
    await soon(() => expect(pageText()).match(/Set the sizes as your heater has them/));
    expect(begun[0]).include({ name: 'Old coil', family: 'spiral' });
    expect((begun[0] as { where: object }).where).include({ zone: 'Pacific/Auckland' });
    await user.click(
      [...document.querySelectorAll('a')].find((one) => /first reading/.test(one.textContent ?? '')) as Element,
    );
    await soon(() => expect(pageText()).match(/Save this reading/));
  });
});
