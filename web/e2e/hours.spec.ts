import { address, choose, saved, sentence, startOver } from './helpers';
import { type APIRequestContext, expect, type Page, test } from './test';

test.beforeEach(({ request }) => startOver(request));
test.afterEach(async ({ request }) => {
    const { on } = await (await request.get('/api/overrides')).json();
    for (const one of on) await request.post(`/api/overrides/${one.id}/lift`, { data: {} });
});

const now = (page: Page) => page.locator('.now');
const forced = (page: Page) => page.getByRole('region', { name: 'Forced hours', exact: true });

test('a week is typed as fast as it is said', async ({ page }) => {
    await page.goto(address('/hours/hrs_lost', { at: '2026-11-24T14:30:00' }));
    await expect(now(page)).toContainText('Closed');
    await page.getByLabel('Type it').focus();
    await page.keyboard.type('tu-th 14-16, 18-20:30 open');
    await expect(page.locator('.week-text .about')).toHaveText('Tue–Thu 14:00–16:00, 18:00–20:30 Open');
    await page.keyboard.press('Enter');
    await saved(page);
    await expect(now(page)).toContainText('The week has it on Tuesday 14:00–16:00');
    await expect(page.getByLabel('Type it')).toHaveValue('');
    await page.keyboard.type('tu 9-25');
    await page.keyboard.press('Enter');
    await expect(page.locator('.week-text .about')).toContainText('There is no time 25');
    await expect(page.getByLabel('Type it')).toHaveValue('tu 9-25');
});

test('a season has its own week; one that overlaps another is refused, and nothing is lost', async ({ page }) => {
    await page.goto(address('/hours/hrs_bookings', { at: '2026-07-07T22:00:00' }));
    await page.getByRole('button', { name: '+ season' }).click();
    await page.getByLabel('Name of the season').fill('Regatta');
    await page.getByLabel('Name of the season').press('Enter');
    await page.getByLabel('Type it').fill('daily 6-23 open');
    await page.getByLabel('Type it').press('Enter');
    await saved(page);
    await expect(now(page)).toContainText('The season “Regatta” has it on Tuesday 06:00–23:00');
    await page.getByLabel('First day of the season').fill('2026-03-15');
    await page.getByLabel('First day of the season').press('Enter');
    await expect(page.locator('.season').getByRole('alert')).toContainText(
        '“Regatta” overlaps “Winter timetable”: both hold 15 March 2026.',
    );
    await expect(page.getByLabel('First day of the season')).toHaveValue('2026-03-15');
    await page.getByLabel('First day of the season').fill('2026-04-15');
    await page.getByLabel('First day of the season').press('Enter');
    await saved(page);
    await page.getByRole('button', { name: 'Remove this season' }).click();
    await saved(page);
    await expect(now(page)).toContainText('No band covers this time');
});

test('a ready-made calendar is added, changed, and kept by hours with an exception', async ({ page }) => {
    await page.goto(address('/holidays'));
    await choose(page, 'Add a ready-made calendar', 'Scotland');
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Holidays: Scotland');
    const ahead = page.getByRole('complementary', { name: 'The next 24 months' });
    await expect(ahead).toContainText('St Andrew’s Day');
    await page.getByLabel('Name of a new holiday').fill('Pancake day');
    await page.getByLabel('Name of a new holiday').press('Enter');
    await choose(page, 'Kind of rule', 'counted from Easter');
    await choose(page, 'Feast', 'Shrove Tuesday');
    await saved(page);
    await expect(ahead).toContainText('Tue 9 FebPancake day');
    await page.getByRole('checkbox', { name: 'only part of the day' }).check();
    await expect(ahead).toContainText('Pancake day 13:00–24:00');
    await ahead
        .getByRole('button', { name: /Pancake day/ })
        .first()
        .click();
    await expect(page.getByLabel('Date', { exact: true })).toHaveValue('2027-02-09');

    await page.goto(address('/hours/hrs_lost', { at: '2026-11-30T10:00:00' }));
    await expect(now(page)).toContainText('The week has it on Monday');
    await choose(page, 'Keep another holiday calendar', 'Scotland');
    await expect(now(page)).toContainText('St Andrew’s Day (Mon 30 Nov 2026) is a holiday of Holidays: Scotland');
    await page.getByRole('button', { name: 'no exceptions' }).last().click();
    await choose(page, 'State on St Andrew’s Day', 'not kept here');
    await saved(page);
    await expect(now(page)).toContainText('The week has it on Monday');
});

