import { axeClean } from './axe';
import { address, choose, saved, sentence, startOver } from './helpers';
import { expect, type Page, test } from './test';

test.beforeEach(({ request }) => startOver(request));

async function add(page: Page, path: string, label: string, name: string) {
    await page.goto(address(path));
    await page.getByLabel(label, { exact: true }).fill(name);
    await page.getByLabel(label, { exact: true }).press('Enter');
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue(name);
}

test('a new person has a free extension and a desk phone; phones are added and removed', async ({ page }) => {
    await add(page, '/people', 'Name of a new person', 'Ned Garrow');
    await expect(page.getByLabel('Extension')).toHaveValue('206');
    await expect(page.locator('.phone')).toHaveCount(1);
    await page.getByLabel('Add an outside number').fill('07700 900177');
    await page.getByLabel('Add an outside number').press('Enter');
    await expect(page.locator('.phone')).toHaveCount(2);
    await expect(page.getByLabel('Number', { exact: true })).toHaveValue('+44 7700 900177');
    await page.getByRole('button', { name: 'Add a soft phone' }).click();
    await expect(page.locator('.phone')).toHaveCount(3);
    await page.getByRole('button', { name: 'Remove Desk phone' }).click();
    await expect(page.locator('.phone')).toHaveCount(2);
    await choose(page, 'Own mailbox', 'Reception mailbox');
    await saved(page);
    await page.reload();
    await expect(page.locator('.phone')).toHaveCount(2);
    await expect(page.getByText('Nothing yet; it can be deleted freely.')).toBeVisible();
    await page.getByRole('button', { name: 'Delete', exact: true }).click();
    await expect(page.locator('.list')).not.toContainText('Ned Garrow');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.locator('.list')).toContainText('Ned Garrow');
});

test('what is used is not deleted; another takes its place, everywhere or in some', async ({ page }) => {
    await page.goto(address('/prompts/prm_holiday'));
    await page.getByRole('button', { name: 'Delete', exact: true }).click();
    const dialog = page.getByRole('dialog');
    await expect(dialog).toContainText('Put something else in its place');
    await dialog.getByRole('button', { name: 'OK' }).click();
    await choose(page, 'What takes its place', 'Bookings closed');
    const used = page.locator('.used-by');
    await page.getByRole('checkbox', { name: 'Bookings closed in Reception' }).uncheck();
    await page.getByRole('button', { name: 'Put it in 4 of 5' }).click();
    await expect(page.getByText('Put Bookings closed in the place of Public holiday. Undo')).toBeVisible();
    await expect(used.locator('li')).toHaveText(['Reception plays it']);
    await choose(page, 'What takes its place', 'Bookings closed');
    await page.getByRole('button', { name: 'Put it there' }).focus();
    await page.keyboard.press('Enter');
    await expect(used).toContainText('it can be deleted freely');
    for (const left of [1, 5]) {
        await page.getByRole('button', { name: 'Undo' }).click();
        await expect(used.locator('li')).toHaveCount(left);
    }
});

test('a journey is copied with its hours and queue for another site, as one edit', async ({ page }) => {
    await page.goto(address('/journeys/jrn_bookings'));
    await page.getByRole('button', { name: 'Duplicate' }).click();
    const dialog = page.getByRole('dialog');
    await expect(page.getByLabel('Name of the copy')).toBeFocused();
    await page.keyboard.type('Groups line');
    await choose(page, 'In the copy, Bookings hours', 'a copy');
    await expect(page.getByLabel('Name of the copy of Bookings hours')).toHaveValue('Groups hours');
    await choose(page, 'In the copy, Bookings queue', 'a copy');
    await expect(dialog).toContainText('Bookings queue without *31, *32, *33');
    await choose(page, 'In the copy, Ternwick Harbour', 'another');
    await choose(page, 'Instead of Ternwick Harbour', 'Port-Saint-Aubert');
    await axeClean(page, '.ant-modal');
    await page.getByLabel('Name of the copy of Bookings queue').fill('');
    await dialog.getByRole('button', { name: 'Duplicate' }).click();
    await expect(dialog.getByRole('alert')).toContainText('missing');
    await page.getByLabel('Name of the copy of Bookings queue').fill('Coaches');
    await page.keyboard.press('Tab');
    await dialog.getByRole('button', { name: 'Duplicate' }).dblclick();
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Groups line');
    await expect(page.getByRole('treegrid')).toContainText('Wait in Coaches');
    await expect(page.locator('.list')).toContainText('Groups lineGroups line');
    await page.goto(address('/hours'));
    await page.locator('.list').getByText('Groups hours').click();
    await expect(page.locator('.sheet')).toContainText('Port-Saint-Aubert');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.locator('.list')).not.toContainText('Groups hours');
});

