import { expect, test } from '@playwright/test';
import { address, saved, startOver } from './helpers';

test.beforeEach(({ request }) => startOver(request));

test('deleting what is in use lists the places and deletes nothing', async ({ page }) => {
    await page.goto(address('/people/per_dana'));
    await page.getByRole('button', { name: 'Delete', exact: true }).click();
    await expect(page.getByRole('dialog')).toContainText('Bookings desk rings them as a member');
    await page.keyboard.press('Escape');
    await page.reload();
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Dana Whitlock');
});

test('a screen that is opened at once has what was stated a moment before, also on a slow machine', async ({
    page,
    context,
}) => {
    await page.goto(address('/queues/que_groups', { to: '+441632960130' }));
    await page.getByRole('button', { name: 'State how Priya Raman stands in the trial call' }).click();
    const isSignedIn = page.getByRole('checkbox', { name: 'signed in', exact: true });
    const slow = await context.newCDPSession(page);
    await slow.send('Emulation.setCPUThrottlingRate', { rate: 6 });
    await isSignedIn.press('Space');
    await page.getByRole('link', { name: 'This call' }).click();
    await expect(page.getByRole('heading', { name: 'What happens to this call' })).toBeVisible();
    await slow.send('Emulation.setCPUThrottlingRate', { rate: 1 });
    await expect(page).toHaveURL(/agents=que_groups%2Fper_priya%7Eout/);
});

test('two windows on one person: the later change is not lost, and does not overwrite unasked', async ({
    page,
    context,
}) => {
    await page.goto(address('/people/per_dana'));
    const other = await context.newPage();
    await other.goto(address('/people/per_dana'));
    // It has them as they were, before they are changed.
    await expect(other.getByLabel('Extension')).toHaveValue('201');
    await page.getByLabel('Extension').fill('288');
    await page.getByLabel('Extension').press('Enter');
    await saved(page);
    await other.getByLabel('Name', { exact: true }).fill('Dana W.');
    await other.getByLabel('Name', { exact: true }).press('Enter');
    await expect(other.getByRole('alert')).toContainText('was changed meanwhile');
    await expect(other.getByLabel('Name', { exact: true })).toHaveValue('Dana W.');
    await other.getByRole('button', { name: 'Take the other one' }).click();
    await expect(other.getByLabel('Extension')).toHaveValue('288');
});

test('with the network gone a change is kept on screen and saved afterwards', async ({ page, context }) => {
    await page.goto(address('/people/per_dana'));
    await expect(page.getByLabel('Extension')).toHaveValue('201');
    await context.setOffline(true);
    await page.getByLabel('Extension').fill('277');
    await page.getByLabel('Extension').press('Enter');
    await expect(page.locator('.sheet-head .notice.alarm')).toContainText('cannot be reached');
    await expect(page.locator('.server-notice')).toContainText('goes on by itself');
    await context.setOffline(false);
    await saved(page);
    await expect(page.locator('.server-notice')).toHaveCount(0);
    await page.reload();
    await expect(page.getByLabel('Extension')).toHaveValue('277');
});

test('a change whose answer is lost on the way is done once', async ({ page }) => {
    await page.goto(address('/teams'));
    let lost = 0;
    await page.route('**/api/plans/draft/elements', async (route) => {
        await route.fetch();
        lost += 1;
        if (lost === 1) await route.abort();
        else await route.continue();
    });
    await page.getByLabel('Name of a new team').fill('Fog crew');
    await page.getByLabel('Name of a new team').press('Enter');
    await expect(page.getByRole('link', { name: /Fog crew/ })).toHaveCount(1);
    await page.reload();
    await expect(page.getByRole('link', { name: /Fog crew/ })).toHaveCount(1);
    expect(lost).toBe(2);
});

test('what somebody must see to stands on every screen', async ({ page }) => {
    await page.route('**/api/ready', (route) =>
        route.fulfill({ json: { ready: true, alarms: ['Edition 2 is damaged in the database.'] } }),
    );
    for (const screen of ['/', '/people/per_dana', '/editions']) {
        await page.goto(address(screen));
        await expect(page.locator('.server-notice')).toContainText('Edition 2 is damaged');
    }
});

test('what is looked at while the server is away comes when it is back', async ({ page }) => {
    await page.goto(address('/people/per_dana'));
    await page.route('**/api/plans/draft/elements/**', (route) => route.abort());
    await page
        .locator('.list')
        .getByRole('link', { name: /Seun Adebayo/ })
        .click();
    await expect(page.locator('.sheet h2')).toHaveText('Seun Adebayo');
    await page.unroute('**/api/plans/draft/elements/**');
    await expect(page.getByLabel('Extension')).toHaveValue('202');
});

test('while the database is away it is said, and afterwards everything goes on by itself', async ({ page }) => {
    await page.goto(address('/people/per_dana'));
    await expect(page.getByLabel('Extension')).toBeVisible();
    const away = {
        status: 503,
        contentType: 'application/problem+json',
        json: {
            type: 'about:blank',
            title: 'The database is away',
            status: 503,
            detail: 'The database cannot be reached.',
        },
    };
    await page.route('**/api/**', (route) => route.fulfill(away));
    await page.getByLabel('Extension').fill('277');
    await page.getByLabel('Extension').press('Enter');
    await expect(page.locator('.sheet-head .notice.alarm')).toContainText('saved by itself when the server is back');
    await expect(page.locator('.server-notice')).toContainText('The database cannot be reached');
    await expect(page.getByLabel('Extension')).toHaveValue('277');
    await page.unroute('**/api/**');
    await saved(page);
    await expect(page.locator('.server-notice')).toHaveCount(0);
    await page.reload();
    await expect(page.getByLabel('Extension')).toHaveValue('277');
});

