// From nothing in the browser to the first answer on screen.
//   node bench/first.mjs URL PLAN [REFERENCE BAR]: the median in ms, and how it stands to that of another plan
import { chromium } from '@playwright/test';

const [, , base, plan, reference, bar] = process.argv;
const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--no-first-run'],
});
const times = [];
for (let i = 0; i < 9; i++) {
    // Each time with an empty cache.
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const page = await context.newPage();
    const start = performance.now();
    await page.goto(`${base}/?to=%2B441632960110&at=2026-11-23T10:30:00`, { waitUntil: 'commit' });
    await page.locator('.answer .sentence .ending').waitFor();
    if (i >= 2) times.push(performance.now() - start);
    await context.close();
}
await browser.close();
times.sort((a, b) => a - b);
const median = times[Math.floor(times.length / 2)];
console.log(`first   ${plan}: from an empty browser to the first answer: median ${median.toFixed(0)} ms`);
if (reference)
    console.log(
        `first   ${plan}: ${(median / Number(reference)).toFixed(2)} × the demo's, bar ${bar}: ${median <= bar * Number(reference) ? 'met' : 'MISSED'}`,
    );
