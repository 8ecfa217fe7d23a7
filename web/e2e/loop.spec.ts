import { address, choose, saved, sentence, startOver } from './helpers';
import { expect, test } from './test';

test.beforeEach(({ request }) => startOver(request));

test('a manager in a hurry opens the application and reads an answer', async ({ page }) => {
    await page.goto('/');
    await expect(sentence(page)).toContainText(/leaves a message|talks to|ends/);
    await expect(page.getByRole('heading', { name: 'What happens to this call' })).toBeVisible();
    await expect(page.locator('.way .course path')).toBeAttached();
});

test('the application opens at this moment, on the clock of the number that it shows', async ({ page }) => {
    await page.goto('/');
    await expect(sentence(page)).not.toContainText('Choose a number');
    await expect(page).toHaveURL(/to=%2B44.*at=|at=.*to=%2B44/);
    const at = new URL(page.url()).searchParams.get('at');
    const london = new Date().toLocaleString('sv-SE', { timeZone: 'Europe/London' }).replace(' ', 'T');
    expect(Math.abs(Date.parse(`${at}Z`) - Date.parse(`${london}Z`))).toBeLessThan(120_000);
});

test('numbers are added as they are typed, and pointed at a journey', async ({ page }) => {
    await page.goto(address('/numbers'));
    await page.getByLabel('New number', { exact: true }).fill('not a number');
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await expect(page.getByRole('alert')).toContainText('is not a phone number');
    await page.getByLabel('New number', { exact: true }).fill('01632 960 177');
    await page.getByLabel('New number', { exact: true }).press('Enter');
    await expect(page.getByLabel('Number', { exact: true })).toHaveValue('+44 1632 960177');
    await choose(page, 'Calls go to', 'Lost property line');
    await saved(page);
    await page.getByRole('button', { name: 'Try a call to this number' }).click();
    await expect(sentence(page)).toContainText('Lost property counter');
    await page.getByLabel('Name', { exact: true }).fill('Lost and found');
    await page.getByLabel('Name', { exact: true }).press('Enter');
    await expect(page.locator('.list')).toContainText('Lost and found');
    // The same number a second time is refused at the field.
    await page.getByLabel('New number', { exact: true }).fill('01632 960 177');
    await page.getByLabel('New number', { exact: true }).press('Enter');
    await expect(page.getByRole('alert')).toContainText('is here already, as “Lost and found”');
});

test('a journey is edited by mouse, and the answer follows', async ({ page }) => {
    await page.goto(address('/journeys/jrn_bookings'));
    await expect(sentence(page)).toContainText('rings Port office for 20 s');
    await expect(page.locator('.outline-box .course path')).toBeAttached();
    const row = page.getByRole('row').filter({ hasText: 'Ring Port office' });
    await row.hover();
    await row.getByRole('button', { name: 'Edit step ring' }).click();
    await page.getByLabel('Seconds to ring').fill('40');
    await page.getByLabel('Seconds to ring').press('Enter');
    await expect(sentence(page)).toContainText('rings Port office for 40 s');
    await page.locator('.row').getByRole('button', { name: 'Done' }).last().click();

    // A prompt that does not exist yet is made where it is chosen.
    await row.hover();
    await row.getByRole('button', { name: 'Insert below step ring' }).click();
    await page.getByRole('toolbar', { name: 'Which step' }).getByRole('button', { name: 'Say' }).click();
    await page.getByRole('combobox', { name: 'Prompt' }).fill('Still busy');
    await page.getByTitle('Add prompt “Still busy”').click();
    await expect(page.getByRole('row').filter({ hasText: 'Still busy' })).toBeVisible();
    await saved(page);

    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('row').filter({ hasText: 'Still busy' })).toHaveCount(0);
});

test('a journey is edited by keyboard alone', async ({ page }) => {
    await page.goto(address('/journeys/jrn_lost'));
    const grid = page.getByRole('treegrid');
    await expect(grid).toBeVisible();
    await page.locator('[data-row]').first().focus();
    await page.keyboard.press('End');
    await expect(page.locator('[data-row]:focus')).toContainText('Take a message');
    await page.keyboard.press('Alt+ArrowUp');
    await expect(page.locator('[data-row]').last()).toContainText('Ring Lost property counter');
    await expect(page.locator('[data-row]:focus')).toContainText('Take a message');
    await page.keyboard.press('Control+z');
    await expect(page.locator('[data-row]').last()).toContainText('Take a message');
    await page.keyboard.press('+');
    await page.keyboard.press('m');
    await expect(page.getByRole('button', { name: 'Menu', exact: true })).toBeFocused();
    await page.keyboard.type('es');
    await expect(page.getByRole('button', { name: 'Message', exact: true })).toBeFocused();
    await page.keyboard.type('end');
    await page.keyboard.press('Enter');
    await expect(page.locator('[data-row]').last()).toContainText('End the call');
    await expect(page.locator('[data-row]:focus')).toContainText('End the call');
    await page.keyboard.press('Delete');
    await expect(page.locator('[data-row]').last()).toContainText('Take a message');
    await page.locator('[data-row]').last().focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('combobox', { name: 'Mailbox' })).toBeFocused();
    await page.keyboard.press('Escape');
    await expect(page.locator('[data-row]:focus')).toContainText('Take a message');
});

