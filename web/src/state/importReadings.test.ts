import { createServer, type Server, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { expect } from 'chai';
import { type ImportReport, importReadings } from './importReadings';

const report: ImportReport = {
  kept: true,
  added: 2,
  known: 0,
  doubtful: 0,
  differing: { count: 0, times: [] },
  refused: { count: 1, lines: [{ line: 3, reason: 'time “März” is not written as 2026-02-09 11:42' }] },
};
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

describe('state: a file of readings on its way', () => {
  let server: Server;
  let answer: (response: ServerResponse) => unknown = () => undefined;
  let gone = 0;
  const ownFetch = globalThis.fetch;

  before(async () => {
    server = createServer((request, response) => {
      request.resume();
      response.on('close', () => {
        if (!response.writableFinished) gone += 1;
      });
      void answer(response);
    });
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    const origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
    // What the page asks its own server for goes to this one.
    globalThis.fetch = (address, options) => {
      const { pathname, search } = new URL(String(address), 'http://localhost');
      return ownFetch(new URL(pathname + search, origin), options);
    };
  });
  after(async () => {
    globalThis.fetch = ownFetch;
    server.closeAllConnections();
    await new Promise((resolve) => server.close(resolve));
  });

  const send = (onProgress: (percent: number) => void = () => {}, stop = new AbortController()) =>
    importReadings(
      'shed',
      {
        text: 'time,in\n',
        mapping: { time: { column: 'time', zone: 'utc' }, columns: {} },
        source: 'logger',
        sensors: { thermometers: 'glass', flow: 'meter', sun: 'pyranometer' },
        keep: 'good rows',
      },
      { onProgress, signal: stop.signal },
    );
  const refusal = async (sending: Promise<unknown>): Promise<{ status: number; message: string }> =>
    sending.then(
      () => {
        throw new Error('it was taken');
      },
      (error) => ({ status: error.status, message: error.message }),
    );

  it('reads lines however the network cuts them, in the middle of a letter too', async () => {
    answer = async (response) => {
      const bytes = Buffer.from(`{"percent":10}\n\n{"percent":60}\n${JSON.stringify({ report })}\n`);
      response.writeHead(200, { 'content-type': 'application/x-ndjson' });
      // Every third byte by itself: some cuts fall inside “ä”.
      for (let at = 0; at < bytes.length; at += 3) {
        response.write(bytes.subarray(at, at + 3));
        if (at % 30 === 0) await pause(1);
      }
      response.end();
    };
    const told: number[] = [];
    expect(await send((percent) => told.push(percent))).deep.equal(report);
    expect(told).deep.equal([10, 60]);
  });
  it('tells a refusal in the server’s words, whether it comes at once or on the way', async () => {
    answer = (response) => {
      response.writeHead(413, { 'content-type': 'application/json' });
      response.end('{"message":"The file is larger than 25 MB."}');
    };
    expect(await refusal(send())).deep.equal({ status: 413, message: 'The file is larger than 25 MB.' });
    answer = (response) =>
      response.end('{"percent":40}\n{"message":"The disk of the database is full.","status":507}\n');
    expect(await refusal(send())).deep.equal({ status: 507, message: 'The disk of the database is full.' });
    answer = (response) => {
      response.writeHead(502);
      response.end('<html>');
    };
    expect(await refusal(send())).deep.equal({ status: 502, message: 'The server answered 502.' });
  });
  it('does not take an answer that breaks off for a report', async () => {
    answer = (response) => response.end('{"percent":40}\n{"report":{"kept":tr');
    expect((await refusal(send())).message).match(/broke off\. Nothing was kept unless/);
  });
  it('says that nothing was kept when it is stopped, and the server sees it go', async () => {
    answer = (response) => {
      response.write('{"percent":40}\n');
    };
    const stop = new AbortController();
    const seen = gone;
    const sending = refusal(send(() => stop.abort(), stop));
    expect(await sending).deep.equal({ status: 0, message: 'Stopped; nothing was kept.' });
    for (let tries = 0; tries < 100 && gone === seen; tries += 1) await pause(10);
    expect(gone).equal(seen + 1);
  });
  it('asks whether the server runs when nobody answers', async () => {
    answer = (response) => response.socket?.destroy();
    expect((await refusal(send())).message).match(/does not answer/);
  });
});
