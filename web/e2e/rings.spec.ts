import { address, choose, saved, sentence, startOver } from './helpers';
import { expect, type Locator, type Page, test } from './test';

test.beforeEach(({ request }) => startOver(request));

const INES = { to: '205' };
const slider = (page: Page, name: string) => page.getByRole('slider', { name });

/** Drags a handle to a second of its chart, as a hand would. */
async function drag(page: Page, handle: Locator, second: number) {
    await handle.scrollIntoViewIfNeeded();
    const box = await handle.boundingBox();
    const track = await handle.locator('xpath=..').boundingBox();
    const at = Number(await handle.getAttribute('aria-valuenow'));
    if (!box || !track) throw new Error('The handle is not on screen.');
    const x = box.x + box.width / 2;
    const y = box.y + box.height / 2;
    const perSecond = at === 0 ? null : (x - track.x) / at;
    if (!perSecond) throw new Error('Drag something that is not at 0.');
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(track.x + perSecond * ((at + second) / 2), y, { steps: 4 });
    await page.mouse.move(track.x + perSecond * second, y, { steps: 4 });
}

test('the ring chart of a person: bars are dragged, and the answer follows', async ({ page }) => {
    await page.goto(address('/people/per_ines', INES));
    const chart = page.getByRole('region', { name: 'How a direct call rings' });
    await expect(chart).toContainText('not answered, 0:00 to 0:10');
    await drag(page, slider(page, 'Mobile begins to ring, stage 2'), 4);
    await expect(chart).toContainText('dialled at 0:04, 0:07 to 0:37');
    await expect(page.getByLabel('Start of stage 2 of Desk, then mobile')).toHaveValue('10 s');
    await page.mouse.up();
    await saved(page);
    await expect(page.getByLabel('Start of stage 2 of Desk, then mobile')).toHaveValue('4 s');
    await expect(page.getByLabel('Length of stage 2 of Desk, then mobile')).toHaveValue('26 s');
    await slider(page, 'Desk phone stops ringing, stage 1').focus();
    await page.keyboard.press('PageUp');
    await expect(slider(page, 'Desk phone stops ringing, stage 1')).toHaveAttribute('aria-valuenow', '15');
    await saved(page);
    await expect(page.getByLabel('Length of stage 1 of Desk, then mobile')).toHaveValue('15 s');
});

test('somebody without a rule gets one by the first drag', async ({ page }) => {
    await page.goto(address('/people/per_dana', { to: '201' }));
    await slider(page, 'Laptop stops ringing, stage 2').focus();
    await page.keyboard.press('ArrowLeft');
    await saved(page);
    await expect(page.locator('.rule-card')).toHaveCount(1);
    await expect(page.getByLabel('Length of stage 2 of Phones')).toHaveValue('24 s');
});

test('the ring chart of a team: how fast it widens, and where the limit cuts', async ({ page }) => {
    await page.goto(address('/teams/team_freight', { to: '+441632960150' }));
    const chart = page.getByRole('region', { name: 'How it rings now' });
    await expect(slider(page, 'The limit')).toHaveAttribute('aria-valuenow', '45');
    await drag(page, slider(page, 'Tier 3 joins'), 20);
    await page.mouse.up();
    await saved(page);
    await expect(page.getByLabel('Seconds until the next tier joins')).toHaveValue('10 s');
    await expect(chart).toContainText('Kasia Wrona Desk phone');
    await slider(page, 'The limit').focus();
    await page.keyboard.press('PageDown');
    await expect(chart).toContainText('not answered, 0:00 to 0:40');
    await expect(sentence(page)).toContainText('rings Freight office for 53 s');
    await chart.getByRole('button', { name: /Kasia Wrona Desk phone/ }).click();
    await expect(chart).toContainText('Rings Freight office and is answered after 18 s');
});