test('an impossible or dated rule is pointed out', async ({ page }) => {
    await page.goto(address('/holidays/cal_house', { at: '2028-02-01T10:00:00' }));
    await expect(page.getByText('One entry has passed and will not come again: Dry dock')).toBeVisible();
    await page.getByRole('button', { name: 'Remove it' }).click();
    await saved(page);
    await expect(page.locator('.holidays')).not.toContainText('Dry dock');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.locator('.holidays')).toContainText('Dry dock');
});

/** Whatever day it is, the demo must not have a storm today. */
async function withoutSpecialDays(request: APIRequestContext, id: string) {
    const plan = await (await request.get('/api/plans/draft')).json();
    const hours = plan.elements.find((one: { id: string }) => one.id === id);
    const answer = await request.put(`/api/plans/draft/elements/${id}`, {
        data: { ...hours, specialDays: [] },
        headers: { 'If-Match': `"${plan.revisions[id]}"` },
    });
    expect(answer.ok()).toBe(true);
}

const ICS = (lines: string) => ({
    name: 'days.ics',
    mimeType: 'text/calendar',
    buffer: Buffer.from(`BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:test\r\n${lines}END:VCALENDAR\r\n`),
});

test('a calendar file is looked at first, then taken over; a bad one changes nothing', async ({ page }) => {
    await page.goto(address('/holidays/cal_house'));
    const file = page.getByLabel('Calendar file');
    await file.setInputFiles(
        ICS(
            'BEGIN:VEVENT\r\nUID:1\r\nDTSTAMP:20260101T000000Z\r\nDTSTART;VALUE=DATE:20270504\r\nSUMMARY:Quay day\r\nRRULE:FREQ=YEARLY\r\nEND:VEVENT\r\nBEGIN:VEVENT\r\nUID:2\r\nDTSTAMP:20260101T000000Z\r\nDTSTART;VALUE=DATE:20270505\r\nSUMMARY:Called off\r\nSTATUS:CANCELLED\r\nEND:VEVENT\r\n',
        ),
    );
    const dialog = page.getByRole('dialog');
    await expect(dialog).toContainText('Quay day (every 4 May)');
    await expect(dialog).toContainText('Called off: it is cancelled');
    await expect(page.locator('.holidays')).not.toContainText('Quay day');
    await dialog.getByRole('button', { name: 'Take over 1' }).click();
    await saved(page);
    await expect(page.locator('.holidays')).toContainText('Quay day');
    await file.setInputFiles(
        ICS('BEGIN:VEVENT\r\nUID:3\r\nDTSTART;TZID=Mars/Olympus:20270504T090000\r\nSUMMARY:Launch\r\nEND:VEVENT\r\n'),
    );
    await expect(page.getByRole('alert').first()).toContainText(
        '“Launch” (line 4): its time zone (TZID) “Mars/Olympus” is not known',
    );
});

test('a calendar that is taken away and brought in again changes nothing', async ({ page, request }) => {
    await page.goto(address('/holidays/cal_england'));
    const [download] = await Promise.all([
        page.waitForEvent('download'),
        page.getByRole('link', { name: 'Take away as .ics' }).click(),
    ]);
    expect(download.suggestedFilename()).toBe('bank-holidays-england.ics');
    await page.getByLabel('Calendar file').setInputFiles(await download.path());
    await expect(page.getByRole('dialog')).toContainText('Already so (8)');
    await expect(page.getByRole('button', { name: 'Nothing to take over' })).toBeDisabled();
    const subscribed = await request.get(await page.getByLabel('Address to subscribe to').inputValue());
    expect(subscribed.headers()['content-type']).toContain('text/calendar');
    expect(await subscribed.text()).toContain('SUMMARY:Good Friday');
});

