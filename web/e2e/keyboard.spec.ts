import { axeClean } from './axe';
import { address, saved, sentence, startOver } from './helpers';
import { expect, type Page, test } from './test';

test.beforeEach(({ request }) => startOver(request));

/** Presses Tab until the wanted thing has the focus, as somebody without a mouse does. */
async function tabTo(page: Page, wanted: string, most = 100) {
    for (let i = 0; i < most; i++) {
        await page.keyboard.press('Tab');
        if (await page.evaluate((css) => document.activeElement?.matches(css) ?? false, wanted)) return;
    }
    throw new Error(`Tab never reached ${wanted}`);
}

test('the whole loop without a mouse: look, edit, check, publish', async ({ page }) => {
    await page.goto(address('/'));
    await expect(sentence(page)).toContainText('rings Port office for 20 s');
    await page.keyboard.press('Tab');
    await expect(page.getByRole('link', { name: 'Skip to the screen' })).toBeFocused();
    await tabTo(page, 'nav a[href^="/journeys"]');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('treegrid')).toBeVisible();
    await tabTo(page, '[data-row]');
    while (!(await page.locator('[data-row]:focus').textContent())?.includes('Ring Port office')) {
        await page.keyboard.press('ArrowDown');
    }
    await page.keyboard.press('Enter');
    await tabTo(page, 'input[aria-label="Seconds to ring"]', 6);
    await page.keyboard.press('Control+a');
    await page.keyboard.type('33');
    await page.keyboard.press('Enter');
    await expect(sentence(page)).toContainText('rings Port office for 33 s');
    await expect(page.locator('.was')).toContainText('rings Port office for 20 s');
    await page.keyboard.press('Escape');
    await expect(page.locator('[data-row]:focus')).toContainText('Ring Port office for 33 s');
    await saved(page);

    await page.keyboard.press(']');
    await expect(sentence(page)).toContainText('Hears “Lunch, fewer staff”');
    await page.locator('nav a[href^="/editions"]').focus();
    await page.keyboard.press('Enter');
    await expect(page.locator('.pending').first()).toContainText('Bookings line');
    await tabTo(page, 'textarea');
    await page.keyboard.type('The desk rings longer');
    await tabTo(page, 'button.ant-btn-primary', 3);
    await page.keyboard.press('Enter');
    await expect(page.locator('.editions li').first()).toContainText('The desk rings longer');
    await expect(page.getByText('The draft is the same as what is live.')).toBeVisible();
});

test('a published note is asked for, and what is unfinished blocks publishing and says where', async ({ page }) => {
    await page.goto(address('/journeys/jrn_lost'));
    await page.locator('[data-row]').last().focus();
    await page.keyboard.press('+');
    await page.keyboard.type('say');
    await expect(page.locator('.row.editing')).toHaveCount(0);
    await page.keyboard.press('Enter');
    await expect(page.locator('.row.editing')).toBeVisible();
    await saved(page);
    await page.goto(address('/editions'));
    await expect(page.locator('.sheet').first()).toContainText('This step has no prompt yet.');
    await page.getByRole('button', { name: /Publish as edition/ }).click();
    await expect(page.locator('.field').getByRole('alert')).toContainText('Write a note');
    await page.getByLabel('Note').fill('Half done');
    await page.getByRole('button', { name: /Publish as edition/ }).click();
    await expect(page.locator('.field').getByRole('alert')).toContainText('1 unfinished thing must be mended first');
    await page
        .getByRole('region', { name: 'Worth a look' })
        .getByRole('link', { name: 'Lost property line' })
        .first()
        .click();
    await expect(page.locator('.missing')).toContainText('no prompt yet');
});

test('the clock takes times as people type them, and steps by a quarter of an hour', async ({ page }) => {
    await page.goto(address('/hours/hrs_bookings'));
    const time = page.getByLabel('Time', { exact: true });
    await time.fill('2015');
    await time.press('Enter');
    await expect(time).toHaveValue('20:15');
    await expect(page.locator('.now')).toContainText('Closed');
    await time.press('ArrowDown');
    await expect(time).toHaveValue('20:00');
    await time.press('ArrowDown');
    await expect(time).toHaveValue('19:45');
    await expect(page.locator('.now')).toContainText('Open');
    await time.fill('19.59.59');
    await time.press('Enter');
    await expect(time).toHaveValue('19:59:59');
    await expect(page.locator('.now')).toContainText('until 20:00');
    // One that is none stays, and says why, until it is typed anew.
    await time.fill('25:00');
    await time.press('Enter');
    await expect(page.getByRole('alert')).toHaveText('“25:00” is no time of day: write 9, 930 or 17:30.');
    await expect(time).toHaveValue('25:00');
    await expect(time).toHaveAttribute('aria-invalid', 'true');
    await axeClean(page, '.moment');
    await time.press('Escape');
    await expect(time).toHaveValue('19:59:59');
    await expect(page.getByRole('alert')).toHaveCount(0);
    await page.getByText('Bands in figures').click();
    const from = page.getByLabel('From', { exact: true }).first();
    const before = await from.inputValue();
    await from.fill('nine');
    await from.press('Tab');
    await expect(page.getByRole('alert')).toContainText('“nine” is no time of day');
    await from.fill(before);
    await from.press('Tab');
    await expect(page.getByRole('alert')).toHaveCount(0);
});

test('colours are chosen and kept', async ({ page }) => {
    await page.goto(address('/'));
    await page.getByRole('button', { name: 'Dark' }).click();
    await expect(page.locator('html')).toHaveAttribute('data-mode', 'dark');
    await page.reload();
    await expect(page.locator('html')).toHaveAttribute('data-mode', 'dark');
    await page.getByRole('button', { name: 'Light' }).click();
    await expect(page.locator('html')).toHaveAttribute('data-mode', 'light');
});