test('whoever presses twice does it once', async ({ page }) => {
    await page.goto(address('/journeys/jrn_fax'));
    await page.getByRole('button', { name: 'Duplicate' }).click();
    await expect(page.getByLabel('Name of the copy')).toBeFocused();
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Fax line, copy');
    await page.getByRole('button', { name: 'Delete', exact: true }).dblclick();
    await expect(page.getByText('Fax line, copy is deleted.')).toBeVisible();
    await expect(page.locator('.list')).not.toContainText('Fax line, copy');
    await expect(page.locator('.ant-notification-notice')).toHaveCount(0);
});

test('a wrong outside number is refused and what was typed stays', async ({ page }) => {
    await page.goto(address('/people/per_dana'));
    await page.getByLabel('Add an outside number').fill('12');
    await page.getByLabel('Add an outside number').press('Enter');
    await expect(page.locator('.field').getByRole('alert')).toContainText('is too short');
    await expect(page.getByLabel('Add an outside number')).toHaveValue('12');
    await expect(page.locator('.phone')).toHaveCount(2);
});

test('why it is so is said where it is, told to whoever follows a call, and found by its words', async ({ page }) => {
    await page.goto(address('/teams/team_port', { to: '+33261910100' }));
    const why = page.getByLabel('Why it is so');
    await why.fill('One counter, and whoever is nearer takes the call.');
    await why.press('Tab');
    await saved(page);
    await why.fill('Something else.');
    await why.press('Escape');
    await expect(why).toHaveValue('One counter, and whoever is nearer takes the call.');
    await axeClean(page);
    await page.getByRole('link', { name: 'This call' }).click();
    await expect(page.locator('.way')).toContainText(
        'Port office: “One counter, and whoever is nearer takes the call.”',
    );
    await page.keyboard.press('/');
    await page.keyboard.type('whoever is nearer');
    await page.getByRole('option', { name: /^Port office team/ }).click();
    await expect(why).toHaveValue('One counter, and whoever is nearer takes the call.');
    await why.fill('x'.repeat(1001));
    await why.press('Tab');
    await expect(page.locator('.about.alarm')).toHaveText('This is longer than 1000 characters. Shorten it.');
    await why.fill('');
    await why.press('Tab');
    await saved(page);
    await page.getByRole('link', { name: 'This call' }).click();
    await expect(page.locator('.way')).toContainText('Rings Port office');
    await expect(page.locator('.way')).not.toContainText('whoever is nearer');
    await page.goto(address('/teams/team_freight'));
    await page.getByRole('radio', { name: /All at once/ }).check();
    await saved(page);
    await page.getByRole('link', { name: 'Editions' }).click();
    await expect(page.getByRole('region', { name: 'Publish' }).locator('.pending').first()).toContainText(
        'It was so because: “Hugh knows the accounts, so he is first.',
    );
});

test('a team is made, filled, ordered, and rings one after the other', async ({ page }) => {
    await add(page, '/teams', 'Name of a new team', 'Night watch');
    await expect(page.getByText('Nobody is in this team')).toBeVisible();
    for (const name of ['Hugh Pellow', 'Kasia Wrona']) {
        await choose(page, 'Add a member', name);
        await expect(page.locator('.members')).toContainText(name);
    }
    await page.getByRole('button', { name: 'Move Kasia Wrona up' }).click();
    await expect(page.locator('.members li').first()).toContainText('Kasia Wrona');
    await page.getByRole('radio', { name: /One after the other/ }).check();
    await page.getByLabel('Seconds each member rings').fill('9');
    await page.getByLabel('Seconds each member rings').press('Enter');
    await saved(page);
    await page.goto(address('/numbers/num_paris', { to: '+33199000120' }));
    await choose(page, 'Calls go to', 'Night watch');
    await expect(sentence(page)).toContainText('Rings Night watch for 18 s');
    await page.goto(address('/teams', { to: '+33199000120' }));
    await page.getByRole('link', { name: /Night watch/ }).click();
    await expect(page.locator('.members li').last()).toContainText('rings 9–18 s into this call');
});

test('a member who does not exist yet is made where they are chosen', async ({ page }) => {
    await page.goto(address('/teams/team_port'));
    const member = page.getByRole('combobox', { name: 'Add a member' });
    await member.click();
    await expect(page.getByText('Type a name to add a new one.')).toBeVisible();
    await member.pressSequentially('Noémie Kervella');
    await expect(page.getByTitle('Add person “Noémie Kervella”')).toBeVisible();
    await member.press('Enter');
    await expect(page.locator('.members')).toContainText('Noémie Kervella');
    await saved(page);
});

test('a script is saved when the keyboard leaves it by way of its blanks', async ({ page }) => {
    await page.goto(address('/prompts/prm_all_busy', { to: '+441632960290' }));
    const script = page.getByLabel('Script in English');
    await script.fill('All of us are on the phone.');
    await Promise.all([
        page.waitForResponse((one) => one.request().method() === 'PUT' && one.ok()),
        page.keyboard.press('Tab'),
    ]);
    await expect(page.getByRole('button', { name: 'Put in a blank …' }).first()).toBeFocused();
    await page.reload();
    await expect(script).toHaveValue('All of us are on the phone.');
});

