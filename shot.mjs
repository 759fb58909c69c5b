import { chromium } from '@playwright/test';
import { chromiumLaunch } from './scripts/lib/browser.mjs';
const [, , name, path, w = '1280', h = '800', act] = process.argv;
const b = await chromium.launch(chromiumLaunch ?? {});
const p = await b.newPage({ viewport: { width: +w, height: +h } });
await p.goto('http://localhost:4311' + path);
await p.waitForTimeout(4000);
if (act) { const f = new Function('page', `return (async()=>{${act}})()`); await f(p); await p.waitForTimeout(1500); }
await p.screenshot({ path: `/tmp/shots/${name}.png` });
await b.close();