test('a step that would go round for ever is refused, and can be dropped', async ({ page }) => {
    await page.goto(address('/journeys/jrn_lost'));
    const first = page.locator('[data-row]').first();
    await first.hover();
    await first.getByRole('button', { name: 'Insert below step hours' }).click();
    await page.getByRole('toolbar', { name: 'Which step' }).getByRole('button', { name: 'Go' }).click();
    await choose(page, 'Journey', 'Lost property line');
    await expect(page.getByRole('alert').first()).toContainText('go round here for ever');
    await page.getByRole('button', { name: 'Drop my change' }).click();
    await saved(page);
});

test('hours are painted with the mouse and with the keyboard', async ({ page }) => {
    await page.goto(address('/hours/hrs_bookings'));
    await page.getByRole('radio', { name: 'Closed' }).click();
    const strip = page.locator('.week-strip svg');
    const box = await strip.boundingBox();
    if (!box) throw new Error('no strip');
    // Ten to eleven on Monday: the drawing is 854 units wide, a day 800 of them from 46 on.
    const x = (hour: number) => box.x + ((46 + (hour / 24) * 800) / 854) * box.width;
    const y = box.y + (35 / 260) * box.height;
    await page.mouse.move(x(10) + 3, y);
    await page.mouse.down();
    await page.mouse.move(x(11) - 3, y, { steps: 4 });
    await page.mouse.up();
    await expect(sentence(page)).toContainText('Hears “Bookings closed”');
    await expect(page.locator('.now')).toContainText('Closed');

    await page.getByRole('radio', { name: 'Open' }).click();
    await page.getByRole('application', { name: /Week/ }).focus();
    for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowLeft');
    for (let i = 0; i < 3; i++) await page.keyboard.press('Shift+ArrowRight');
    await expect(page.locator('.week-strip .about')).toContainText('Mon 10:00–11:00');
    await page.keyboard.press('Enter');
    await expect(sentence(page)).toContainText('waits in Bookings queue');
    await saved(page);
});

test('a band inside out says how to mend it, and a special day decides its date', async ({ page }) => {
    await page.goto(address('/hours/hrs_lost'));
    await page.getByText('Bands in figures').click();
    await page.getByLabel('To', { exact: true }).first().fill('8');
    await page.getByLabel('To', { exact: true }).first().press('Enter');
    await expect(page.locator('.bands').getByRole('alert')).toContainText('for an end on the next day write 32:00');
    await page.getByRole('button', { name: 'Drop my change' }).click();
    await page.getByLabel('Name of a new special day').fill('Stocktaking');
    await page.getByRole('button', { name: 'Add special day' }).click();
    await expect(page.locator('.now')).toContainText('Stocktaking');
});

test('the moment is chosen, stepped through, and kept in the address', async ({ page }) => {
    await page.goto(address('/journeys/jrn_bookings'));
    await expect(sentence(page)).toContainText('Presses nothing');
    await page.locator('h1').first().click();
    await page.keyboard.press(']');
    await expect(page.getByLabel('Time', { exact: true })).toHaveValue(/^12:00/);
    await expect(sentence(page)).toContainText('Hears “Lunch, fewer staff”');
    await page.keyboard.press('[');
    await expect(page.getByLabel('Time', { exact: true })).toHaveValue('08:25:12');
    await page.getByRole('button', { name: /Assuming/ }).click();
    await page.getByRole('button', { name: 'Somebody answers' }).click();
    await page.getByLabel('Keys pressed').fill('3');
    await expect(sentence(page)).toContainText(
        'Presses 3, hears “Groups”, rings Ines Carreira and is answered after 8 s',
    );
    const link = page.url();
    await page.goto('about:blank');
    await page.goto(link);
    await expect(sentence(page)).toContainText('talks to Ines Carreira');
});

test('the draft is published, tried beside what is live, and an old edition comes back', async ({ page }) => {
    await page.goto(address('/queues/que_bookings'));
    await page.getByLabel('Name', { exact: true }).fill('Ticket queue');
    await page.getByLabel('Name', { exact: true }).press('Enter');
    await expect(sentence(page)).toContainText('waits in Ticket queue');
    await page.getByRole('link', { name: 'Editions' }).click();
    await expect(page.locator('.pending').first()).toContainText('changed Ticket queue');
    await page.getByLabel('Note').fill('The desk has a new name');
    await page.getByRole('button', { name: /Publish as edition/ }).click();
    await expect(page.locator('.editions li').first()).toContainText('The desk has a new name');
    await expect(page.locator('.editions li').first()).toContainText('live');
    await page.locator('.editions li').last().getByRole('button', { name: 'Try calls on it' }).click();
    await expect(sentence(page)).toContainText('waits in Bookings queue');
    await expect(page.getByText('You are looking at edition 1')).toBeVisible();
    await page.locator('.editions li').first().getByRole('button', { name: 'Try calls on it' }).click();
    await expect(sentence(page)).toContainText('waits in Ticket queue');
    await page.locator('.editions li').last().getByRole('button', { name: 'Put back into the draft' }).click();
    await expect(page.getByText('Edition 1 is back in the draft')).toBeVisible();
    await page.goto(address('/queues/que_bookings'));
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Bookings queue');
});
