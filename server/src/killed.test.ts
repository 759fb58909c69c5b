import { randomUUID } from 'node:crypto';
import type { ShopEvent } from '@north-pane/core/shoplog';
import { expect } from 'chai';
import { emptyDatabase, freePort, startServer } from './testing';

describe('server: killed at random moments while two hands work', function () {
  this.timeout(120_000);

  it('has every edit that it answered for, each once, and every event of the shop once', async () => {
    const { url, drop } = await emptyDatabase();
    const port = await freePort();
    let child = await startServer(url, port);
    const call = async (path: string, json: unknown): Promise<{ status: number; body: Record<string, unknown> }> => {
      const answer = await fetch(`http://127.0.0.1:${port}${path}`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(json),
        signal: AbortSignal.timeout(5000),
      });
      return { status: answer.status, body: (await answer.json()) as Record<string, unknown> };
    };
    /** Sends until it is answered, as a browser does: the same save, the same events. */
    const insist = async (path: string, json: unknown) => {
      for (;;) {
        try {
          const { status, body } = await call(path, json);
          if (status < 500) return { status, body };
        } catch {
          // No answer: it may have been written or not.
        }
        await new Promise((resolve) => setTimeout(resolve, 30));
      }
    };
    await call('/api/jobs', { name: 'Shed', family: 'harp', units: 'metric' });
    let working = true;
    let resent = 0;
    const done = { pitch: 0, aim: 0 };
    const hand = async (who: keyof typeof done, path: string[], values: (round: number) => unknown, first: unknown) => {
      let before = first;
      let base = 1;
      let round = 0;
      for (; working; round += 1, done[who] += 1) {
        const after = values(round);
        const save = { base, save: randomUUID(), changes: [{ path, before, after }] };
        const { status, body } = await insist('/api/jobs/shed/changes', save);
        expect(status, JSON.stringify(body)).equal(200);
        // Once more, as when the answer is lost: nothing is laid on twice.
        if (round % 3 === 0) {
          resent += 1;
          expect((await insist('/api/jobs/shed/changes', save)).status).equal(200);
        }
        base = body.version as number;
        before = after;
      }
      return { rounds: round, last: before };
    };
    const events: string[] = [];
    const saw = async (device: string) => {
      while (working) {
        const id = randomUUID();
        events.push(id);
        const event = { kind: 'made', part: 'panel-a/riser', count: 1, id, at: new Date().toISOString(), device };
        expect((await insist('/api/jobs/shed/events', { events: [event] })).status).equal(200);
      }
    };
    const work = Promise.all([
      hand('pitch', ['heaters', 'panel-a', 'parameters', 'pitch'], (round) => 0.08 + (round % 400) / 10_000, 0.089),
      hand('aim', ['site', 'standing', 'aim'], (round) => (round % 359) + 0.5, 180),
      saw('phone'),
      saw('laptop'),
    ]);
    for (const wait of [350, 120, 700, 40, 500]) {
      await new Promise((resolve) => setTimeout(resolve, wait));
      child.removeAllListeners('exit');
      child.kill('SIGKILL');
      child = await startServer(url, port);
    }
    // However slow the machine is, both have worked through a death of the server.
    while (Math.min(done.pitch, done.aim) < 12) await new Promise((resolve) => setTimeout(resolve, 50));
    working = false;
    const [pitch, aim] = await work;
    const job = (await (await fetch(`http://127.0.0.1:${port}/api/jobs/shed`)).json()) as {
      version: number;
      document: { heaters: Record<string, { parameters: { pitch: number } }>; site: { standing: { aim: number } } };
    };
    expect(job.document.heaters['panel-a']?.parameters.pitch).equal(pitch.last);
    expect(job.document.site.standing.aim).equal(aim.last);
    // Every save counts one version, however often it was sent.
    expect(job.version).equal(1 + pitch.rounds + aim.rounds);
    expect(resent).above(3);
    const log: ShopEvent[] = [];
    for (let after = 0, more = true; more; ) {
      const page = (await (await fetch(`http://127.0.0.1:${port}/api/jobs/shed/events?after=${after}`)).json()) as {
        events: ShopEvent[];
        seq: number;
        more: boolean;
      };
      log.push(...page.events);
      ({ seq: after, more } = page);
    }
    expect(log.map(({ id }) => id).sort()).deep.equal([...events].sort());
    child.removeAllListeners('exit');
    child.kill('SIGKILL');
    await drop();
  });
});
