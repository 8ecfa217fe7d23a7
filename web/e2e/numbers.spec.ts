import { axeClean } from './axe';
import { address, choose, saved, sentence, startOver } from './helpers';
import { expect, test } from './test';

test.beforeEach(({ request }) => startOver(request));

test('a block is made, tried, and refused where it meets another', async ({ page }) => {
    await page.goto(address('/numbers'));
    await page.getByRole('textbox', { name: 'New number' }).fill('01632 960500');
    await page.getByRole('textbox', { name: 'New number' }).press('Enter');
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('+44 1632 960500');
    await page.getByRole('checkbox', { name: 'It is the first of a block of numbers' }).press('Space');
    const last = page.getByLabel('Last number of the block');
    await last.fill('01632 960499');
    await last.press('Enter');
    await expect(page.locator('.about.alarm', { hasText: 'does not come after' })).toBeVisible();
    await last.fill('01632 960549');
    await last.press('Enter');
    await saved(page);
    const extension = page.getByLabel('Extension of the first');
    await extension.fill('280');
    await extension.press('Enter');
    await saved(page);
    await choose(page, 'Free ones go to', 'Reception mailbox');
    await saved(page);
    const block = page.getByRole('region', { name: 'Numbers of the block' });
    await block.getByText('Somebody’s 5').click();
    await expect(block.getByRole('row', { name: /960519 299 Rowan Tresco/ })).toBeVisible();
    await axeClean(page, 'main');
    await block
        .getByRole('row', { name: /960519/ })
        .getByRole('button', { name: 'Try it' })
        .click();
    await expect(sentence(page)).toContainText('Rings Rowan Tresco');
    await expect(page.locator('.to', { hasText: '+44 1632 960500 (Rowan Tresco)' })).toBeVisible();
    await page.getByRole('link', { name: 'This call' }).click();
    await expect(page.locator('.way')).toContainText('It is for extension 299, Rowan Tresco.');
    // Over the first numbers of the direct lines.
    await page.getByRole('link', { name: 'Numbers', exact: true }).click();
    await page.getByRole('textbox', { name: 'New number' }).fill('01632 960190');
    await page.getByRole('textbox', { name: 'New number' }).press('Enter');
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('+44 1632 960190');
    await page.getByRole('checkbox', { name: 'It is the first of a block of numbers' }).check();
    await page.getByLabel('Last number of the block').fill('01632 960209');
    await page.getByLabel('Last number of the block').press('Enter');
    await expect(page.locator('.about.alarm', { hasText: 'It overlaps the block “Direct lines”' })).toBeVisible();
});

test('a number that is dialled in the other country belongs to the site there', async ({ page }) => {
    await page.goto(address('/numbers'));
    await page.getByRole('textbox', { name: 'New number' }).fill('02 61 91 01 77');
    await page.getByRole('textbox', { name: 'New number' }).press('Enter');
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('+33 2 61 91 01 77');
    await expect(page.locator('.field', { hasText: 'Its country says' })).toContainText('Port-Saint-Aubert');
    await page.getByRole('textbox', { name: 'New number' }).fill('+33 2 61 91 01 79');
    await page.getByRole('textbox', { name: 'New number' }).press('Enter');
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('+33 2 61 91 01 79');
    await expect(page.locator('.field', { hasText: 'Its country says' })).toContainText('Port-Saint-Aubert');
    // The first number of a block, by itself.
    await page.getByRole('textbox', { name: 'New number' }).fill('01632 960200');
    await page.getByRole('textbox', { name: 'New number' }).press('Enter');
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('+44 1632 960200');
    // Where a site is chosen, it is dialled there.
    await choose(page, 'Site of the new number', 'Ternwick Harbour');
    await page.getByRole('textbox', { name: 'New number' }).fill('02 61 91 01 78');
    await page.getByRole('textbox', { name: 'New number' }).press('Enter');
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue(/^\+44 2619/);
});

test('a number is given up, and the table says so, with its tag and its last change', async ({ page }) => {
    await page.goto(address('/numbers/num_groups'));
    await page.getByRole('checkbox', { name: 'Given up, and kept free' }).check();
    await saved(page);
    await expect(page.getByLabel('Kept free until')).toHaveValue('2027-05-01');
    await choose(page, 'Calls go to', 'Bea Longstaff');
    await saved(page);
    await expect(page.locator('.notice.finding')).toContainText('still rings Bea Longstaff');
    await page.getByRole('link', { name: 'All numbers now' }).click();
    const row = page.getByRole('row', { name: /Choose Groups/ });
    await expect(row).toContainText('given up, kept until Sat 1 May 2027');
    await expect(row).toContainText('demo');
    await expect(page.getByRole('row', { name: /Choose Direct lines/ })).toContainText('to +44 1632 960299');
});

test('all numbers that begin alike, and the most particular one holds', async ({ page }) => {
    await page.goto(address('/numbers'));
    await page.getByRole('textbox', { name: 'New number' }).fill('01632 9607*');
    await page.getByRole('textbox', { name: 'New number' }).press('Enter');
    await expect(page).toHaveURL(/numbers\/num_/);
    await choose(page, 'Calls go to', 'Reception');
    await saved(page);
    await expect(page.locator('.sheet')).toContainText('All numbers that begin so come here');
    await page.goto(address('/', { to: '+441632960712' }));
    await expect(sentence(page)).toContainText('Rings Bea Longstaff');
    await expect(page.locator('.way')).toContainText('All of them go to Reception.');
});

test('somebody shows their own number, another of the company, or none', async ({ page }) => {
    await page.goto(address('/people/per_dana'));
    await expect(page.getByText('Their own number is +44 1632 960201')).toBeVisible();
    await choose(page, 'Calls to outside show', 'their own');
    await saved(page);
    await page.getByLabel('Extension').fill('101');
    await page.getByLabel('Extension').press('Enter');
    await saved(page);
    await expect(page.locator('.notice.finding')).toContainText('and there is none');
    await page.getByRole('button', { name: 'Withhold it' }).click();
    await expect(page.locator('.notice.finding')).toHaveCount(0);
    await choose(page, 'Calls to outside show', 'Main line');
    await saved(page);
    await page.goto(address('/numbers/num_main'));
    await expect(page.locator('.used-by')).toContainText('shows it on calls to outside');
});

test('the call on screen follows a number that gets another one, and goes to the first of the plan where it is deleted', async ({
    page,
}) => {
    await page.goto(address('/numbers/num_fax', { to: '+441632960170', phones: 'per_kasia~answers~5' }));
    await expect(sentence(page)).toContainText('Hears “Fax line, to callers”');
    await page.getByLabel('Number', { exact: true }).fill('01632 960 179');
    await page.getByLabel('Number', { exact: true }).press('Enter');
    await expect(page).toHaveURL(/to=%2B441632960179&.*per_kasia/);
    await expect(sentence(page)).toContainText('Hears “Fax line, to callers”');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page).toHaveURL(/to=%2B441632960170&/);
    await page.getByRole('button', { name: 'Delete', exact: true }).click();
    await expect(page.getByText('What was called is not in the plan any more.')).toBeVisible();
    await expect(sentence(page)).toContainText('Rings Bea Longstaff');
    await expect(page).not.toHaveURL(/per_kasia/);
});