test('what was asked for in a moment without the database is asked for again', async ({ page }) => {
    let left = 2;
    await page.route('**/api/plans/draft/expectations', (route) =>
        left-- > 0 ? route.fulfill({ status: 503, json: { status: 503, detail: 'Away.' } }) : route.continue(),
    );
    await page.goto(address('/expectations/exp_port_sleeps'));
    await expect(page.getByText('Looking through the coming year …')).toBeVisible();
    await expect(page.getByRole('region', { name: 'What became of it' })).toContainText('Réservations');
    await expect(page.getByText('Looking through the coming year …')).toHaveCount(0);
});

test('an element that cannot be read is left out, and its last good state is one click away', async ({ page }) => {
    let isBroken = true;
    await page.route('**/api/plans/draft/outline', async (route) => {
        const answer = await route.fetch();
        const plan = await answer.json();
        const lastGood = plan.elements.find((one: { id: string }) => one.id === 'team_freight');
        if (isBroken) {
            plan.elements = plan.elements.filter((one: { id: string }) => one.id !== 'team_freight');
            plan.unreadable = [
                {
                    id: 'team_freight',
                    name: lastGood.name,
                    revision: plan.revisions.team_freight,
                    detail: '/pattern: odd',
                    lastGood,
                },
            ];
        }
        await route.fulfill({ response: answer, json: plan });
    });
    await page.goto(address('/teams'));
    await expect(page.locator('.server-notice')).toContainText('“Freight office” cannot be read');
    await expect(page.locator('.list').getByRole('link', { name: /Freight office/ })).toHaveCount(0);
    isBroken = false;
    await page.getByRole('button', { name: 'Put its last good state back' }).click();
    await expect(page.locator('.server-notice')).toHaveCount(0);
    await expect(page.locator('.list').getByRole('link', { name: /Freight office/ })).toHaveCount(1);
});

test('undo in one window does not take back what another window did', async ({ page, context }) => {
    await page.goto(address('/people/per_dana'));
    await page.getByLabel('Extension').fill('277');
    await page.getByLabel('Extension').press('Enter');
    await saved(page);
    const other = await context.newPage();
    await other.goto(address('/people/per_oluwaseun'));
    await other.getByLabel('Extension').fill('278');
    await other.getByLabel('Extension').press('Enter');
    await saved(other);
    // The first window was not told yet.
    await page.route('**/api/plans/draft/outline', (route) => route.abort());
    await page.evaluate(() => document.querySelector<HTMLButtonElement>('.rail-foot button')?.click());
    await expect(page.locator('.ant-notification')).toContainText('Something else was done meanwhile');
    await other.reload();
    await expect(other.getByLabel('Extension')).toHaveValue('278');
});

test('an extension that is taken is refused at the field', async ({ page }) => {
    await page.goto(address('/people/per_dana'));
    await page.getByLabel('Extension').fill('202');
    await page.getByLabel('Extension').press('Enter');
    await expect(page.locator('.field').getByRole('alert')).toContainText('belongs to Seun Adebayo');
});

test('a call to a number that is not there says so', async ({ page }) => {
    await page.goto(address('/', { to: '+441632960999' }));
    await expect(page.locator('.answer')).toContainText('is not a number of this plan');
});

test('a name that is one long word breaks where it has to', async ({ page }) => {
    await page.goto(address('/people/per_reception'));
    await page.getByLabel('Name', { exact: true }).fill(`Bea ${'Longstaff-'.repeat(3)}${'Longstaff'.repeat(12)}`);
    await page.getByLabel('Name', { exact: true }).press('Enter');
    await saved(page);
    await page.setViewportSize({ width: 1280, height: 800 });
    for (const path of ['/', '/queues/que_lunch', '/on-duty']) {
        await page.goto(address(path, { to: '+441632960100' }));
        await expect(page.locator('main').getByText('LongstaffLongstaff').first()).toBeVisible();
        expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(1280);
    }
    // Beside it there is room for when phones ring.
    await page.goto(address('/', { to: '+441632960100' }));
    const scale = page.getByRole('region', { name: 'What rings' }).locator('.scale');
    expect((await scale.boundingBox())?.width).toBeGreaterThan(200);
});

test('a screen whose code cannot be fetched yet is tried again, and leaves the others as they are', async ({
    page,
}) => {
    let isAway = true;
    await page.route(/assets\/OverflowScreen.*\.js/, (route) => (isAway ? route.abort() : route.continue()));
    await page.goto(address('/overflow'));
    await expect(page.getByText('This screen could not be fetched yet.')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Load the page anew' })).toBeVisible();
    await page.getByRole('link', { name: 'Teams' }).click();
    await expect(page.getByRole('heading', { name: 'Teams', level: 1 })).toBeVisible();
    await page.getByRole('link', { name: 'Overflow' }).click();
    isAway = false;
    await expect(page.getByRole('heading', { name: 'Where calls flow that no queue takes' })).toBeVisible();
});
