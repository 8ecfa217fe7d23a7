import { axeClean } from './axe';
import { address, choose, saved, sentence, startOver } from './helpers';
import { expect, type Page, test } from './test';

test.beforeEach(({ request }) => startOver(request));

const OFFICE = { to: '+442079460130' };
const LOST = { to: '+441632960140', at: '2026-11-25T11:00:00' };

async function assume(page: Page, label: string, text: string) {
    await page.getByRole('button', { name: /Assuming/ }).click();
    await page.getByLabel(label, { exact: true }).fill(text);
    await page.keyboard.press('Escape');
}

test('a word is said at the menu, and words are added by keyboard', async ({ page }) => {
    await page.goto(address('/journeys/jrn_office_menu', OFFICE));
    await assume(page, 'Keys pressed', '1, reseption@2');
    await expect(sentence(page)).toContainText('says “reseption”, as if 0 was pressed');
    await page.getByRole('row').filter({ hasText: 'Ask with Head office menu' }).press('Enter');
    await page.getByRole('combobox', { name: 'Words for key 0 in English' }).fill('desk');
    await page.keyboard.press('Enter');
    await saved(page);
    await axeClean(page, '.step-fields');
    await assume(page, 'Keys pressed', '1, the front desk please');
    await expect(sentence(page)).toContainText('says “the front desk please”, as if 0 was pressed');
    await page.getByRole('combobox', { name: 'Words for key 1 in English' }).fill('Desk');
    await page.keyboard.press('Enter');
    await expect(page.getByText('is said for key').first()).toBeVisible();
    await page.getByRole('button', { name: 'Take it away from key' }).first().click();
    await expect(page.getByText('is said for key')).toHaveCount(0);
});

test('somebody is reached by name, and not when they are not listed', async ({ page }) => {
    await page.goto(address('/journeys/jrn_office_menu', { ...OFFICE, keys: '1, 1, Whitlock' }));
    await expect(sentence(page)).toContainText('presses 94 for Dana Whitlock, rings Dana Whitlock');
    await page.getByRole('row').filter({ hasText: 'Ask for a name with' }).press('Enter');
    const found = page.getByRole('region', { name: 'Who is found how' });
    await expect(found).toContainText('14 can be reached');
    await expect(found).toContainText('Not listed: Rowan Tresco (On duty at night only');
    await page.getByLabel('Look somebody up').fill('whit');
    await expect(found.getByRole('row')).toHaveCount(2);
    await expect(found).toContainText('94485625');
    await axeClean(page, '.step-fields');
    await page.goto(address('/people/per_dana', { ...OFFICE, keys: '1, 1, Whitlock' }));
    await page.getByRole('checkbox', { name: /Callers find them in directories/ }).press('Space');
    await saved(page);
    await page.getByLabel('Why not').fill('On the quay');
    await page.getByLabel('Why not').press('Enter');
    await expect(sentence(page)).toContainText('presses 94, and nobody is found');
});

test('a directory is put into a journey by keyboard', async ({ page }) => {
    await page.goto(address('/journeys/jrn_reception', { to: '+442079460130', keys: '1, 0, 72' }));
    await page.locator('[data-row]').first().focus();
    await page.keyboard.press('+');
    await page.keyboard.type('dir');
    await page.keyboard.press('Enter');
    await choose(page, 'Prompt', 'Spell a name');
    await saved(page);
    await choose(page, 'What is spelled', 'last or first name');
    await expect(page.getByRole('region', { name: 'Who is found how' })).toContainText('14 can be reached');
    await choose(page, 'Add an exit', 'nobody is spelled so');
    await expect(page.getByText('nobody is spelled so').first()).toBeVisible();
});

test('a call is parked at the port office, and taken there', async ({ page }) => {
    const port = { to: '+33261910100', at: '2026-11-23T09:30:00', keys: '2' };
    await page.goto(address('/sites/sit_saint_aubert', port));
    await expect(sentence(page)).toContainText('is parked at 701');
    await page.getByRole('combobox', { name: 'Park places' }).fill('301');
    await page.keyboard.press('Enter');
    await expect(page.getByText('301').last()).toBeVisible();
    await expect(page.getByRole('alert').first()).toContainText('301');
    await page.goto(address('/journeys/jrn_port', port));
    await page.getByRole('button', { name: /Assuming/ }).click();
    await page.getByLabel('Seconds until the parked call is taken').fill('40');
    await page.getByLabel('Seconds until the parked call is taken').press('Enter');
    await choose(page, 'Who takes the parked call', 'Lucie Vasseur');
    await choose(page, 'Park places that are taken', '701');
    await axeClean(page, '.assumptions');
    await page.keyboard.press('Escape');
    await expect(sentence(page)).toContainText('is parked at 702, and taken after 40 s, then talks to Lucie Vasseur');
    await page.getByRole('row').filter({ hasText: 'Park at' }).press('Enter');
    await choose(page, 'Park place', 'place 701');
    await saved(page);
    await expect(sentence(page)).toContainText('no park place of Port-Saint-Aubert is free');
});

