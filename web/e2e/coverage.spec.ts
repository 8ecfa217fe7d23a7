import { axeClean } from './axe';
import { address, saved, sentence, startOver } from './helpers';
import { type APIRequestContext, expect, test } from './test';

test.beforeEach(({ request }) => startOver(request));

async function publish(request: APIRequestContext) {
    const { revision } = await (await request.get('/api/plans/draft/pending')).json();
    const headers = { 'If-Match': `"${revision}"` };
    expect((await request.post('/api/editions', { data: { note: 'Hours' }, headers })).status()).toBe(201);
}

const BERTHS = '+441632960290';
test('a year of a number: totals, the picture by mouse and keyboard, and what calls come to', async ({ page }) => {
    await page.goto(address('/coverage', { to: BERTHS, at: '2027-03-31T10:00:00' }));
    await expect(page.getByText('In a usual week somebody may be reached for 48 h')).toBeVisible();
    await expect(page.getByRole('heading', { name: /The week from .*29 Mar/ })).toBeVisible();
    await expect(page.getByText('Mon–Fri 08:30–17:30')).toBeVisible();
    const chart = page.getByRole('application', { name: /The year 2027/ });
    await chart.focus();
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(/at=2027-03-31T10%3A15/);
    await page.getByRole('img', { name: /Who takes the calls in this week/ }).click({ position: { x: 130, y: 75 } });
    await expect(sentence(page)).toContainText('Hears “Reception closed”');
    await page.getByRole('button', { name: /^Rings / }).click();
    await expect(page).toHaveURL(/at=2027-01-0/);
    await expect(sentence(page)).toContainText(/Rings/);
    await page.getByRole('button', { name: 'Year 2028' }).click();
    await expect(page.getByText(/of 366 days nobody can be reached/)).toBeVisible();
    await axeClean(page, 'main');
});

test('all numbers over the year, the least first', async ({ page }) => {
    await page.goto(address('/coverage', { to: BERTHS, at: '2027-03-31T10:00:00' }));
    await page.getByRole('button', { name: 'Look through all numbers' }).press('Enter');
    const table = page.getByRole('region', { name: 'Numbers and who takes their calls' }).getByRole('table');
    // Of the block eleven people's, and one that stands for those of nobody.
    await expect(table.getByRole('row')).toHaveCount(62);
    await page.reload();
    await expect(table.getByRole('row')).toHaveCount(62);
    await expect(table.getByRole('row').nth(1)).toContainText('0 h');
    await expect(table.getByRole('row', { name: /Berth telephones/ })).toContainText('48 h');
    await table.getByRole('button', { name: 'Show Gare maritime above' }).click();
    await expect(page.getByRole('heading', { name: 'Who takes the calls to Gare maritime' })).toBeVisible();
    await axeClean(page, 'main');
});

test('what an edit does to callers is said while editing, and before publishing', async ({ page }) => {
    await page.goto(address('/hours/hrs_reception', { to: BERTHS, at: '2027-03-31T10:00:00' }));
    await expect(page.getByText(/The draft changes/)).toHaveCount(0);
    await page.getByLabel('Type it').fill('mo-fr 8:30-16 open');
    await page.getByLabel('Type it').press('Enter');
    await saved(page);
    const line = page.getByRole('link', { name: /The draft changes \d+ numbers for callers/ });
    await expect(line).toBeVisible();
    await line.click();
    const impact = page.getByRole('region', { name: 'What it changes for callers' });
    const berths = impact.getByRole('listitem').filter({ hasText: 'Berth telephones' }).first();
    await expect(berths).toContainText('nobody is reached any more');
    await expect(berths).toContainText(/Mon–Fri 16:00–17:30: before: rings .*; now: a message with Reception mailbox/);
    await axeClean(page, 'main');
    await berths.getByRole('button', { name: /^Try / }).first().click();
    // Its first moment: where it is so right now, that is now.
    await expect(page).toHaveURL(/T(16|17)%3A[0-5]\d%3A/);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText('The draft is the same as what is live.')).toBeVisible();
    await expect(page.getByText(/The draft changes/)).toHaveCount(0);
});

