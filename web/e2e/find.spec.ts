import { axeClean } from './axe';
import { address, sentence, startOver } from './helpers';
import { expect, test } from './test';

test.beforeEach(({ request }) => startOver(request));

test('a number is found as it is dialled, by keyboard, and the keyboard goes on there', async ({ page }) => {
    await page.goto(address('/'));
    await expect(sentence(page)).not.toBeEmpty();
    await page.keyboard.press('/');
    await page.keyboard.type('01632 960110');
    const dialog = page.getByRole('dialog', { name: 'Find' });
    await expect(dialog.getByRole('option', { selected: true })).toHaveText('Bookings number · +44 1632 960110');
    await page.keyboard.press('Enter');
    await expect(dialog).toBeHidden();
    await expect(page).toHaveURL(/\/numbers\/num_bookings/);
    await expect(page.locator('main')).toBeFocused();
    await page.getByRole('link', { name: 'Teams', exact: true }).focus();
    await page.keyboard.press('/');
    await page.keyboard.type('nothing is called so');
    await expect(dialog.getByRole('status')).toHaveText('Nothing is called so, or says so.');
    await page.keyboard.press('Escape');
    await expect(dialog).toBeHidden();
    await expect(page.getByRole('link', { name: 'Teams', exact: true })).toBeFocused();
});

test('words are found where callers hear them, and a step where its label stands, by mouse', async ({ page }) => {
    await page.goto(address('/hours'));
    await page.getByRole('button', { name: 'Find', exact: true }).click();
    const dialog = page.getByRole('dialog', { name: 'Find' });
    await page.keyboard.type('cancel');
    const places = dialog.getByRole('group', { name: 'Where these words stand' });
    await expect(
        places.getByRole('option', { name: /^Bookings menu prompt.*To change or cancel a booking/ }),
    ).toBeVisible();
    await axeClean(page);
    await page.setViewportSize({ width: 320, height: 720 });
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(320);
    await page.setViewportSize({ width: 1280, height: 800 });
    await dialog.getByLabel('Find', { exact: true }).fill('change or');
    await page.keyboard.press('ArrowUp');
    await expect(places.getByRole('option').last()).toHaveAttribute('aria-selected', 'true');
    await dialog.getByLabel('Find', { exact: true }).fill('new booking');
    await places.getByRole('option', { name: /^Bookings line journey/ }).click();
    await expect(page).toHaveURL(/\/journeys\/jrn_bookings.*#s9$/);
});

test('what is live is found by name; its words are not looked for', async ({ page }) => {
    await page.goto(address('/hours', { in: 'live' }));
    await expect(sentence(page)).not.toBeEmpty();
    await page.keyboard.press('/');
    await page.keyboard.type('bookings line');
    const dialog = page.getByRole('dialog', { name: 'Find' });
    await expect(dialog.getByRole('option')).toHaveText(['Bookings line journey']);
    await expect(dialog.getByRole('status')).toContainText('looked for in the draft only');
});

test('pickers and lists find numbers as they are dialled, and names without their accents', async ({ page }) => {
    await page.goto(address('/numbers/num_paris'));
    await page.getByLabel('Number called').click();
    await page.keyboard.type('0808 157 0');
    await expect(page.locator('.ant-select-item-option')).toHaveText([/Bookings, free of charge/]);
    await page.keyboard.press('Escape');
    await page.getByLabel('Calls go to').click();
    await page.keyboard.type('RESERV');
    const options = page.locator('.ant-select-item-option:visible');
    await expect(options.first()).toHaveText('Réservations');
    await expect(options.nth(1)).toContainText('Add ');
    // There is a team of that name, and no queue.
    await page.keyboard.type('ATIONS');
    await expect(options.filter({ hasText: 'Add queue “RESERVATIONS”' })).toHaveCount(1);
    await expect(options.filter({ hasText: 'Add team' })).toHaveCount(0);
    await page.keyboard.press('Escape');
    await page.getByLabel('Search numbers').fill('020 7946 0130');
    await expect(page.locator('.list').getByRole('link')).toHaveText([/Head office/]);
});

test('other words are put in the place of some, but where they stay, and taken back', async ({ page }) => {
    await page.goto(address('/hours'));
    await expect(page.locator('.list')).toContainText('Lost property hours');
    await page.keyboard.press('/');
    await page.keyboard.type('lost property');
    await page.getByRole('button', { name: 'Other words in the place of these …' }).click();
    const dialog = page.getByRole('dialog', { name: 'Other words in their place' });
    await expect(dialog.getByLabel('Words')).toHaveValue('lost property');
    await expect(dialog.getByLabel('In their place')).toBeFocused();
    await page.keyboard.type('found things');
    const hours = dialog.getByRole('listitem').filter({ hasText: 'Lost property hours hours' });
    await expect(hours.getByRole('insertion')).toHaveText('Found things');
    await axeClean(page, '.ant-modal');
    await dialog.getByRole('checkbox', { name: 'Lost property mailbox mailbox' }).uncheck();
    await expect(dialog.getByRole('button', { name: /^Put them in 20 of 21$/ })).toBeEnabled();
    await dialog.getByLabel('In their place').press('Enter');
    await expect(page.getByText('Say “found things” for “lost property”: done in 20.')).toBeVisible();
    await expect(page.locator('.list')).toContainText('Found things hours');
    await page.getByRole('link', { name: 'Mailboxes', exact: true }).click();
    await expect(page.locator('.list')).toContainText('Lost property mailbox');
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('link', { name: 'Hours', exact: true }).click();
    await expect(page.locator('.list')).toContainText('Lost property hours');
});
