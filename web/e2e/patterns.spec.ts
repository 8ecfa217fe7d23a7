import { readFileSync } from 'node:fs';
import { axeClean } from './axe';
import { address, choose, saved, sentence, startOver } from './helpers';
import { expect, test } from './test';

test.beforeEach(({ request }) => startOver(request));

test('a new line: a journey from a pattern, tried, and a number pointed at it, in twelve actions', async ({ page }) => {
    await page.goto(address('/journeys'));
    let actions = 0;
    const act = async (what: Promise<unknown>) => {
        actions++;
        await what;
    };
    await act(page.getByRole('button', { name: 'Start from a pattern' }).click());
    await act(page.getByRole('radio', { name: /A person, then a team/ }).check());
    await act(page.getByRole('textbox', { name: 'Name of the journey' }).fill('Coach parties'));
    await act(choose(page, 'The person', 'Dana Whitlock'));
    await act(choose(page, 'The team or queue', 'Port office'));
    await act(choose(page, 'Messages go to', 'Groups mailbox'));
    await act(page.getByRole('button', { name: 'Make the journey' }).click());
    await expect(page.getByRole('treegrid')).toContainText('Ring Dana Whitlock for 15 s');
    await act(page.getByRole('button', { name: 'Try a call straight to it' }).click());
    await expect(sentence(page)).toContainText('Rings Dana Whitlock for 15 s, rings Port office for 20 s');
    await act(page.getByRole('link', { name: 'Numbers', exact: true }).click());
    await act(page.getByRole('link', { name: /^Groups \+44/ }).click());
    // The number before it has such a field, too.
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Groups');
    await act(choose(page, 'Calls go to', 'Coach parties'));
    await saved(page);
    await act(page.getByRole('button', { name: 'Try a call to this number' }).click());
    await expect(sentence(page)).toContainText('Rings Dana Whitlock for 15 s, rings Port office for 20 s');
    expect(actions).toBeLessThanOrEqual(12);
});

