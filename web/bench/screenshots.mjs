// One picture of each main view from the demo data, for docs/screenshots. Usage: node bench/screenshots.mjs URL FOLDER
import { chromium } from '@playwright/test';

const [base, folder] = process.argv.slice(2);
const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--lang=en-GB', '--disable-gpu', '--disable-background-networking', '--no-first-run'],
});
const moment = 'to=%2B441632960110&at=2026-11-23T12:30:00&keys=3&phones=per_ines%2Fmobile~answers~9';
const quiet = 'to=%2B441632960110&at=2026-11-23T12:30:00';
const views = [
    ['call', `/?${quiet}`, 'light'],
    ['journey', `/journeys/jrn_bookings?${moment}`, 'light'],
    ['callers', `/callers/clr_accounts?to=%2B441632960100&from=%2B33261910777&at=2026-11-23T10:30:00`, 'dark'],
    ['hours', `/hours/hrs_bookings?${quiet}`, 'light'],
    ['holidays', `/holidays/cal_england?${quiet}`, 'light'],
    ['coverage', `/coverage?to=%2B441632960100&at=2026-11-23T12:30:00`, 'light', '.coverage-week'],
    ['expectations', `/expectations/exp_port_sleeps?to=%2B33261910110&at=2026-11-27T20:30:00`, 'light'],
    ['numbers', `/numbers/num_direct?to=%2B441632960201&at=2026-11-23T12:30:00`, 'light', 'text=Somebody’s 11'],
    ['people', `/people/per_ines?to=205&at=2026-11-23T12:30:00`, 'light'],
    ['rings', `/people/per_duty?to=299&at=2026-11-23T12:30:00`, 'light', 'text=Answering rules'],
    ['teams', `/teams/team_freight?to=%2B441632960150&at=2026-11-23T12:30:00`, 'light'],
    [
        'queues',
        `/queues/que_bookings?to=%2B441632960110&from=07700+900123&at=2026-11-23T10:30:00&keys=1&queues=que_bookings~3~90~~~~70~8&phones=per_priya~answers~6`,
        'light',
    ],
    ['map', `/map/num_main?to=%2B441632960100&at=2026-11-23T12:30:00`, 'light'],
    ['prompts', `/prompts/prm_lost_closed?${quiet}`, 'light'],
    ['paper', `/paper?${quiet}`, 'light'],
    ['all-numbers', `/all-numbers?${quiet}`, 'light'],
    ['editions', `/editions?${quiet}`, 'light'],
    ['mailboxes', `/mailboxes/mbx_lost?to=%2B441632960140&at=2026-11-24T12:30:00`, 'light'],
    ['recordings', `/recordings?${quiet}`, 'light'],
];
/** Puts something into an element of the draft; what was there before. */
async function put(id, part) {
    const address = `${base}/api/plans/draft/elements/${id}`;
    const read = await fetch(address);
    const element = await read.json();
    // What was compressed on the way has a weak one.
    const revision = read.headers.get('ETag').replace('W/', '');
    const headers = { 'Content-Type': 'application/json', 'If-Match': revision };
    const written = await fetch(address, { method: 'PUT', headers, body: JSON.stringify({ ...element, ...part }) });
    if (!written.ok) throw new Error(await written.text());
    return Object.fromEntries(Object.keys(part).map((field) => [field, element[field]]));
}

for (const [name, path, colorScheme, until] of views) {
    // What an edit does to callers is seen where there is one.
    const before = name === 'editions' ? await put('team_port', { members: [] }) : null;
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, colorScheme, locale: 'en-GB' });
    await page.goto(base + path);
    await page.locator('.answer .sentence p:not(.quiet)').waitFor();
    await page.waitForLoadState('networkidle');
    await page.waitForTimeout(900);
    await page.getByText('Looking through').first().waitFor({ state: 'detached' });
    if (name === 'paper') {
        await page.getByText('In brief: who answers when').click();
        await page.frameLocator('iframe').getByRole('heading', { name: 'Direct lines (Dana Whitlock)' }).waitFor();
        await page.waitForTimeout(500);
    }
    if (until) await page.locator(until).first().scrollIntoViewIfNeeded();
    await page.screenshot({ path: `${folder}/${name}.png` });
    await page.close();
    if (before) await put('team_port', before);
}
await browser.close();
