/** Waits until a page works nothing out any more: it says so itself. */
export async function settled(page) {
  await page.locator('html:not([data-busy])').waitFor({ state: 'attached', timeout: 60_000 });
}

const rail = (page) => page.getByRole('navigation', { name: 'Stations' });

/** Goes to a station by the rail, or by the row that it is on a phone. */
export const openStation = (page, name) =>
  rail(page)
    .getByRole('link', { name: new RegExp(`^\\d+ ${name},`) })
    .click();

/** The stations that work, as the rail of an open job names them. */
export const stationsOf = (page) =>
  rail(page)
    .getByRole('link')
    .evaluateAll((links) =>
      links.map((link) => ({
        id: new URL(link.href).pathname.split('/').pop() ?? '',
        name: /^\d+ (\w+)/.exec(link.ariaLabel ?? '')?.[1] ?? '',
      })),
    );

/** How Debian's Chromium is started: as root or not, and without anything that looks for a network. */
export const chromiumLaunch = {
  executablePath: '/usr/bin/chromium-headless-shell',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    // One renderer for all pages of the server, and none in reserve: a page finds the scripts compiled that the last one ran.
    '--process-per-site',
    '--disable-features=SpareRendererForSitePerProcess,PaintHolding,MediaRouter,HttpsUpgrades,OptimizationHints,Translate,LensOverlay,DestroyProfileOnBrowserClose',
  ],
};