test('the ring chart of a step: its limit is dragged, in rings or in seconds', async ({ page }) => {
    await page.goto(address('/journeys/jrn_lost', { to: '+441632960140', at: '2026-11-25T11:00:00' }));
    const row = page.getByRole('row').filter({ hasText: 'Ring Lost property counter' });
    await expect(row).toContainText('after 8 s play Lost property');
    await row.focus();
    await page.keyboard.press('Enter');
    await drag(page, slider(page, 'The limit'), 21);
    await page.mouse.up();
    await expect(page.getByLabel('Seconds to ring', { exact: true })).toHaveValue('21 s');
    await slider(page, 'The limit').focus();
    await page.keyboard.press('ArrowRight');
    await expect(page.getByLabel('Seconds to ring', { exact: true })).toHaveValue('22 s');
    await page.getByLabel('Seconds to ring', { exact: true }).fill('3 rings');
    await page.getByLabel('Seconds to ring', { exact: true }).press('Enter');
    await expect(sentence(page)).toContainText('Rings Lost property counter for 9 s, hears “Lost property”');
    await page.getByLabel('Seconds to ring', { exact: true }).fill('-4');
    await expect(page.getByText('1 to 600 s, or rings: such as 3 rings')).toBeVisible();
    await page.getByLabel('Seconds to ring', { exact: true }).fill('8 s');
    await page.getByLabel('Seconds to ring', { exact: true }).press('Enter');
    await page.getByRole('button', { name: 'Done' }).click();
    await expect(row).toContainText('The greeting is never heard: it would begin after 8 s');
    const mend = row.getByRole('button', { name: 'Greet half-way' });
    // Nothing moves away when the pointer comes and the row's tools appear.
    await page.mouse.move(0, 0);
    await expect(row.getByRole('button', { name: 'Edit step ring' })).toHaveCount(0);
    const place = await mend.boundingBox();
    await row.hover();
    await expect(row.getByRole('button', { name: 'Edit step ring' })).toBeVisible();
    expect(await mend.boundingBox()).toEqual(place);
    await mend.click();
    await expect(row).toContainText('after 4 s play Lost property');
});

test('the caller is kept, and the list is tried again', async ({ page }) => {
    await page.goto(address('/journeys/jrn_port', { to: '+33261910100', at: '2026-11-23T09:00:00', keys: '1' }));
    await expect(sentence(page)).toContainText('rings Réservations for 36 s, tries again for up to 10 min');
    await page.goto(address('/', { to: '+33261910100', at: '2026-11-23T09:00:00', keys: '1' }));
    await expect(page.locator('.rings')).toContainText('rang 15 times, from 0:1');
    await page.goto(address('/people/per_ines', INES));
    await page.getByLabel('Minutes to try again, by Desk, then mobile').fill('2');
    await page.getByLabel('Minutes to try again, by Desk, then mobile').press('Enter');
    await expect(sentence(page)).toContainText('Rings Ines Carreira for 30 s, tries again for up to 2 min');
});