test('what only those notice who find a phone busy is looked at on demand', async ({ page, request }) => {
    const plan = await (await request.get('/api/plans/draft')).json();
    const prompt = plan.elements.find((one: { id: string }) => one.id === 'prm_all_busy');
    const edited = await request.put('/api/plans/draft/elements/prm_all_busy', {
        data: { ...prompt, scripts: { ...prompt.scripts, en: 'All of us are on the phone. Please wait a moment.' } },
        headers: { 'If-Match': `"${plan.revisions.prm_all_busy}"` },
    });
    expect(edited.ok()).toBe(true);
    await page.goto(address('/editions', { to: BERTHS }));
    const impact = page.getByRole('region', { name: 'What it changes for callers' });
    await expect(impact).toContainText('In these calls phones ring on.');
    const berths = impact.getByRole('listitem').filter({ hasText: 'Berth telephones' });
    await expect(berths).toHaveCount(0);
    await impact.getByRole('button', { name: 'Look at all numbers whatever phones do' }).press('Enter');
    await expect(berths.first()).toContainText('where every phone is busy', { timeout: 60_000 });
    await expect(impact).toContainText('it was looked at in each case');
    await axeClean(page, 'main');
    await berths.first().getByRole('button', { name: /^Try / }).first().press('Enter');
    await expect(page).toHaveURL(/busy/);
});

test('when somebody is rung, and the year to take away', async ({ page }) => {
    await page.goto(address('/coverage', { to: BERTHS, at: '2027-03-31T10:00:00' }));
    const rung = page.getByRole('region', { name: 'When somebody is rung' });
    await rung.getByRole('combobox').fill('Longstaff');
    await page
        .locator('.ant-select-dropdown:visible .ant-select-item-option', { hasText: 'Longstaff' })
        .first()
        .click();
    await expect(rung.getByText(/of the year, by these numbers/)).toBeVisible();
    const berths = rung.getByRole('listitem').filter({ hasText: 'Berth telephones' });
    await expect(berths).toContainText('While Reception hours are “Open”');
    await expect(berths).toContainText('Mon–Fri 08:30–17:30');
    await axeClean(page, 'main');
    await page.getByRole('button', { name: 'Take away …' }).click();
    const download = page.waitForEvent('download');
    await page.getByRole('link', { name: 'a table of every interval (CSV)' }).click();
    expect((await download).suggestedFilename()).toContain('coverage');
});

test('what going back to an edition changes is shown before it is done', async ({ page, request }) => {
    await page.goto(address('/hours/hrs_reception', { to: BERTHS, at: '2027-03-31T10:00:00' }));
    await page.getByLabel('Type it').fill('mo-fr 8:30-16 open');
    await page.getByLabel('Type it').press('Enter');
    await saved(page);
    await expect(page.getByRole('link', { name: /The draft changes/ })).toBeVisible();
    await publish(request);
    await page.goto(address('/editions', { to: BERTHS }));
    const first = page.getByRole('region', { name: 'Editions' }).getByRole('listitem').filter({ hasText: 'Edition 1' });
    await first.getByRole('button', { name: 'What going back changes' }).press('Enter');
    const impact = page.getByRole('region', { name: 'From what is live to edition 1' });
    await expect(impact.getByRole('listitem').filter({ hasText: 'Berth telephones' }).first()).toContainText(
        'somebody is reached now',
    );
    await axeClean(page, 'main');
    // Other tests compare with the first edition.
    await startOver(request);
    await publish(request);
});

test('who is busy at first answers later in the call', async ({ page }) => {
    await page.goto(address('/', { to: BERTHS, at: '2026-11-23T10:30:00', phones: 'per_reception~busy~' }));
    await expect(sentence(page)).not.toContainText('talks to');
    await page.getByRole('button', { name: /^Assuming/ }).press('Enter');
    await page.getByRole('button', { name: 'Then something else' }).press('Enter');
    const from = page.getByRole('spinbutton', { name: 'Second of the call from which on' });
    await from.fill('0');
    await from.press('Enter');
    await expect(sentence(page)).toContainText('talks to Bea Longstaff');
});