test('a file becomes special days of hours', async ({ page }) => {
    await page.goto(address('/hours/hrs_lost', { at: '2026-12-05T11:00:00' }));
    await page
        .getByLabel('Calendar file')
        .setInputFiles(
            ICS(
                'BEGIN:VEVENT\r\nUID:1\r\nDTSTAMP:20260101T000000Z\r\nDTSTART:20261205T100000\r\nDTEND:20261205T120000\r\nSUMMARY:Open Saturday\r\nX-MEANDROS-STATE:open\r\nEND:VEVENT\r\n',
            ),
        );
    await page.getByRole('button', { name: 'Take over 1' }).click();
    await expect(now(page)).toContainText('the special day “Open Saturday”', { ignoreCase: true });
});

test('hours are forced by keyboard, seen on every screen, and lifted', async ({ page, request }) => {
    await withoutSpecialDays(request, 'hrs_port');
    const at = new Date(Date.now() + 60_000).toISOString().slice(0, 19);
    await page.goto(address('/hours/hrs_port', { at, zone: 'UTC', to: '+33261910100' }));
    await expect(now(page)).not.toContainText('Storm');
    await page.getByRole('button', { name: 'Force Port-Saint-Aubert hours into a state' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('Because')).toBeFocused();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('dialog').getByRole('alert').first()).toContainText(
        'This is missing. Enter some text.',
    );
    await page.getByLabel('Because').fill('Force 10, no sailings');
    await choose(page, 'Into the state', 'Storm');
    await page.getByRole('radio', { name: 'a time', exact: true }).check();
    await page.getByLabel('Day it ends').fill('2020-01-01');
    await page.getByRole('button', { name: 'Force it now' }).click();
    await expect(page.getByRole('dialog').getByRole('alert')).toContainText('Wed 1 Jan 2020 18:00 has passed already');
    await page.getByRole('radio', { name: 'somebody lifts it' }).check();
    await page.getByRole('button', { name: 'Force it now' }).focus();
    await page.keyboard.press('Enter');
    await expect(forced(page)).toContainText('forced into Storm by demo: Force 10, no sailings.');
    await expect(forced(page)).toContainText('It outlasts the next opening');
    await expect(now(page)).toContainText('demo forced it', { ignoreCase: true });
    await expect(sentence(page)).toContainText('Port closed by storm');
    await page.getByRole('link', { name: 'Mailboxes' }).click();
    await expect(forced(page)).toBeVisible();
    // The bar, its answer and the banner leave the screen its room.
    expect(await page.locator('.top').evaluate((top) => top.getBoundingClientRect().height)).toBeLessThanOrEqual(150);
    await page.getByRole('link', { name: 'Open now' }).click();
    await expect(page.locator('.board')).toContainText('Storm');
    await page
        .getByRole('button', { name: /Lift what is forced/ })
        .first()
        .focus();
    await page.keyboard.press('Enter');
    await expect(forced(page)).toHaveCount(0);
    await expect(sentence(page)).not.toContainText('Port closed by storm');
    await expect(page.getByRole('region', { name: 'Forced hours, listed' })).toContainText('Lifted by demo');
});

test('a code is dialled on trial, then for good', async ({ page }) => {
    await page.goto(address('/open-now', { to: '*71', from: '204' }));
    await expect(sentence(page)).toContainText('Forces Port-Saint-Aubert hours into “Storm”');
    await expect(forced(page)).toHaveCount(0);
    await page.getByRole('button', { name: 'Do it now, not only on trial' }).click();
    await expect(forced(page)).toContainText('Code *71 dialled from 204');
    await page.goto(address('/open-now', { to: '*70', from: '204' }));
    await page.getByRole('button', { name: 'Do it now, not only on trial' }).click();
    await expect(forced(page)).toHaveCount(0);
    await page.goto(address('/open-now', { to: '*71', from: '+447700900123' }));
    await expect(sentence(page)).toContainText('Tries to force Port-Saint-Aubert hours from outside');
    await expect(page.getByRole('button', { name: 'Do it now, not only on trial' })).toHaveCount(0);
});