test('a prompt has a script per language, and its length is estimated', async ({ page }) => {
    await add(page, '/prompts', 'Name of a new prompt', 'Fog');
    await page.getByLabel('Script in English').fill('There is fog in the harbour, and ferries wait.');
    await page.getByLabel('Script in English').blur();
    await expect(page.getByText('Callers hear it for 3 s')).toBeVisible();
    await choose(page, 'Add a language', 'French');
    await page.getByLabel('Script in French').click();
    await page.getByLabel('Script in French').fill('Brouillard au port.');
    await page.getByLabel('Script in French').blur();
    await expect(page.locator('.list li', { hasText: 'Fog' })).toContainText('English 3 s · French 2 s');
    await page.getByRole('button', { name: 'Remove French' }).click();
    await expect(page.getByLabel('Script in French')).toHaveCount(0);
});

test('a mailbox tells people by e-mail, and refuses what is no address', async ({ page }) => {
    await add(page, '/mailboxes', 'Name of a new mailbox', 'Complaints');
    const told = page.getByRole('combobox', { name: 'E-mail addresses told' });
    await told.fill('nobody');
    await told.press('Enter');
    await expect(page.locator('.field').getByRole('alert')).toContainText('is not an e-mail address');
    await page.getByRole('button', { name: 'Drop my change' }).click();
    await told.fill('complaints@ternwick.example');
    await told.press('Enter');
    await saved(page);
    await choose(page, 'Greeting', 'Greeting of the reception mailbox');
    await page.getByLabel('Longest message').fill('240');
    await page.getByLabel('Longest message').press('Enter');
    await saved(page);
    await page.reload();
    await expect(page.getByLabel('Longest message')).toHaveValue('240');
    await expect(page.locator('.sheet')).toContainText('complaints@ternwick.example');
});

test('hours get a state of their own, a band past midnight, and the zone of another site', async ({ page }) => {
    await add(page, '/hours', 'Name of new hours', 'Bar hours');
    await page.getByRole('button', { name: 'Add state' }).click();
    await expect(page.getByLabel('Name of a new state')).toBeFocused();
    await expect(page.getByText('A name comes first.')).toBeVisible();
    await page.getByLabel('Name of a new state').fill('Last orders');
    await page.getByLabel('Name of a new state').press('Enter');
    await expect(page.getByRole('radio', { name: 'Last orders' })).toBeVisible();
    await page.getByText('Bands in figures').click();
    await page.getByRole('button', { name: 'Add a band' }).click();
    await saved(page);
    await expect(page.getByLabel('From', { exact: true })).toHaveCount(2);
    await page.getByLabel('To', { exact: true }).last().fill('26');
    await page.getByLabel('To', { exact: true }).last().press('Enter');
    await expect(page.getByText('= 02:00 next day')).toBeVisible();
    await choose(page, 'Site', 'Port-Saint-Aubert');
    await expect(page.locator('.field', { hasText: 'Keeps the time of' })).toContainText('its site (Europe/Paris)');
    await expect(page.locator('.now')).toContainText('11:30 in Europe/Paris');
    await saved(page);
});

test('the country of a site follows its clock, and its clock the country', async ({ page }) => {
    await add(page, '/sites', 'Name of a new site', 'Skerry Light');
    await choose(page, 'Time zone', 'Europe/Dublin');
    const country = page.locator('.field', { hasText: 'Country' });
    await expect(country).toContainText('Ireland (IE)');
    await choose(page, 'Country', 'France');
    await expect(page.locator('.field', { hasText: 'Time zone' })).toContainText('Europe/Paris');
    await choose(page, 'Country', 'United States (US)');
    await saved(page);
    await expect(page.locator('.list')).toContainText('Europe/Paris');
    // Many clocks are kept there: which one is asked.
    await expect(page.getByText('nobody keeps in its country, United States')).toBeVisible();
    await choose(page, 'Time zone', 'America/Denver');
    await expect(page.getByText('nobody keeps in its country')).toBeHidden();
    await expect(country).toContainText('United States (US)');
});

test('what is worked at stays on screen, wherever its list puts it', async ({ page }) => {
    await page.goto(address('/teams'));
    const name = page.getByLabel('Name', { exact: true });
    const was = await name.inputValue();
    await name.fill(`Zone of ${was}`);
    await name.press('Enter');
    await saved(page);
    const teams = page.getByRole('region', { name: 'Teams' });
    await expect(teams.getByRole('link', { name: `Zone of ${was}` })).toHaveAttribute('aria-current', 'page');
    await expect(teams.getByRole('link').first()).not.toContainText('Zone');
    await expect(name).toHaveValue(`Zone of ${was}`);
    await expect(name).toBeFocused();
    // A promise that is kept again goes down its list.
    await page.goto(address('/expectations'));
    await expect(page.getByRole('heading', { name: 'Broken' })).toBeVisible();
    const promised = await name.inputValue();
    await choose(page, 'What callers press', 'where nothing is pressed');
    await choose(page, 'They', 'ring');
    await saved(page);
    await expect(name).toHaveValue(promised);
});