test('a pattern says what is missing, by keyboard', async ({ page }) => {
    await page.goto(address('/journeys'));
    await page.getByRole('button', { name: 'Start from a pattern' }).press('Enter');
    await page.getByRole('textbox', { name: 'Name of the journey' }).fill('Nothing yet');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('dialog')).toContainText('This is missing.');
    await axeClean(page, '.ant-modal');
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('a journey is duplicated; steps are copied to another, cut and pasted, by keyboard', async ({ page }) => {
    await page.goto(address('/journeys/jrn_groups', { to: '+441632960130' }));
    await page.locator('[data-row]').last().focus();
    await page.keyboard.press('Control+c');
    await page.getByRole('button', { name: 'Duplicate' }).click();
    await expect(page.getByLabel('Name of the copy')).toBeFocused();
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Groups line, copy');
    await expect(page.getByRole('treegrid')).toContainText('Wait in Groups and coaches');
    await page.goto(address('/journeys/jrn_lost', { to: '+441632960140' }));
    await page.locator('[data-row]').first().focus();
    await page.keyboard.press('Control+v');
    await saved(page);
    await expect(page.locator('[data-row]:focus')).toContainText('Take a message into Groups mailbox');
    await page.keyboard.press('Control+x');
    await expect(page.getByRole('treegrid')).not.toContainText('Groups mailbox');
    await page.keyboard.press('End');
    await page.keyboard.press('Control+v');
    await expect(page.locator('[data-row]').last()).toContainText('Groups mailbox');
});

test('exits are folded by keyboard and by mouse', async ({ page }) => {
    await page.goto(address('/journeys/jrn_bookings'));
    const first = page.locator('[data-row]').first();
    await expect(first).toBeVisible();
    const rows = await page.locator('[data-row]').count();
    await first.focus();
    await expect(first).toHaveAttribute('aria-expanded', 'true');
    await page.keyboard.press('ArrowLeft');
    await expect(first).toHaveAttribute('aria-expanded', 'false');
    await expect.poll(() => page.locator('[data-row]').count()).toBeLessThan(rows);
    await first.getByRole('button', { name: '… 3 folded' }).click();
    await expect(page.locator('[data-row]')).toHaveCount(rows);
    await first.hover();
    await first.getByRole('button', { name: 'Fold the exits of step hours' }).click();
    await page.keyboard.press('ArrowRight');
});

test('many numbers are pointed elsewhere at once, and brought in as a table', async ({ page }) => {
    // A table of numbers is brought in, looked at, and taken back: many steps.
    test.slow();
    await page.goto(address('/all-numbers'));
    const rows = page.getByRole('table').locator('tbody tr[data-row-key]');
    await expect(rows).toHaveCount(50);
    await page.getByRole('checkbox', { name: 'Choose Groups', exact: true }).press('Space');
    await page.getByRole('checkbox', { name: 'Choose Lost property', exact: true }).check();
    const many = page.getByRole('group', { name: 'Numbers that are chosen' });
    await expect(many).toContainText('2 are chosen');
    await axeClean(page, 'main');
    await choose(page, 'Point them at', 'Fax line');
    await expect(rows.filter({ hasText: 'Fax line' })).toHaveCount(3);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(rows.filter({ hasText: 'Fax line' })).toHaveCount(1);
    await page.getByLabel('File of numbers').setInputFiles({
        name: 'numbers.csv',
        mimeType: 'text/csv',
        buffer: Buffer.from(
            'number;label;target\n01632 960180;Coaches;Coach line\n12;Short;\n01632 960110;Bookings;Fax line\n',
        ),
    });
    const dialog = page.getByRole('dialog');
    await expect(dialog).toContainText('target: Nothing has the name “Coach line”.');
    await expect(dialog).toContainText('Bookings: changed target: “Bookings line” becomes “Fax line”');
    await dialog.getByRole('checkbox', { name: 'Make a journey for a target' }).check();
    await expect(dialog).toContainText('Makes Coach line.');
    await dialog.getByRole('checkbox', { name: 'Leave out the 1 with problems' }).check();
    await dialog.getByRole('button', { name: 'Take over 2' }).click();
    await expect(rows).toHaveCount(51);
    await expect(rows.filter({ hasText: 'Coach line' })).toContainText('Ran out of steps');
});

test('steps are typed, with completion, and what is not there yet is made', async ({ page }) => {
    await page.goto(address('/journeys/jrn_groups', { to: '+441632960130' }));
    await page.locator('[data-row]').first().focus();
    await page.keyboard.press('+');
    await page.keyboard.type('ring ');
    const line = page.getByRole('combobox', { name: 'Type a step' });
    await expect(line).toBeFocused();
    await page.keyboard.type('Bookings desk 25s');
    await expect(page.getByText('Enter inserts it', { exact: true })).toBeVisible();
    await page.keyboard.press('Enter');
    await saved(page);
    await expect(page.locator('[data-row]:focus')).toContainText('Ring Bookings desk for 25 s');
    await page.keyboard.press('+');
    await line.fill('menu Coach menu 1 Sales 2 Freight');
    await expect(page.getByText('Enter inserts it, and makes a new prompt “Coach menu”')).toBeVisible();
    await axeClean(page, '.inserter');
    await line.press('Enter');
    await saved(page);
    await expect(page.getByRole('treegrid')).toContainText('Ask with Coach menu');
    await expect(page.getByRole('treegrid')).toContainText('key 2 · Freight');
    await page.locator('[data-row]').last().focus();
    await page.keyboard.press('+');
    await line.fill('ring Bookings desk 25s loudly');
    await expect(page.getByText('“loudly” is not understood. After “ring Bookings desk 25s”.')).toBeVisible();
    await line.press('Enter');
    await expect(line).toBeVisible();
    await line.fill('go Recep');
    await page.locator('.ant-select-dropdown:visible .ant-select-item-option', { hasText: 'go Reception' }).click();
    await line.press('Enter');
    await expect(page.locator('[data-row]').last()).toContainText('Go on in Reception');
});

test('a journey is seen as a map with the way of the call, and kept as SVG', async ({ page }) => {
    await page.goto(address('/journeys/jrn_bookings', { keys: '3' }));
    await page.getByRole('link', { name: 'As a map' }).click();
    const picture = page.getByRole('img', { name: /^Map of Bookings line: hours Bookings hours; / });
    await expect(picture).toBeVisible();
    await expect(picture).toContainText('ring Ines Carreira 30s');
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Keep as SVG' }).click();
    const file = await (await download).path();
    const text = readFileSync(file, 'utf8');
    expect(text).toContain('<svg');
    expect(text).not.toContain('var(');
    expect(
        await page.evaluate(
            (svg) => new DOMParser().parseFromString(svg, 'image/svg+xml').querySelector('parsererror'),
            text,
        ),
    ).toBeNull();
    await choose(page, 'Map of', 'Groups line');
    await expect(page.getByText('The call of the bar does not come through here.')).toBeVisible();
    // Everything behind a number, and the same as PDF.
    await choose(page, 'Map of', 'Main line');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Main line');
    await page.goto(address('/map/num_main', { to: '+441632960100' }));
    await expect(page.getByRole('heading', { name: 'Behind Main line' })).toBeVisible();
    await expect(page.getByRole('img', { name: /^Map of / })).toHaveCount(6);
    await axeClean(page, 'main');
    const print = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Keep as PDF' }).click();
    const pdf = await print;
    expect(pdf.suggestedFilename()).toBe('Main line.pdf');
    expect(readFileSync(await pdf.path(), 'latin1').slice(0, 5)).toBe('%PDF-');
});
