// The ring chart while a bar is dragged: from the hand's move to the chart that the server worked out anew. And lists of
// 2,000 people: scrolling through all of them, and searching.
import { chromium } from '@playwright/test';

const base = process.argv[2];
const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--no-first-run'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const at = (part, times) => times.toSorted((a, b) => a - b)[Math.floor(part * (times.length - 1))];

await page.goto(`${base}/people/per_ines?to=205&at=2026-11-23T10:30:00`);
const handle = page.getByRole('slider', { name: 'Mobile begins to ring, stage 2' });
await handle.scrollIntoViewIfNeeded();
const box = await handle.boundingBox();
const track = await handle.locator('xpath=..').boundingBox();
const y = box.y + box.height / 2;
const perSecond = (box.x + box.width / 2 - track.x) / 10;
await page.mouse.move(box.x + box.width / 2, y);
await page.mouse.down();
await page.evaluate(() => {
    window.taken = [];
    document.addEventListener(
        'pointermove',
        () => {
            window.moved ??= performance.now();
        },
        true,
    );
    new MutationObserver(() => {
        const text = [...document.querySelectorAll('.rings .outcome')].map((one) => one.textContent).join();
        if (text === window.outcomes) return;
        window.outcomes = text;
        if (window.moved !== undefined) window.taken.push(performance.now() - window.moved);
        window.moved = undefined;
    }).observe(document.querySelector('.rings'), { subtree: true, childList: true, characterData: true });
});
for (let i = 0; i < 40; i++) {
    await page.mouse.move(track.x + perSecond * (1 + ((i * 7) % 26)), y);
    await page.waitForTimeout(180);
}
await page.mouse.up();
const drags = (await page.evaluate(() => window.taken)).slice(3);
console.log(
    `drag    from a move of the hand to the new chart: median ${at(0.5, drags).toFixed(0)} ms, p95 ${at(0.95, drags).toFixed(0)} ms, ${drags.length} moves (bar 100 ms)`,
);

const text = [
    'name,extension,desk',
    ...Array.from({ length: 2000 }, (_, i) => `Crew ${String(i).padStart(4, '0')},${10000 + i},Desk`),
].join('\r\n');
const brought = Date.now();
const answer = await page.request.post(`${base}/api/plans/draft/people`, { data: { text } });
if (!answer.ok()) throw new Error((await answer.text()).slice(0, 500));
console.log(`people  2,000 from a file, as one edit: ${Date.now() - brought} ms`);
await page.goto(`${base}/people?to=205&at=2026-11-23T10:30:00`);
await page.waitForFunction(() => document.querySelectorAll('.list li').length >= 15);
const frames = await page.evaluate(async () => {
    const list = [
        document.querySelector('.list ul'),
        document.querySelector('.list'),
        document.querySelector('main'),
        document.scrollingElement,
    ].find(
        (one) =>
            one &&
            one.scrollHeight > one.clientHeight + 100 &&
            /auto|scroll/.test(getComputedStyle(one).overflowY + (one === document.scrollingElement ? 'auto' : '')),
    );
    const gaps = [];
    let last = performance.now();
    for (let i = 0; i < 120; i++) {
        list.scrollTop += 600;
        await new Promise(requestAnimationFrame);
        const now = performance.now();
        gaps.push(now - last);
        last = now;
    }
    return gaps;
});
const searches = [];
for (const word of ['crew 0', 'crew 1999', '11234', 'ines', 'crew']) {
    searches.push(
        await page.evaluate(async (wanted) => {
            const input = document.querySelector('input[aria-label="Search people"]');
            const start = performance.now();
            Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(input, wanted);
            input.dispatchEvent(new Event('input', { bubbles: true }));
            await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)));
            return performance.now() - start;
        }, word),
    );
}
console.log(
    `people  scrolling through 2,000: median ${at(0.5, frames).toFixed(0)} ms a frame, p95 ${at(0.95, frames).toFixed(0)} ms; a search: slowest of ${searches.length} ${Math.max(...searches).toFixed(0)} ms`,
);
await browser.close();
