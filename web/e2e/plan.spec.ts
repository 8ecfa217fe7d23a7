import { readFile } from 'node:fs/promises';
import { axeClean } from './axe';
import { address, choose, saved, sentence, startOver } from './helpers';
import { expect, test } from './test';

test.beforeEach(({ request }) => startOver(request));

test('all numbers at one moment, the worst endings first, and one of them tried', async ({ page }) => {
    await page.goto(address('/all-numbers'));
    const rows = page.getByRole('table').locator('tbody tr[data-row-key]');
    await expect(rows).toHaveCount(50);
    await expect(rows.first()).toContainText('Ran out of steps');
    await expect(rows.filter({ hasText: 'Paris ventes' })).toContainText('Rings Réservations for 25 s');
    await expect(page.getByText('…', { exact: true })).toHaveCount(0);
    await page.getByRole('button', { name: 'Number', exact: true }).press('Enter');
    await expect(rows.first()).toContainText('Berth telephones');
    await page.getByRole('button', { name: 'Number', exact: true }).click();
    await expect(page.getByRole('columnheader', { name: 'Number' })).toHaveAttribute('aria-sort', 'descending');
    await expect(rows.first()).toContainText('Skarrow, lost property');
    await choose(page, 'Only of a site', 'Port-Saint-Aubert');
    await expect(rows).toHaveCount(4);
    await choose(page, 'Only those that end so', 'Ran out of steps');
    await expect(rows).toHaveCount(1);
    await page.reload();
    await page.getByLabel('Search all numbers').fill('960140');
    await expect(rows).toHaveCount(1);
    await rows.first().getByRole('button', { name: 'Try it' }).click();
    await expect(sentence(page)).toContainText('Lost property');
    await page.getByLabel('Search all numbers').fill('nowhere at all');
    await expect(page.getByText('Nothing fits these words.')).toBeVisible();
});

test('what was changed, by whom and when, of all and of one element', async ({ page }) => {
    await page.goto(address('/sites/sit_ternwick'));
    await page.getByLabel('Name', { exact: true }).fill('Ternwick Quay');
    await page.getByLabel('Name', { exact: true }).press('Enter');
    await saved(page);
    await page.getByRole('link', { name: 'Changes to it' }).click();
    await expect(page.getByRole('heading', { name: 'Changes to Ternwick Quay' })).toBeVisible();
    await page
        .getByRole('button', { name: /What changed: / })
        .first()
        .click();
    await expect(page.locator('.differences').first()).toContainText('Ternwick Harbour → Ternwick Quay');
    await page.getByRole('link', { name: 'All changes' }).click();
    await expect(page.locator('.changes > li').first()).toContainText('by demo');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.locator('.changes > li').first()).toContainText('taken back');
});