test('an outside line: a forward that none may carry is told while it is typed, and mended with one click', async ({
    page,
}) => {
    await page.goto(address('/people/per_ines', INES));
    const number = page.getByLabel('Add an outside number');
    await number.fill('0906 123 4567');
    await expect(page.getByText('No outside line may carry this call (premium)')).toBeVisible();
    await number.fill('07700 900188');
    await expect(page.getByText('mobile: leaves by Ternwick trunk as 907700900188')).toBeVisible();
    await number.fill('999');
    await expect(page.getByText('"999" is an emergency number')).toBeVisible();
    await page.goto(address('/lines/line_ternwick', INES));
    await page.getByRole('checkbox', { name: 'mobile, in this country' }).uncheck();
    await saved(page);
    await page.getByLabel('A number to call from this site').fill('07700 900188');
    await expect(page.getByText('No outside line may carry this call (mobile)')).toBeVisible();
    await page.goto(address('/people/per_ines', INES));
    await expect(page.locator('.finding')).toContainText(
        'No outside line may carry calls to +44 7700 900105 (mobile).',
    );
    await expect(page.locator('.rings').first()).toContainText('no line may carry it');
    await page.getByRole('button', { name: 'Let “Ternwick trunk” carry mobile calls' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.locator('.finding')).toHaveCount(0);
    await page.goto(address('/lines/line_ternwick', { ...INES, taken: 'line_ternwick~8,line_saint_aubert~4' }));
    await page.goto(address('/', { ...INES, taken: 'line_ternwick~8' }));
    await expect(page.locator('.rings')).toContainText('all lines in use');
});

test('a phone: number shown, digits to send, calls at the same time', async ({ page }) => {
    await page.goto(address('/people/per_ines', INES));
    await choose(page, 'Number that Mobile shows', 'Bookings');
    await page.getByLabel('Digits to send to Mobile').fill('12x');
    await page.getByLabel('Digits to send to Mobile').blur();
    await expect(page.locator('.phone').getByText('"12x" cannot be sent.').first()).toBeVisible();
    await page.getByLabel('Digits to send to Mobile').fill(',,12#');
    await page.getByLabel('Digits to send to Mobile').blur();
    await saved(page);
    await page.getByLabel('Calls at the same time on Desk phone').fill('2');
    await page.getByLabel('Calls at the same time on Desk phone').press('Enter');
    await saved(page);
    await page.goto(address('/', { ...INES, phones: 'per_ines~on a call~' }));
    await expect(page.locator('.rings')).toContainText('not answered, 0:00 to 0:10');
    await page.goto(address('/', { ...INES, phones: 'per_ines/mobile~answers~3' }));
    // Dialled at 10 s, rings from 13, picked up at 16; two seconds of pauses, four to press 1.
    await expect(sentence(page)).toContainText('answered after 22 s');
    await expect(page.locator('.rings')).toContainText('shows Bookings');
});

test('answering rules: times of their own, an end, a greeting, a number outside', async ({ page }) => {
    await page.goto(address('/people/per_ines', INES));
    await page.getByRole('button', { name: '+ times of their own' }).nth(1).click();
    await expect(sentence(page)).toContainText('Rings Ines Carreira for 33 s, then leaves a message with Groups');
    await page.getByLabel('To, time 1 of Desk, then mobile').fill('9');
    await page.getByLabel('To, time 1 of Desk, then mobile').press('Enter');
    await expect(page.locator('.rule-card').nth(1).getByRole('alert')).toContainText('The band ends at 09:00');
    await page.getByRole('button', { name: 'Remove time 1 of Desk, then mobile' }).click();
    await choose(page, 'Greeting when nobody answers, by Desk, then mobile', 'Public holiday');
    await saved(page);
    await expect(page.getByRole('checkbox', { name: 'the same for all three' }).nth(1)).not.toBeChecked();
    await choose(page, 'Nobody answers, by Desk, then mobile', 'A number outside');
    await page.getByLabel('Number, by Desk, then mobile').fill('07700 900188');
    await page.getByLabel('Number, by Desk, then mobile').press('Enter');
    await expect(sentence(page)).toContainText('rings +44 7700 900188 for 25 s');
    await choose(page, 'Nobody answers, by Desk, then mobile', 'End the call');
    await expect(sentence(page)).toContainText('then the plan ends the call');
    await page.getByRole('button', { name: 'Do not disturb' }).click();
    await page.getByRole('menuitem', { name: 'until midnight' }).click();
    await expect(sentence(page)).toContainText('Leaves a message with Groups mailbox');
    await expect(page.getByLabel('Do not disturb holds until')).toHaveValue(/T00:00$/);
    await page.goto(address('/people/per_ines', { ...INES, at: '2099-01-01T10:00:00' }));
    await expect(page.locator('.rule-card').nth(2)).toContainText('holds in this call');
});

test('a team in a stage, a pause after a call, somebody on a call, paging', async ({ page }) => {
    await page.goto(address('/people/per_ines', INES));
    const stage = page.getByRole('combobox', { name: 'Phones of stage 2 of Desk, then mobile' });
    await stage.click();
    await stage.fill('Bookings');
    await page.locator('.ant-select-item-option', { hasText: 'Bookings desk' }).click();
    await page.keyboard.press('Escape');
    await expect(page.locator('.rings').first()).toContainText('Dana Whitlock Desk phone');
    await page.goto(address('/teams/team_bookings'));
    await page.getByLabel('Seconds of pause after a call').fill('60');
    await page.getByLabel('Seconds of pause after a call').press('Enter');
    await saved(page);
    await choose(page, 'Last call of Priya Raman', '30 s ago');
    await expect(page.locator('.rings')).toContainText('pausing after a call');
    await page.getByRole('radio', { name: /^Fewest calls first/ }).check();
    await page.getByLabel('Calls of Dana Whitlock today').fill('3');
    await page.getByLabel('Calls of Dana Whitlock today').press('Enter');
    await expect(page).toHaveURL(/earlier=/);
    await expect(page.locator('.rings tbody tr').first()).toContainText('Seun Adebayo');
    await page.getByRole('radio', { name: /^Random/ }).check();
    await page.getByLabel('Seed of the order').fill('9');
    await page.getByLabel('Seed of the order').press('Enter');
    await expect(page).toHaveURL(/seed=9/);
    await page.getByRole('radio', { name: /^Paging/ }).check();
    await expect(page.locator('.ring-words')).toContainText('Speaks on the phones of Bookings desk.');
    await expect(page.locator('.rings')).toContainText('hears it');
});

test('rules are copied, and somebody takes another’s place: one edit each', async ({ page }) => {
    await page.goto(address('/people/per_ines', INES));
    await choose(page, 'Copy the rules to', 'Hugh Pellow');
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Copy, in place of theirs' }).click();
    await expect(page.getByText('Copy the rules of Ines Carreira to Hugh Pellow. Undo takes it back.')).toBeVisible();
    await page.goto(address('/people/per_kasia', INES));
    await choose(page, 'Who takes the place of Kasia Wrona', 'Hugh Pellow');
    await page.getByRole('button', { name: 'Show what that changes' }).click();
    await expect(page.getByRole('dialog')).toContainText('Freight office rings them as a member');
    await page.getByRole('button', { name: 'Remove Kasia Wrona' }).click();
    await expect(page).toHaveURL(/people\/per_hugh/);
    await expect(page.locator('.rule-card')).toHaveCount(2);
    await expect(page.locator('.phone')).toHaveCount(4);
    await expect(page.locator('.list')).not.toContainText('Kasia Wrona');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.locator('.list')).toContainText('Kasia Wrona');
    await expect(page.locator('.phone')).toHaveCount(2);
});

