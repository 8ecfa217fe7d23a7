import { address, choose, saved, sentence, startOver } from './helpers';
import { expect, type Page, test } from './test';

test.beforeEach(({ request }) => startOver(request));

test('why a step is there is written beside it, and told where a call comes to it', async ({ page }) => {
    await page.goto(address('/journeys/jrn_freight', { to: '+441632960150', at: '2026-11-23T22:30:00' }));
    await expect(page.getByRole('row').filter({ hasText: 'Ring Hugh Pellow' })).toContainText('“His mobile goes to');
    const row = page.getByRole('row').filter({ hasText: 'Rowan Tresco' }).first();
    await row.focus();
    await page.keyboard.press('Enter');
    // Nothing is cut off unsaid.
    await page.getByLabel('Why it is there').fill('x'.repeat(1001));
    await page.getByLabel('Why it is there').press('Enter');
    await expect(row.getByRole('alert')).toContainText('longer than 1000 characters');
    await page.getByLabel('Why it is there').fill('He has the night.');
    await page.getByLabel('Why it is there').press('Enter');
    await page.keyboard.press('Enter');
    await expect(row).toContainText('“He has the night.”');
    await saved(page);
    await page.getByRole('link', { name: 'This call' }).click();
    await expect(page.locator('.way')).toContainText('“He has the night.”');
});

const rows = (page: Page) => page.locator('[data-row]');
const insert = async (page: Page, word: string) => {
    await page.keyboard.press('+');
    await expect(page.getByRole('toolbar', { name: 'Which step' })).toBeVisible();
    await page.keyboard.type(word);
    await page.keyboard.press('Enter');
};

test('a journey is made from nothing, step by step, with what it needs made on the way', async ({ page }) => {
    await page.goto(address('/journeys'));
    await page.getByLabel('Name of a new journey').fill('Groups line');
    await page.getByLabel('Name of a new journey').press('Enter');
    await expect(page.getByText('Nothing happens here yet.')).toBeVisible();
    const step = async (kind: string) => {
        await page.getByRole('button', { name: 'Add a step at the end' }).click();
        await page.getByRole('toolbar', { name: 'Which step' }).getByRole('button', { name: kind }).click();
    };
    const make = async (field: string, name: string, kind: string) => {
        await page.getByRole('combobox', { name: field }).fill(name);
        await page.getByTitle(`Add ${kind} “${name}”`).click();
        await page.locator('.row.editing').getByRole('button', { name: 'Done' }).click();
        await expect(rows(page).last()).toContainText(name);
    };
    await step('Hours');
    await make('Hours', 'Groups hours', 'hours');
    await step('Ring');
    await make('Person or team', 'Groups desk', 'team');
    await step('Message');
    await make('Mailbox', 'Groups inbox', 'mailbox');
    await saved(page);
    await page.goto(address(new URL(page.url()).pathname, { to: '+442079460120' }));
    await choose(page, 'Number that is to lead here', 'London');
    await expect(page.getByRole('region', { name: 'Groups line' })).toContainText('sends its calls there');
    await expect(sentence(page)).toContainText('Cannot reach Groups desk, then leaves a message with Groups inbox');
});

test('a menu gets keys, each with its own steps, and refuses none twice', async ({ page }) => {
    await page.goto(address('/journeys/jrn_lost', { to: '+441632960140' }));
    await rows(page).last().focus();
    await page.keyboard.press('ArrowUp');
    await insert(page, 'menu');
    await choose(page, 'Prompt', 'Terminal menu');
    await page.getByRole('combobox', { name: 'Add an exit' }).click();
    const options = page.locator('.ant-select-dropdown:visible .ant-select-item-option');
    await expect(options.filter({ hasText: /^key 1$/ })).toHaveCount(0);
    await options.filter({ hasText: /^key 2$/ }).click();
    const key = page.locator('.row.exit').filter({ hasText: 'key 2' });
    await expect(key).toContainText('goes on with the next step');
    await key.focus();
    await page.keyboard.press('Enter');
    await page.getByLabel('What it is for').fill('Umbrellas');
    await page.getByLabel('What it is for').press('Enter');
    await page.keyboard.press('Escape');
    await expect(rows(page).filter({ hasText: 'key 2 · Umbrellas' })).toBeVisible();
    await rows(page).filter({ hasText: 'key 2 · Umbrellas' }).focus();
    await insert(page, 'end');
    await saved(page);
    await page.goto(address('/journeys/jrn_lost', { to: '+441632960140', at: '2026-11-25T10:00:00', keys: '2' }));
    await expect(sentence(page)).toContainText('presses 2, then the plan ends the call');
});

test('an outside number is rung, typed as people type it', async ({ page }) => {
    await page.goto(address('/journeys/jrn_lost', { to: '+441632960140', at: '2026-11-25T10:00:00' }));
    const ring = rows(page).filter({ hasText: 'Ring Lost property counter' });
    await ring.focus();
    await insert(page, 'ring');
    await choose(page, 'Whom to ring', 'an outside number');
    await page.getByRole('textbox', { name: 'Outside number' }).fill('07700 900155');
    await page.getByRole('textbox', { name: 'Outside number' }).press('Enter');
    await expect(sentence(page)).toContainText('rings +44 7700 900155 for 20 s');
    await expect(page.locator('.was')).toContainText(
        'Before your change: Rings Lost property counter for 25 s, hears “Lost property”, rings nobody (nobody is chosen), then leaves',
    );
});