test('an empty plan, from its first site to its first call', async ({ page }) => {
    await page.goto(address('/files'));
    await page.getByLabel('Name of a new plan').fill('Quayside');
    await page.getByLabel('Name of a new plan').press('Enter');
    await page.getByRole('button', { name: 'Bring it in' }).press('Enter');
    const steps = page.getByRole('region', { name: 'First steps' });
    await expect(steps).toContainText('There is no number to call yet');
    await expect(page.getByText('The draft takes 50 numbers away')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Next change of the answer' })).toBeDisabled();
    await axeClean(page, 'main');
    await steps.getByRole('link', { name: 'Numbers' }).press('Enter');
    await page.getByRole('button', { name: 'Add a site' }).press('Enter');
    await page.getByLabel('Name of a new site').fill('Quay');
    await page.getByLabel('Name of a new site').press('Enter');
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Quay');
    await page.getByRole('link', { name: 'This call' }).click();
    await expect(steps).toContainText('1 so far');
    await steps.getByRole('link', { name: 'Numbers' }).click();
    await page.getByLabel('New number', { exact: true }).fill('01632 960777');
    await page.getByLabel('New number', { exact: true }).press('Enter');
    await expect(page).toHaveURL(/\/numbers\/num_/);
    await expect(sentence(page)).toContainText('The call ends because no step is left.');
    await expect(page.getByText('takes 50 numbers away and adds one number')).toBeVisible();

    // A journey from a pattern, and whatever it needs by typing its name.
    await page.getByRole('link', { name: 'Journeys' }).click();
    await page.getByRole('button', { name: 'Start from a pattern …' }).press('Enter');
    const pattern = page.getByRole('dialog');
    await pattern.getByLabel('Name of the journey').fill('Main line');
    const make = async (field: string, kind: string, name: string) => {
        const box = page.getByRole('combobox', { name: field });
        await box.pressSequentially(name);
        await expect(page.getByTitle(`Add ${kind} “${name}”`)).toBeVisible();
        await box.press('Enter');
        await expect(pattern.locator('.ant-select', { has: box })).toContainText(name);
    };
    await make('Hours', 'hours', 'Office hours');
    await make('Who takes calls', 'person', 'Maud Ferris');
    await make('Messages go to', 'mailbox', 'Office mailbox');
    await pattern.getByRole('button', { name: 'Make the journey' }).press('Enter');
    await page.getByRole('button', { name: 'Send calls to +44 1632 960777 here' }).press('Enter');
    await expect(sentence(page)).toContainText(
        /Rings Maud Ferris for 20 s, then leaves a message with Office mailbox|^Leaves a message with Office mailbox/,
    );
    await page.getByRole('link', { name: 'Editions' }).click();
    const changes = page.getByRole('region', { name: 'What it changes for callers' });
    await expect(changes.getByText('no longer a number of the plan')).toHaveCount(1);
    await expect(changes.getByText('a new number')).toBeVisible();

    // What the draft does not have any more says what became of it, and is looked for where it is in force.
    await page.goto(address('/hours/hrs_port'));
    await expect(page.getByText('This is not in the draft.')).toBeVisible();
    await expect(page.getByRole('link', { name: 'Changes to it' })).toHaveAttribute('href', /\/changes\/hrs_port/);
    await page.getByRole('button', { name: 'Look for it in live' }).press('Enter');
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Port-Saint-Aubert hours');
});

test('a plan is brought in after a look at what would change, and one that does not fit is not', async ({ page }) => {
    await page.goto(address('/files'));
    const bring = page.getByRole('region', { name: 'Bring in' });
    await bring.getByLabel('Name of a new plan').fill('Blank');
    await bring.getByRole('button', { name: 'Start with an empty plan' }).click();
    await expect(bring.getByRole('status')).toContainText('the empty plan would change 156 elements (156 removed)');
    // What somebody gave a reason for comes first.
    await expect(bring.getByRole('status').getByRole('listitem').first()).toContainText('It was so because: “');
    await axeClean(page, '.notice', { runOnly: { type: 'tag', values: ['wcag2a', 'wcag2aa', 'wcag22aa'] } });
    await bring.getByText('Numbers 50 removed').click();
    await expect(bring.getByRole('status')).toContainText('and 30 more');
    await bring.getByRole('button', { name: 'Leave the draft as it is' }).click();
    await expect(bring.getByRole('status')).toHaveCount(0);

    const [download] = await Promise.all([
        page.waitForEvent('download'),
        page.getByRole('link', { name: 'Draft', exact: true }).click(),
    ]);
    const plan = JSON.parse(await readFile(await download.path(), 'utf8'));
    plan.elements[0].name = 'Renamed';
    const choose = (text: string) =>
        bring
            .getByLabel('Plan file')
            .setInputFiles({ name: 'plan.json', mimeType: 'application/json', buffer: Buffer.from(text) });
    await choose(JSON.stringify({ ...plan, elements: [{ ...plan.elements[0], id: 'No id' }] }));
    await expect(bring.getByRole('alert')).toContainText('/elements/0/id');
    await choose('{"meandros": 1,');
    await expect(bring.getByRole('alert')).toContainText('This file is not JSON');
    await choose(JSON.stringify(plan));
    await expect(bring.getByRole('status')).toContainText('would change 1 element (1 changed)');
    await bring.getByRole('button', { name: 'Bring it in' }).click();
    await expect(page.getByText('is the draft now')).toBeVisible();
    await page.getByRole('link', { name: 'Changes', exact: true }).click();
    await expect(page.locator('.changes > li').first()).toContainText('Bring in a plan file');
    await page.getByRole('link', { name: 'Plan files' }).click();
    await bring.getByRole('button', { name: 'Start with the demo plan' }).click();
    await expect(bring.getByRole('status')).toContainText('would change 1 element');
});

test('a plan is taken away with its sounds, and comes back with them', async ({ page }) => {
    await page.goto(address('/files'));
    const [download] = await Promise.all([
        page.waitForEvent('download'),
        page.getByRole('link', { name: 'Draft with its sounds' }).click(),
    ]);
    const bundle = await readFile(await download.path());
    const bring = page.getByRole('region', { name: 'Bring in' });
    const choose = (buffer: Buffer) =>
        bring
            .getByLabel('Plan with its sounds')
            .setInputFiles({ name: 'plan.zip', mimeType: 'application/zip', buffer });
    await choose(bundle);
    await expect(bring.getByRole('status')).toContainText('The elements of the bundle are those of the draft already.');
    await choose(Buffer.from('PK, and nothing else'));
    await expect(bring.getByRole('alert')).toContainText('cannot be opened as a ZIP');
});

test('keys of one character can be another, or none', async ({ page }) => {
    await page.goto(address('/'));
    await page.getByRole('button', { name: 'Keys' }).click();
    const why = page.getByLabel('Why the hours are as they are');
    await why.fill('?');
    await page.getByLabel('To the next moment at which the answer changes').fill('');
    await page.getByRole('button', { name: 'Done' }).click();
    await page.reload();
    await expect(sentence(page)).toContainText('Presses nothing');
    await page.locator('#main').focus();
    await page.keyboard.press(']');
    await page.keyboard.press('w');
    await expect(page.getByRole('tooltip')).toHaveCount(0);
    await expect(page).toHaveURL(/at=2026-11-23T10%3A30%3A00/);
    await page.keyboard.press('?');
    await expect(page.locator('.ant-popover:visible')).toContainText('Bookings hours');
});

test('after something is added the keyboard is where the work goes on', async ({ page }) => {
    await page.goto(address('/journeys'));
    await page.getByLabel('Name of a new journey').fill('Night line');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: 'Add a step at the end' })).toBeFocused();
    await page.keyboard.press('Enter');
    await page.keyboard.type('end');
    await page.keyboard.press('Enter');
    await expect(page.locator('[data-row]')).toContainText('End the call');
});

