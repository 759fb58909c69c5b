import { expect } from 'chai';
import { expose } from 'comlink';
import { NotWanted, workerPool } from './pool';

/** What the workers of these tests offer: work that lasts until it is let go. */
class Bench {
  begun: string[] = [];
  made = 0;
  readonly #held = new Map<string, () => void>();
  readonly workers: { die(): void; ended: boolean }[] = [];

  make = (): Worker => {
    const { port1, port2 } = new MessageChannel();
    for (const port of [port1, port2]) (port as unknown as { unref(): void }).unref();
    this.made += 1;
    const works = {
      work: (name: string) =>
        new Promise<string>((resolve) => {
          this.begun.push(name);
          this.#held.set(name, () => resolve(`${name} done`));
        }),
    };
    expose(works, port2 as unknown as Parameters<typeof expose>[1]);
    const errors = new EventTarget();
    const worker = { die: () => errors.dispatchEvent(new Event('error')), ended: false };
    this.workers.push(worker);
    return {
      postMessage: (message: unknown, transfer: Transferable[] = []) => port1.postMessage(message, transfer),
      addEventListener: (kind: string, hear: EventListener) => {
        if (kind !== 'message') errors.addEventListener(kind, hear);
        else {
          port1.addEventListener(kind, hear as never);
          port1.start();
          (port1 as unknown as { unref(): void }).unref();
        }
      },
      removeEventListener: (kind: string, hear: EventListener) => port1.removeEventListener(kind, hear as never),
      terminate: () => {
        worker.ended = true;
        port1.close();
      },
    } as unknown as Worker;
  };
  letGo(name: string) {
    this.#held.get(name)?.();
  }
  async hasBegun(...names: string[]): Promise<void> {
    for (let tries = 0; tries < 200 && !names.every((name) => this.begun.includes(name)); tries += 1)
      await new Promise((resolve) => setTimeout(resolve, 5));
    expect(this.begun).include.members(names);
  }
}
type Works = { work(name: string): string };
const failure = (done: Promise<unknown>) =>
  done.then(
    () => undefined,
    (error: unknown) => error,
  );

describe('workers: a pool', () => {
  it('does as many things at once as it has workers, the first asked first', async () => {
    const bench = new Bench();
    const pool = workerPool<Works>(bench.make, 2);
    const done = ['a', 'b', 'c'].map((name) => pool.call((remote) => remote.work(name)));
    await bench.hasBegun('a', 'b');
    expect(bench.begun).not.include('c');
    bench.letGo('b');
    expect(await done[1]).equal('b done');
    await bench.hasBegun('c');
    bench.letGo('a');
    bench.letGo('c');
    expect(await Promise.all(done)).deep.equal(['a done', 'b done', 'c done']);
    expect(bench.made).equal(2);
  });
  it('never begins what is no longer wanted', async () => {
    const bench = new Bench();
    const pool = workerPool<Works>(bench.make, 1);
    const first = pool.call((remote) => remote.work('first'));
    const unwanted = new AbortController();
    const second = failure(pool.call((remote) => remote.work('second'), unwanted.signal));
    const third = pool.call((remote) => remote.work('third'));
    unwanted.abort();
    expect(await second).instanceOf(NotWanted);
    await bench.hasBegun('first');
    bench.letGo('first');
    await first;
    await bench.hasBegun('third');
    bench.letGo('third');
    expect(await third).equal('third done');
    expect(bench.begun).deep.equal(['first', 'third']);
    const late = failure(pool.call((remote) => remote.work('late'), unwanted.signal));
    expect(await late).instanceOf(NotWanted);
  });
  it('ends the worker of what is no longer wanted where something else waits, and lets it finish where nothing does', async () => {
    const bench = new Bench();
    const pool = workerPool<Works>(bench.make, 1);
    const unwanted = new AbortController();
    const slow = failure(pool.call((remote) => remote.work('slow'), unwanted.signal));
    await bench.hasBegun('slow');
    const next = pool.call((remote) => remote.work('next'));
    unwanted.abort();
    expect(await slow).instanceOf(NotWanted);
    await bench.hasBegun('next');
    expect(bench.workers.map(({ ended }) => ended)).deep.equal([true, false]);
    bench.letGo('next');
    expect(await next).equal('next done');
    const alone = new AbortController();
    const last = failure(pool.call((remote) => remote.work('last'), alone.signal));
    await bench.hasBegun('last');
    alone.abort();
    expect(await last).instanceOf(NotWanted);
    expect(bench.made).equal(2);
  });
  it('goes on with another worker when one dies', async () => {
    const bench = new Bench();
    const pool = workerPool<Works>(bench.make, 1);
    const done = pool.call((remote) => remote.work('twice'));
    await bench.hasBegun('twice');
    bench.begun = [];
    bench.workers[0]?.die();
    await bench.hasBegun('twice');
    bench.letGo('twice');
    expect(await done).equal('twice done');
    expect(bench.made).equal(2);
  });
});
