// Thousands of numbers in one table: opening it, scrolling through it, and pointing 200 of them elsewhere.
//   node bench/numbers.mjs URL BAR: how many empty requests with a frame opening may take
import { chromium } from '@playwright/test';

const [, , base, bar] = process.argv;
const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--no-first-run'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const at = (part, times) => times.toSorted((a, b) => a - b)[Math.floor(part * (times.length - 1))];
await page.goto(`${base}/sites?to=%2B441632960110&at=2026-11-23T10:30:00`);
await page.waitForLoadState('networkidle');
const opened = [];
for (let i = 0; i < 7; i++) {
    const took = await page.evaluate(
        () =>
            new Promise((resolve) => {
                const start = performance.now();
                new MutationObserver((_, observer) => {
                    if (!document.querySelector('main table tbody tr[data-row-key]')) return;
                    observer.disconnect();
                    requestAnimationFrame(() => resolve(performance.now() - start));
                }).observe(document.body, { subtree: true, childList: true });
                document.querySelector('.rail a[href^="/all-numbers"]').click();
            }),
    );
    if (i >= 2) opened.push(took);
    // Its answers come in the background, and are no part of this.
    await page.waitForTimeout(i === 0 ? 20_000 : 200);
    await page.evaluate(() => document.querySelector('.rail a[href^="/sites"]').click());
    await page.waitForTimeout(300);
}
await page.evaluate(() => document.querySelector('.rail a[href^="/all-numbers"]').click());
await page.waitForTimeout(20_000);
const frames = await page.evaluate(async () => {
    const list = document.querySelector('main .ant-table-body') ?? document.scrollingElement;
    const gaps = [];
    let last = performance.now();
    for (let i = 0; i < 120; i++) {
        list.scrollTop += 120;
        await new Promise(requestAnimationFrame);
        const now = performance.now();
        gaps.push(now - last);
        last = now;
    }
    return gaps;
});
const empty = await page.evaluate(async () => {
    const took = [];
    for (let i = 0; i < 40; i++) {
        const start = performance.now();
        await (await fetch('/api/up')).json();
        await new Promise((resolve) => requestAnimationFrame(resolve));
        took.push(performance.now() - start);
    }
    return took.sort((a, b) => a - b)[20];
});
const plan = await (await page.request.get(`${base}/api/plans/draft/outline`)).json();
const numbers = plan.elements.filter((one) => one.kind === 'number' && one.id.startsWith('num_more'));
const ids = numbers.slice(0, 200).map((one) => one.id);
const start = performance.now();
const answer = await page.request.post(`${base}/api/plans/draft/numbers`, {
    data: { ids, change: { target: 'jrn_bookings' } },
});
const pointed = performance.now() - start;
if (!answer.ok()) throw new Error(await answer.text());
await browser.close();
const open = at(0.5, opened);
console.log(
    `numbers ${numbers.length} in one table: from the click to its rows: median ${open.toFixed(0)} ms, ${(open / empty).toFixed(1)} × frame (${empty.toFixed(0)} ms), bar ${bar}: ${open <= bar * empty ? 'met' : 'MISSED'}`,
);
const slowest = Math.max(...frames);
console.log(
    `numbers scrolling: median ${at(0.5, frames).toFixed(0)} ms a frame, slowest of ${frames.length} ${slowest.toFixed(0)} ms, bar 50 ms: ${slowest <= 50 ? 'met' : 'MISSED'}`,
);
console.log(
    `numbers 200 pointed elsewhere as one edit: ${pointed.toFixed(0)} ms, bar 1000 ms: ${pointed <= 1000 ? 'met' : 'MISSED'}`,
);
