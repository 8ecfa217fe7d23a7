import { axeClean } from './axe';
import { address, choose, saved, sentence, startOver } from './helpers';
import { expect, test } from './test';

test.beforeEach(({ request }) => startOver(request));

/** Bookings are closed: calls are greeted, and leave a message. */
const CLOSED = { at: '2026-11-23T22:00:00' };

test('a greeting for a while takes the place of the usual one, and ends by itself', async ({ page }) => {
    await page.goto(address('/mailboxes/mbx_bookings', CLOSED));
    await page.getByRole('button', { name: 'Another greeting for a while' }).press('Enter');
    await choose(page, 'Greeting for a while', 'Public holiday');
    await page.getByLabel('The greeting for a while ends').fill('2026-11-24T08:00');
    await page.getByLabel('The greeting for a while ends').blur();
    await saved(page);
    await expect(page.locator('.list li', { hasText: 'Bookings mailbox' })).toContainText(
        'another greeting for a while',
    );
    await page.getByRole('link', { name: 'This call', exact: true }).click();
    await expect(page.locator('main')).toContainText('its greeting until 2026-11-24 at 08:00');
    await page.goto(address('/', { at: '2026-11-24T22:00:00' }));
    await expect(page.locator('main')).toContainText('After its greeting “Greeting of the bookings mailbox”');
});

test('a mailbox that takes no messages makes an announcement', async ({ page }) => {
    await page.goto(address('/mailboxes/mbx_bookings', CLOSED));
    await page.getByRole('checkbox', { name: /callers leave a message/ }).press('Space');
    await saved(page);
    await expect(page.getByRole('checkbox', { name: 'a beep is heard first' })).toHaveCount(0);
    await expect(sentence(page)).toContainText('hears the announcement of Bookings mailbox');
    await page.goto(address('/all-numbers', { to: '+441632960185' }));
    await expect(page.getByRole('row', { name: /Sailing information/ })).toContainText('Announcement');
});

test('keys leave the mailbox for somebody', async ({ page }) => {
    await page.goto(address('/mailboxes/mbx_groups', CLOSED));
    await choose(page, 'Key that leaves the mailbox', '9');
    await choose(page, 'Who takes calls that leave the mailbox', 'Reception mailbox');
    await saved(page);
    await page.goto(address('/', { to: 'mbx_groups', meanwhile: '9@1' }));
    await expect(sentence(page)).toContainText('leaves a message with Reception mailbox');
});

test('a PIN is set at once, weak ones are refused, and none is shown', async ({ page }) => {
    await page.goto(address('/mailboxes/mbx_reception'));
    await page.getByRole('button', { name: 'Set a PIN …' }).press('Enter');
    const pin = page.getByLabel('New PIN');
    await expect(pin).toBeFocused();
    await expect(pin).toHaveAttribute('type', 'password');
    await pin.fill('1234');
    await pin.press('Enter');
    await expect(page.getByRole('alert')).toContainText('The digits of this PIN follow each other');
    await pin.fill('7316');
    await pin.press('Enter');
    await expect(page.getByText('A PIN protects it.')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Set another PIN …' })).toBeFocused();
    await page.reload();
    await expect(page.getByText('A PIN protects it.')).toBeVisible();
    expect(await page.content()).not.toContain('7316');
    await axeClean(page, 'main');
    await page.getByRole('button', { name: 'Take it away' }).click();
    await expect(page.getByText('No PIN protects it.')).toBeVisible();
});

test('a trial message comes by e-mail, with its sound', async ({ page }) => {
    await page.goto(address('/', CLOSED));
    await page.getByRole('button', { name: 'Put the e-mail into the outbox' }).press('Enter');
    await page.getByRole('link', { name: 'outbox', exact: true }).click();
    const letter = page.getByRole('article', { name: 'Message for Bookings mailbox' }).first();
    await expect(letter).toContainText('bookings@ternwick.example');
    await expect(letter).toContainText('written down by the stand-in for a speech service');
    await letter.getByRole('button', { name: 'Listen to the message of Message for Bookings mailbox' }).click();
    await expect(letter.getByRole('button', { name: /^Stop/ })).toHaveAttribute('aria-pressed', 'true');
});
