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

test('two windows on one person: the later change is not lost, and does not overwrite unasked', async ({
    page,
    context,
}) => {
    await page.goto(address('/people/per_dana'));
    const other = await context.newPage();
    await other.goto(address('/people/per_dana'));
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
    await expect(page.getByRole('alert')).toContainText('cannot be reached');
    await context.setOffline(false);
    await page.getByRole('button', { name: 'Try again' }).click();
    await saved(page);
    await page.reload();
    await expect(page.getByLabel('Extension')).toHaveValue('277');
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
