import { patient } from '@north-pane/core/fixtures/work';
import { type MaterialPlan, proveMaterial } from '@north-pane/core/shop';
import { expose } from 'comlink';
import { heavy } from './heavy';

/** Which of the long works are done; the others find nothing. */
interface Wanted {
  /** Bands of hundreds of draws, on the bench. */
  bands?: boolean;
}

let wanted: Wanted = {};

/** What the worker of plans offers, with a solver that counts its work; it finds no sizes that waste nothing. */
const cut = {
  prove: async (materials: readonly MaterialPlan[]) => {
    const how = await patient();
    return Promise.all(materials.map((material) => proveMaterial(material, how)));
  },
  points: async () => ({ points: [] }),
};

const works = {
  ...heavy,
  bench: (...given: Parameters<typeof heavy.bench>): ReturnType<typeof heavy.bench> =>
    wanted.bands ? heavy.bench(...given) : { bands: undefined, sections: [], marks: { value: [] } },
};

/** A worker in this process: the same messages, and the same work. */
class WorkerHere extends EventTarget {
  readonly #port: MessagePort;
  constructor(address: URL | string) {
    super();
    const { port1, port2 } = new MessageChannel();
    expose(String(address).includes('heavy') ? works : cut, port2 as unknown as Parameters<typeof expose>[1]);
    this.#port = port1;
    // Neither keeps the tests from ending.
    for (const port of [port1, port2]) (port as unknown as { unref(): void }).unref();
  }
  postMessage(message: unknown, transfer: Transferable[] = []) {
    this.#port.postMessage(message, transfer);
  }
  override addEventListener(kind: string, hear: EventListenerOrEventListenerObject) {
    this.#port.addEventListener(kind, hear);
    this.#port.start();
    // It listens, and does not keep the tests from ending.
    (this.#port as unknown as { unref(): void }).unref();
  }
  override removeEventListener(kind: string, hear: EventListenerOrEventListenerObject) {
    this.#port.removeEventListener(kind, hear);
  }
  terminate() {
    this.#port.close();
  }
}

/** What would go to a worker is done in this process from now on. */
export function workHere(which: Wanted): void {
  wanted = which;
  Object.assign(globalThis, { Worker: WorkerHere });
}