test('every ending of a call, each tried with one click', async ({ page }) => {
    await page.goto(address('/', { to: '+441632960110', at: '2026-11-23T10:30:00' }));
    await page.getByRole('button', { name: 'Show every ending' }).press('Enter');
    const endings = page.getByRole('region', { name: 'Every ending' });
    await expect(endings.getByRole('button', { name: 'Try it at its soonest: Ines Carreira answers' })).toBeVisible();
    await expect(endings.getByText('There are no others')).toBeVisible();
    await axeClean(page);
    await endings.getByRole('button', { name: 'Try it at its soonest: Ines Carreira answers' }).click();
    await expect(sentence(page)).toContainText('talks to Ines Carreira');
    await endings.getByRole('button', { name: 'Try it at its latest: a message with Bookings mailbox' }).press('Enter');
    await expect(sentence(page)).toContainText('waits in Bookings queue');
    await expect(page.getByText('The message is left')).toBeVisible();
    // An agent of the queue is free, and the list stays as it is.
    await endings.getByRole('button', { name: 'Try it at its soonest: Dana Whitlock answers' }).click();
    await expect(sentence(page)).toContainText('talks to Dana Whitlock');
    await expect(endings.getByRole('button', { name: 'Try it at its soonest: Ines Carreira answers' })).toBeVisible();
    await page.goto(address('/', { to: BERTHS, at: '2026-11-23T10:30:00' }));
    await page.getByRole('button', { name: 'Show every ending' }).click();
    await expect(endings.getByText('There are no others')).toBeVisible();
    await page.goto(address('/journeys/jrn_reception', { to: BERTHS, at: '2026-11-23T10:30:00' }));
    await page.getByRole('button', { name: 'What can happen from each step' }).press('Enter');
    const steps = page.getByRole('treegrid').getByRole('row');
    await expect(steps.filter({ hasText: 'Ring Bookings desk' })).toContainText('From here: Dana Whitlock answers');
    await expect(steps.filter({ hasText: 'Say Reception closed' })).toContainText('No call to this number comes here');
    await axeClean(page, 'main');
});

test('a place that is kept ends as late as it is kept; where there may be more, the step says why', async ({
    page,
    request,
}) => {
    await page.goto(address('/', { to: '+441632960110', from: '+441632960555', at: '2026-11-23T10:00:00' }));
    await page.getByRole('button', { name: 'Show every ending' }).click();
    const endings = page.getByRole('region', { name: 'Every ending' });
    await expect(endings.getByText('There are no others')).toBeVisible();
    await endings.getByRole('button', { name: /^Try it at its latest: a place was kept/i }).click();
    await expect(sentence(page)).toContainText('the place in Bookings queue is given up');
    // Calls that come back in by a number of our own, again and again.
    const ring = { id: 's1', do: 'ring', target: '+441632960200', seconds: 20, againMinutes: 1 };
    const data = { kind: 'journey', name: 'Round and round', steps: [ring] };
    const { elements } = await (await request.post('/api/plans/draft/elements', { data })).json();
    const [journey] = Object.keys(elements);
    const plan = await (await request.get('/api/plans/draft')).json();
    const number = plan.elements.find((one: { number?: string }) => one.number === BERTHS);
    const moved = await request.put(`/api/plans/draft/elements/${number.id}`, {
        data: { ...number, target: journey },
        headers: { 'If-Match': `"${plan.revisions[number.id]}"` },
    });
    expect(moved.ok()).toBe(true);
    await page.goto(address('/', { to: BERTHS, at: '2026-11-23T11:00:00' }));
    await page.getByRole('button', { name: 'Show every ending' }).click();
    await expect(endings.getByText('phones ring round after round')).toBeVisible();
    await endings.getByRole('link', { name: 'Round and round' }).first().click();
    await page.getByRole('button', { name: 'What can happen from each step' }).click();
    await expect(page.getByRole('row').filter({ hasText: 'Ring' }).first()).toContainText('perhaps more');
    await axeClean(page, 'main');
});