test('a step is moved in under an exit and out again by keyboard', async ({ page }) => {
    await page.goto(address('/journeys/jrn_reception'));
    const ring = rows(page).filter({ hasText: 'Ring Bookings desk' });
    const level = async () => ring.getAttribute('aria-level');
    await ring.focus();
    expect(await level()).toBe('1');
    await page.keyboard.press('Alt+ArrowRight');
    await expect(ring).toHaveAttribute('aria-level', '3');
    await expect(ring).toBeFocused();
    await page.keyboard.press('Alt+ArrowLeft');
    await expect(ring).toHaveAttribute('aria-level', '1');
    await page.keyboard.press('Home');
    await expect(rows(page).first()).toBeFocused();
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('ArrowLeft');
    await expect(rows(page).first()).toBeFocused();
});

test('an exit of an hours step is added, filled and removed', async ({ page }) => {
    await page.goto(address('/journeys/jrn_freight', { to: '+441632960150' }));
    await rows(page).filter({ hasText: 'Look at Freight hours' }).dblclick();
    await choose(page, 'Add an exit', 'open');
    await page.keyboard.press('Escape');
    const exit = rows(page)
        .filter({ hasText: /^open/ })
        .or(page.locator('.row.exit', { hasText: 'open' }))
        .first();
    await exit.focus();
    await insert(page, 'end');
    await expect(sentence(page)).toContainText('The plan ends the call');
    await exit.focus();
    await page.keyboard.press('Delete');
    await expect(sentence(page)).toContainText('rings Freight office');
    await saved(page);
});

test('a link from the call leads to its step, with the same trial call', async ({ page }) => {
    await page.goto(address('/', { at: '2026-12-25T11:00:00' }));
    await expect(sentence(page)).toContainText('Hears “Public holiday”');
    await page.locator('.way li', { hasText: 'Hears “Public holiday”' }).getByRole('link').click();
    await expect(page.locator('[data-row]:focus')).toContainText('Say Public holiday');
    await expect(sentence(page)).toContainText('Hears “Public holiday”');
});

test('what is live can be looked at but not edited', async ({ page }) => {
    await page.goto(address('/journeys/jrn_bookings', { in: 'live' }));
    await expect(page.getByText('You are looking at what is live')).toBeVisible();
    await expect(page).toHaveTitle('Bookings line · Journeys · Meandros');
    await expect(page.getByLabel('Name', { exact: true })).toBeDisabled();
    await rows(page).first().focus();
    await page.keyboard.press('+');
    await page.keyboard.press('Delete');
    await expect(page.getByRole('toolbar')).toHaveCount(0);
    await expect(rows(page).first()).toContainText('Look at Bookings hours');
    await expect(page.getByRole('button', { name: 'Add a step at the end' })).toHaveCount(0);
    await expect(page.getByRole('button', { name: 'Start from a pattern …' })).toHaveCount(0);
    await page.getByRole('link', { name: 'Hours', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'Week', exact: true })).toBeVisible();
    await expect(page.getByRole('radiogroup', { name: 'Paint with' })).toHaveCount(0);
});

test('the ring chart shows a row per phone and who took the call', async ({ page }) => {
    await page.goto(address('/', { to: '+441632960150', phones: 'per_kasia~answers~5' }));
    const chart = page.getByRole('table');
    await expect(chart.getByRole('row', { name: /Hugh Pellow Desk phone/ })).toContainText(
        'taken elsewhere, 0:05 to 0:25',
    );
    await expect(chart.getByRole('row', { name: /Kasia Wrona Desk phone/ })).toContainText('answered, 0:20 to 0:25');
    await expect(chart.getByRole('row', { name: /Tom Ferrier Laptop/ })).toContainText('not reached');
});

test('a step is chosen and edited by touch, on a small screen', async ({ browser, baseURL }) => {
    const context = await browser.newContext({ baseURL, viewport: { width: 390, height: 800 }, hasTouch: true });
    const page = await context.newPage();
    await page.goto(address('/journeys/jrn_bookings'));
    const row = page.getByRole('row').filter({ hasText: 'Ring Bea Longstaff' });
    await row.locator('.mark').tap();
    await row.getByRole('button', { name: 'Edit step ring' }).tap();
    await page.getByLabel('Seconds to ring').fill('11');
    await page.getByRole('button', { name: 'Done' }).tap();
    await expect(sentence(page)).toContainText('rings Bea Longstaff for 11 s');
    const other = page.getByRole('row').filter({ hasText: 'Ring Port office' });
    await other.locator('.mark').tap();
    await expect(row.locator('.tools button')).toHaveCount(0);
    await context.close();
});