test('an extension is renumbered, phones are put in order, and what mentions them stays', async ({ page }) => {
    await page.goto(address('/people/per_ines', INES));
    await expect(page.locator('.sheet')).toContainText('Bookings line rings it');
    await page.getByLabel('Extension').fill('299');
    await page.getByLabel('Extension').press('Enter');
    await expect(page.getByRole('alert').first()).toContainText('Extension 299 belongs to Rowan Tresco');
    await page.getByLabel('Extension').fill('777');
    await page.getByLabel('Extension').press('Enter');
    await saved(page);
    await page.getByRole('button', { name: 'Move Mobile up' }).click();
    await saved(page);
    await page.goto(address('/people/per_ines', { to: '777' }));
    await expect(sentence(page)).toContainText('Rings Ines Carreira for 30 s');
    await expect(page.locator('.sheet')).toContainText('Bookings line rings it');
    await expect(page.locator('.phone').first()).toContainText('leaves by Ternwick trunk');
    await page.getByRole('button', { name: 'Remove Desk phone' }).click();
    await saved(page);
    await expect(page.getByRole('combobox', { name: /^Phones of stage/ })).toHaveCount(2);
});

test('how long a ring lasts at a site', async ({ page }) => {
    await page.goto(address('/sites/sit_ternwick'));
    await expect(page.getByRole('spinbutton', { name: 'A ring lasts' })).toHaveValue('3.0');
    await page.getByRole('spinbutton', { name: 'A ring lasts' }).fill('6');
    await saved(page);
    await page.goto(address('/people/per_ines', INES));
    await expect(page.locator('.rule-card').first()).toContainText('3½ rings');
});