test('a large file of people is brought in while other work goes on', async ({ page }) => {
    await page.goto(address('/people'));
    const lines = Array.from({ length: 2400 }, (_, i) => `Hand ${i},${40000 + i},Desk phone`);
    const buffer = Buffer.from(`name,extension,desk\n${lines.join('\n')}\nNobody,1,Desk phone`);
    const bring = () =>
        page.getByLabel('File of people').setInputFiles({ name: 'people.csv', mimeType: 'text/csv', buffer });
    const work = page.getByRole('region', { name: 'Work in the background' });
    await bring();
    const dialog = page.getByRole('dialog');
    await expect(dialog).toContainText('The file has 2401 people.');
    await dialog.getByRole('button', { name: 'Take over up to 2401' }).click();
    await expect(work.getByRole('alert')).toContainText('Line 2402, extension: "1" is not an extension');
    await work.getByRole('button', { name: 'Close' }).click();
    await expect(work).toHaveCount(0);
    await bring();
    await dialog.getByLabel('Leave out whoever has problems').check();
    await dialog.getByRole('button', { name: 'Take over up to 2401' }).click();
    await page.getByRole('link', { name: 'Teams' }).click();
    await expect(work.getByRole('status')).toContainText('is done: Bring in 2400 people');
    await page.getByRole('link', { name: 'People', exact: true }).click();
    await page.getByLabel('Search people').fill('Hand 2399');
    await expect(page.getByRole('link', { name: /Hand 2399/ })).toBeVisible();
});