test('codes are added, and one that is taken is refused', async ({ page }) => {
    await page.goto(address('/hours/hrs_lost'));
    await page.getByRole('button', { name: 'Add a code' }).click();
    await saved(page);
    await expect(page.getByLabel('Code', { exact: true })).toHaveValue('*20');
    await page.getByLabel('Code', { exact: true }).fill('*71');
    await page.getByLabel('Code', { exact: true }).press('Tab');
    await expect(page.getByRole('alert').first()).toContainText('The code *71 belongs to Port-Saint-Aubert hours.');
});

test('the year is read, clicked, walked through and compared', async ({ page }) => {
    await page.goto(address('/hours/hrs_bookings'));
    await page.getByRole('link', { name: 'Year', exact: true }).click();
    const chart = page.getByRole('application', { name: /^The year 2026/ });
    await expect(chart).toContainText('Mon 23 Nov 2026 10:30 · Open · 08:00–12:00 · Winter timetable');
    await chart.focus();
    for (const key of ['ArrowRight', 'ArrowRight', 'ArrowDown', 'ArrowDown']) await page.keyboard.press(key);
    await expect(chart).toContainText('Wed 25 Nov 2026 11:00');
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('Date', { exact: true })).toHaveValue('2026-11-25');
    const box = await chart.locator('svg').boundingBox();
    if (!box) throw new Error('The chart is not drawn.');
    await page.mouse.click(box.x + box.width / 2, box.y + box.height / 2);
    await expect(page.getByLabel('Date', { exact: true })).toHaveValue(/^2026-0[67]-/);
    await choose(page, 'Compare with', 'Port-Saint-Aubert hours');
    await expect(page.locator('.legend')).toContainText('Only Port-Saint-Aubert hours');
    await page.getByRole('button', { name: 'Year 2027' }).click();
    await expect(page.getByRole('application', { name: /^The year 2027/ })).toBeVisible();
    await page
        .getByRole('button', { name: /Good Friday/ })
        .first()
        .click();
    await expect(page.getByLabel('Date', { exact: true })).toHaveValue('2027-03-26');
});

test('the next changes are listed, and a click goes there', async ({ page }) => {
    await page.goto(address('/hours/hrs_bookings', { at: '2026-12-24T10:00:00', view: 'changes' }));
    const rows = page.locator('.changes tbody tr');
    await expect(rows.nth(1)).toContainText('Thu 24 Dec 2026 13:00');
    await expect(rows.nth(1)).toContainText('Christmas Eve afternoon');
    await rows.nth(2).getByRole('button').click();
    await expect(page.getByLabel('Date', { exact: true })).toHaveValue('2026-12-25');
    await expect(now(page)).toContainText('Christmas Day (Fri 25 Dec 2026) is a holiday of Bank holidays, England');
});

test('why the hours are as they are is one key away', async ({ page }) => {
    await page.goto(address('/people', { at: '2026-12-25T10:00:00' }));
    await expect(sentence(page)).toContainText('Public holiday');
    await page.keyboard.press('w');
    const why = page.getByRole('region', { name: 'Why' });
    await expect(why).toContainText('Christmas Day (Fri 25 Dec 2026) is a holiday of Bank holidays, England');
    await expect(why).toContainText('Then ');
    await page.keyboard.press('Escape');
    await expect(why).toHaveCount(0);
});

test('hours keep a zone of their own', async ({ page }) => {
    await page.goto(address('/hours/hrs_lost', { at: '2026-11-23T08:30:00' }));
    await expect(now(page)).toContainText('Closed');
    await choose(page, 'Keeps the time of', 'Europe/Paris');
    await expect(now(page)).toContainText('09:30 in Europe/Paris');
    await expect(now(page)).toContainText('Open');
});
