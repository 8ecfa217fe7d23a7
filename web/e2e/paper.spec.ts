import { readFileSync } from 'node:fs';
import { axeClean } from './axe';
import { address, choose, startOver } from './helpers';
import { expect, test } from './test';

test.beforeEach(({ request }) => startOver(request));

test('the plan is read on paper in two languages, for one number, and kept as PDF', async ({ page }) => {
    await page.goto(address('/'));
    await page.getByRole('link', { name: 'On paper' }).click();
    const paper = page.frameLocator('iframe[title="The paper"]');
    await expect(paper.getByRole('heading', { level: 1 })).toHaveText('Ternwick Ferries');
    await expect(paper.getByText(/^Draft of .* Not in force\.$/)).toBeVisible();
    await expect(paper.getByRole('heading', { name: 'Bookings line' })).toBeAttached();
    await expect(paper.getByText('“For a new booking, press one.', { exact: false }).first()).toBeAttached();
    await page.getByText('In French').click();
    await expect(paper.getByRole('heading', { name: 'Le parcours des appelants' })).toBeAttached();
    await choose(page, 'What it is about', 'Behind Lost property');
    await expect(paper.getByRole('heading', { name: 'Lost property line' })).toBeAttached();
    await expect(paper.getByRole('heading', { name: 'Bookings line' })).toHaveCount(0);
    await axeClean(page, undefined, { runOnly: ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'] });
    const download = page.waitForEvent('download');
    await page.getByRole('link', { name: 'Keep as PDF' }).click();
    const file = await download;
    expect(file.suggestedFilename()).toBe('plan-draft-fr.pdf');
    expect(readFileSync(await file.path(), 'latin1').slice(0, 5)).toBe('%PDF-');
});