test('a fax goes to its mailbox, and a caller is told what it costs', async ({ page }) => {
    await page.goto(address('/journeys/jrn_fax', { to: '+441632960170' }));
    await page.getByRole('button', { name: /Assuming/ }).click();
    await page.getByRole('checkbox', { name: 'It is a fax' }).press('Space');
    await page.keyboard.press('Escape');
    await expect(sentence(page)).toContainText('Sends a fax to Fax documents');
    await page.getByRole('row').filter({ hasText: 'Listen for a fax' }).press('Enter');
    await page.getByLabel('Seconds to listen for a fax').fill('2');
    await page.getByLabel('Seconds to listen for a fax').press('Enter');
    await expect(page.getByText('A fax machine may not be heard within 2 s').first()).toBeVisible();
    await expect(sentence(page)).toContainText(/^ ?Hears “Fax line, to callers”/);
    await page.getByRole('button', { name: 'Listen for 4 s' }).click();
    await expect(sentence(page)).toContainText('Sends a fax to Fax documents');
});

test('a key is pressed while a prompt plays, and while it rings once the greeting is heard', async ({ page }) => {
    await page.goto(address('/journeys/jrn_fax', { to: '+441632960170', meanwhile: '0@2' }));
    await expect(sentence(page)).toContainText('Hears “Fax line, to callers”, presses 0, rings Bea Longstaff');
    await page.goto(address('/journeys/jrn_lost', { ...LOST, meanwhile: '0@4' }));
    const ring = page.getByRole('row').filter({ hasText: 'Ring Lost property counter' });
    await ring.press('Enter');
    await choose(page, 'Add an exit', 'key 0 meanwhile');
    await saved(page);
    await expect(sentence(page)).toContainText('Rings Lost property counter for 25 s');
    await page.keyboard.press('Escape');
    await assume(page, 'Keys while it rings or plays', '0@12');
    await expect(sentence(page)).toContainText(
        'Rings Lost property counter for 12 s, hears “Lost property”, presses 0',
    );
    await page.getByRole('link', { name: 'This call' }).click();
    await expect(page.locator('main')).toContainText('After 12 s of it; the step heeds this key.');
});

test('what whoever answers gets of a call: ring tone and note', async ({ page }) => {
    await page.goto(address('/journeys/jrn_office', { ...OFFICE, keys: '1, 0' }));
    await page.getByRole('row').filter({ hasText: 'From here on: shown as' }).first().press('Enter');
    await page.getByLabel('Ring tone, by the name that phones know').fill('Bell');
    await page.getByLabel('Ring tone, by the name that phones know').press('Enter');
    await saved(page);
    await page.getByLabel('Note to whoever answers').fill('Ask for the name');
    await page.getByLabel('Note to whoever answers').press('Enter');
    await saved(page);
    await page.getByRole('link', { name: 'This call' }).click();
    await expect(page.locator('main')).toContainText('They get the ring tone “Bell”, the note “Ask for the name”.');
});

test('a file of callers with a bad line is refused whole, or taken without it', async ({ page }) => {
    await page.goto(address('/callers/clr_france', { from: '+33261910777' }));
    await expect(page.getByRole('region', { name: 'Who else matches' })).toContainText(
        'Account customers has one entry in common',
    );
    const text = 'number,name,label\n02 61 91 01 88,Quai 8,Quai\nsomebody\n020*,London\n';
    await page.getByLabel('File of callers').setInputFiles({
        name: 'callers.csv',
        mimeType: 'text/csv',
        buffer: Buffer.from(text),
    });
    const dialog = page.getByRole('dialog');
    await expect(dialog).toContainText('Line 3: "somebody" tells no callers apart.');
    await expect(dialog.getByRole('button', { name: 'Bring them in' })).toBeDisabled();
    await axeClean(page, '.ant-modal');
    await dialog.getByRole('checkbox', { name: 'Leave out lines that cannot be taken' }).check();
    await dialog.getByRole('button', { name: 'Bring them in' }).click();
    await expect(page.locator('main .callers')).toContainText('+4420*');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.locator('main .callers')).not.toContainText('+4420*');
});

test('a line that delivers no numbers of callers is told where callers are told apart', async ({ page }) => {
    await page.goto(address('/numbers/num_main', { to: '+441632960100', from: '01632 960701' }));
    await expect(sentence(page)).toContainText('Is one of Account customers');
    await page.getByRole('checkbox', { name: 'Its line delivers the numbers of callers' }).press('Space');
    await saved(page);
    await expect(sentence(page)).toContainText(/^ ?Hears “Welcome”/);
    await page.goto(address('/journeys/jrn_main', { to: '+441632960100' }));
    await expect(page.getByText('The line of “Main line” delivers no numbers of callers').first()).toBeVisible();
});

test('a journey is tried straight away while no number leads to it', async ({ page }) => {
    await page.goto(address('/journeys/jrn_fax'));
    await page.getByRole('button', { name: 'Try a call straight to it' }).click();
    await expect(sentence(page)).toContainText('Hears “Fax line, to callers”');
    await choose(page, 'Number called', 'Freight office · team');
    await expect(page).toHaveURL(/to=team_freight/);
    await expect(sentence(page)).toContainText('Rings Freight office');
    await page.getByRole('link', { name: 'This call' }).click();
    await expect(page.locator('main')).toContainText('A call comes straight to Freight office');
});
