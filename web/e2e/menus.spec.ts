import { address, choose, saved, sentence, startOver } from './helpers';
import { expect, test } from './test';

test.beforeEach(({ request }) => startOver(request));

const TERMINAL = { to: '+33261910100', at: '2026-11-23T09:30:00' };

test('a key that the script promises and that leads nowhere is found, and added in one click', async ({ page }) => {
    await page.goto(address('/journeys/jrn_port', TERMINAL));
    const found = page.getByText(
        '“Terminal menu” promises key * for “hear this again” in English, and it leads nowhere.',
    );
    await expect(found.first()).toBeVisible();
    await page.getByRole('button', { name: 'Add key *' }).click();
    await expect(found).toHaveCount(0);
    // It hears it again from here on.
    await page.locator('.row.exit', { hasText: 'key *' }).first().focus();
    await page.keyboard.press('+');
    await page.keyboard.type('back');
    await page.keyboard.press('Enter');
    await page.keyboard.press('Escape');
    await saved(page);
    await page.getByRole('button', { name: /Assuming/ }).click();
    await page.getByLabel('Keys pressed').fill('*2');
    await expect(sentence(page)).toContainText('presses *, presses 2');
    await page.keyboard.press('Escape');
    await page.getByRole('link', { name: 'This call' }).click();
    await expect(page.locator('main')).toContainText('Goes back to the menu');
    await expect(page.locator('main')).toContainText('Presses 2');
});

test('a script is written from the keys, and undo brings the old one back', async ({ page }) => {
    await page.goto(address('/journeys/jrn_port', TERMINAL));
    await page.getByRole('row').filter({ hasText: 'Ask with Terminal menu' }).dblclick();
    await page.getByRole('button', { name: 'Write the script from the keys' }).click();
    await expect(
        page.getByText('For foot passengers, press one. For vehicles, press two.', { exact: false }).first(),
    ).toBeVisible();
    await expect(page.getByText('promises key *')).toHaveCount(0);
    await page.goto(address('/prompts/prm_terminal_menu', TERMINAL));
    await expect(
        page.getByText('Pour les piétons, tapez un. Pour les véhicules, tapez deux.', { exact: false }).first(),
    ).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText('To hear this again, press star.', { exact: false }).first()).toBeVisible();
});

test('a key while the prompt plays, an extension dialled, and words that must be heard', async ({ page }) => {
    await page.goto(address('/journeys/jrn_bookings', { keys: '3@2' }));
    await expect(sentence(page)).toContainText('Presses 3');
    const menu = page.getByRole('row').filter({ hasText: 'Ask with Bookings menu' });
    await menu.dblclick();
    await page.getByRole('checkbox', { name: 'keys count while it plays' }).click();
    await expect(sentence(page)).toContainText('Presses nothing at “Bookings menu”');
    await page.getByRole('checkbox', { name: 'extensions can be dialled' }).click();
    await saved(page);
    await page.getByRole('button', { name: /Assuming/ }).click();
    await page.getByLabel('Keys pressed').fill('205,');
    await page.keyboard.press('Escape');
    await expect(sentence(page)).toContainText('Dials 205, rings Ines Carreira');
    await choose(page, 'Whose extensions', 'some');
    await expect(page.getByText('Extensions may be dialled at this menu, but of nobody.').first()).toBeVisible();
    await expect(sentence(page)).toContainText('Dials 205, which leads nowhere');
    await page.getByRole('button', { name: 'Let nobody be dialled' }).click();
    await expect(page.getByRole('checkbox', { name: 'extensions can be dialled' })).not.toBeChecked();
});

test('account customers skip the menu, by a list that is pasted and a step that looks at it', async ({ page }) => {
    await page.goto(address('/callers/clr_accounts', { to: '+441632960100', from: '01632 960701' }));
    await expect(sentence(page)).toContainText('Is one of Account customers, hears “Freight welcome”');
    await expect(page.locator('.callers .matched')).toContainText('this call');
    await page.getByLabel('Add callers, a line each').fill('01632 960703, Quay Parcels\nnobody\n01632 960701');
    await page.getByRole('button', { name: 'Add these' }).click();
    await expect(page.getByText('1 added, 1 here already')).toBeVisible();
    await expect(page.getByText('Line 2: "nobody" tells no callers apart.')).toBeVisible();
    await expect(page.getByLabel('Add callers, a line each')).toHaveValue('nobody');
    await page.getByLabel('Label of +441632960703').fill('Account: Quay');
    await page.getByLabel('Label of +441632960703').press('Enter');
    await saved(page);
    await page.goto(address('/', { to: '+441632960100', from: '01632 960703' }));
    await expect(page.locator('main')).toContainText('The person who answers sees “Account: Quay”');
    await page.goto(
        address('/journeys/jrn_lost', { to: '+441632960140', at: '2026-11-25T11:00:00', from: '01632 960702' }),
    );
    await page.locator('[data-row]').first().focus();
    await page.keyboard.press('+');
    await page.keyboard.type('caller');
    await page.keyboard.press('Enter');
    await choose(page, 'Add a list of callers', 'Account customers');
    await expect(page.locator('.row.exit', { hasText: 'one of Account customers' })).toBeVisible();
    await expect(sentence(page)).toContainText('Is one of Account customers');
});

test('a call is sent on for good, by keyboard, and goes on where it does not get through', async ({ page }) => {
    await page.goto(address('/journeys/jrn_lost', { to: '+441632960140', at: '2026-11-25T11:00:00' }));
    await page.locator('[data-row]').first().focus();
    await page.keyboard.press('+');
    await page.keyboard.type('forward');
    await page.keyboard.press('Enter');
    await page.getByLabel('Number to send calls to').fill('07700 900155');
    await page.getByLabel('Number to send calls to').press('Enter');
    await expect(sentence(page)).toContainText('Is sent on to +44 7700 900155');
    await saved(page);
    await page.goto(
        address('/journeys/jrn_lost', {
            to: '+441632960140',
            at: '2026-11-25T11:00:00',
            phones: '+447700900155~busy~0',
        }),
    );
    await expect(sentence(page)).toContainText('Is not sent on to +44 7700 900155, rings Lost property counter');
});

test('a journey is a part of another, and comes back', async ({ page }) => {
    await page.goto(address('/journeys/jrn_lost', { to: '+441632960140', at: '2026-11-25T11:00:00' }));
    await page.locator('[data-row]').first().focus();
    await page.keyboard.press('+');
    await page.keyboard.type('go');
    await page.keyboard.press('Enter');
    await choose(page, 'Journey', 'Groups line');
    await expect(sentence(page)).toContainText('then leaves a message with Groups mailbox');
    await page.getByRole('checkbox', { name: 'and come back when it runs out' }).click();
    await expect(page.locator('[data-row]').filter({ hasText: 'and come back' }).first()).toBeVisible();
    await saved(page);
    await page.goto(address('/journeys/jrn_groups', { to: '+441632960140', at: '2026-11-25T11:00:00' }));
    await page.locator('[data-row]').last().focus();
    await page.keyboard.press('Delete');
    await expect(sentence(page)).toContainText('Waits in Groups and coaches for 5 min, rings Lost property counter');
});
