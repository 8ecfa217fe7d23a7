import { address, choose, saved, sentence, startOver } from './helpers';
import { expect, test } from './test';

test.beforeEach(({ request }) => startOver(request));

const FREIGHT = { to: '+441632960150' };

test('a mobile with a mailbox of its own swallows the call, is warned about, and mended with one click', async ({
    page,
}) => {
    await page.goto(address('/people/per_duty', { ...FREIGHT, at: '2026-11-30T02:00:00' }));
    await expect(sentence(page)).toContainText('rings Rowan Tresco for 38 s, rings Hugh Pellow');
    await page.getByRole('checkbox', { name: 'ask before connecting (press 1)' }).nth(1).uncheck();
    await expect(sentence(page)).toContainText('the own mailbox of Rowan Tresco has the call');
    await expect(page.locator('.sheet .notice')).toContainText(
        'answers after 23 s, and Freight account line rings it for up to 30 s: the caller ends up there.',
    );
    await page.getByRole('button', { name: 'Ask before connecting' }).focus();
    await page.keyboard.press('Enter');
    await saved(page);
    await expect(sentence(page)).toContainText('rings Hugh Pellow');
    await expect(page.locator('.sheet .notice')).toHaveCount(0);
});

test('a phone is switched off without losing it', async ({ page }) => {
    await page.goto(address('/people/per_duty', { ...FREIGHT, at: '2026-11-30T02:00:00' }));
    await page.getByRole('switch', { name: 'Duty room rings' }).click();
    await page.getByRole('switch', { name: 'Mobile rings' }).focus();
    await page.keyboard.press('Space');
    await saved(page);
    await expect(sentence(page)).toContainText('cannot reach Rowan Tresco');
    await expect(page.getByText('off: kept, but it does not ring')).toHaveCount(2);
});

test('a widening team: tiers, an alert time of one’s own, a gap that is refused', async ({ page }) => {
    await page.goto(address('/teams/team_freight', FREIGHT));
    await expect(page.locator('.members li').nth(1)).toContainText('rings 20–50 s into this call');
    await page.getByLabel('Seconds until the next tier joins').fill('10');
    await page.getByLabel('Seconds until the next tier joins').press('Enter');
    await expect(page.locator('.members li').nth(1)).toContainText('rings 15–50 s into this call');
    await choose(page, 'Tier of Kasia Wrona', 'tier 3');
    await expect(page.locator('.members').getByRole('alert')).toContainText(
        'Tier 3 waits for tier 2, which has nobody.',
    );
    await choose(page, 'Tier of Kasia Wrona', 'tier 2');
    await saved(page);
    await page.locator('.members li').first().getByRole('checkbox', { name: 'at most' }).check();
    await expect(page.locator('.members li').first()).toContainText('rings 5–20 s into this call');
    await page.getByRole('switch', { name: 'Kasia Wrona rings in this team' }).click();
    await expect(page.locator('.members').getByRole('alert')).toHaveCount(0);
    await expect(page.locator('.members li').nth(1)).not.toContainText('into this call');
});

test('a rotating team starts after the one who rang last', async ({ page }) => {
    await page.goto(address('/teams/team_freight', FREIGHT));
    await page.getByRole('radio', { name: /^Rotating/ }).check();
    await saved(page);
    await choose(page, 'Who rang last', 'Kasia Wrona');
    await expect(page.locator('.members li').nth(2)).toContainText('rings 5–20 s into this call');
    await expect(page).toHaveURL(/last=team_freight%7Eper_kasia/);
});

test('single phones and numbers outside are members too', async ({ page }) => {
    await page.goto(address('/teams/team_freight', FREIGHT));
    await choose(page, 'Add a single phone', 'Dana Whitlock: Laptop');
    await expect(page.locator('.members')).toContainText('Dana Whitlock: Laptop');
    await page.getByLabel('Add a number outside').fill('07700 900177');
    await page.getByLabel('Add a number outside').press('Enter');
    await expect(page.locator('.members')).toContainText('+447700900177');
    await saved(page);
});

test('clicking a phone in the ring chart assumes that it answers', async ({ page }) => {
    await page.goto(address('/', FREIGHT));
    const chart = page.locator('.rings');
    await expect(chart).toContainText('own mailbox turned away');
    await chart.getByRole('button', { name: /Kasia Wrona Desk phone/ }).focus();
    await page.keyboard.press('Enter');
    await expect(sentence(page)).toContainText('answered after 23 s, then talks to Kasia Wrona');
    await chart.getByRole('button', { name: /Kasia Wrona Desk phone/ }).click();
    await expect(sentence(page)).not.toContainText('talks to');
});

test('people come from a file after a report, and go out as one', async ({ page }) => {
    await page.goto(address('/people'));
    const file = page.getByLabel('File of people');
    const csv = (text: string) => ({ name: 'people.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
    await file.setInputFiles(csv('first,last\r\nNed,Garrow\r\n'));
    await expect(page.getByRole('alert')).toContainText('The column "first", "last" is not known.');
    await file.setInputFiles(
        csv(
            'name,extension,outside\r\n"Garrow, Ned",260,07700 900177\r\nDana Whitlock,2x,\r\nDana Whitlock,201,07700 900178\r\n',
        ),
    );
    const dialog = page.getByRole('dialog');
    await expect(dialog).toContainText('1 new, 1 changed, 0 already so, 1 with problems');
    await expect(dialog).toContainText('line 3 Dana Whitlock: refused extension: "2x" is not an extension');
    await expect(dialog.getByRole('button', { name: 'Take over 2' })).toBeDisabled();
    await dialog.getByRole('checkbox').check();
    await dialog.getByRole('button', { name: 'Take over 2' }).click();
    await expect(page.locator('.list')).toContainText('Garrow, Ned');
    const [download] = await Promise.all([
        page.waitForEvent('download'),
        page.getByRole('link', { name: 'vCards' }).click(),
    ]);
    expect(download.suggestedFilename()).toBe('people.vcf');
    await file.setInputFiles(await download.path());
    await expect(dialog).toContainText('0 new, 0 changed, 16 already so, 0 with problems');
    await dialog.getByRole('button', { name: 'Cancel' }).click();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.locator('.list')).not.toContainText('Garrow, Ned');
});

test('answering rules: which holds and why not the others, edited in place, a rule that never holds', async ({
    page,
}) => {
    await page.goto(address('/people/per_ines', { to: '205' }));
    await expect(sentence(page)).toContainText(
        'Rings Ines Carreira for 30 s, then leaves a message with Bookings mailbox',
    );
    const cards = page.locator('.rule-card');
    await expect(cards.nth(1)).toContainText('holds in this call');
    await page.getByLabel('Length of stage 1 of Desk, then mobile').fill('12');
    await page.getByLabel('Length of stage 1 of Desk, then mobile').press('Enter');
    await page.getByLabel('Start of stage 2 of Desk, then mobile').fill('15');
    await page.getByLabel('Start of stage 2 of Desk, then mobile').press('Enter');
    await expect(sentence(page)).toContainText('Rings Ines Carreira for 35 s');
    await page.getByRole('button', { name: 'Add a rule' }).click();
    await saved(page);
    await expect(cards.nth(2)).toContainText(
        '“Rule 3” never holds: “Desk, then mobile” before it holds whenever it would.',
    );
    await page.getByRole('button', { name: 'Move Rule 3 up' }).focus();
    await page.keyboard.press('Enter');
    await expect(cards.nth(1)).toContainText('holds in this call');
    await expect(sentence(page)).toContainText('then leaves a message with Groups mailbox');
    await page.getByRole('switch', { name: 'The rule Rule 3 is on' }).click();
    await expect(sentence(page)).toContainText('Rings Ines Carreira for 35 s');
    await page.goto(address('/', { to: '205', phones: 'per_ines~away~0' }));
    await expect(page.locator('.way')).toContainText('The rule “Out on the quay” holds.');
});

test('forward everything is one click; a stage without a phone cannot be made', async ({ page }) => {
    await page.goto(address('/people/per_ines', { to: '205' }));
    await page.getByRole('button', { name: 'Forward everything' }).click();
    await page.getByRole('menuitem', { name: 'for an hour' }).click();
    await saved(page);
    await expect(sentence(page)).toHaveText(/^.*Leaves a message with Groups mailbox\./);
    await choose(page, 'Calls go to, by Forward everything', 'Dana Whitlock');
    await expect(sentence(page)).toContainText('rings Dana Whitlock for 25 s', { ignoreCase: true });
});

test('a status is set on screen and takes effect at once', async ({ page, request }) => {
    await page.goto(address('/people/per_ines', { to: '205', in: 'live' }));
    await choose(page, 'Status now', 'do not disturb');
    await expect(sentence(page)).toContainText('Finds Ines Carreira busy');
    await choose(page, 'Status now', 'away');
    await expect(sentence(page)).toContainText('Rings Ines Carreira for 20 s');
    await request.put('/api/statuses/per_ines', { data: { status: 'available' } });
});

test('a step hands the call over for good', async ({ page }) => {
    await page.goto(address('/journeys/jrn_reception', { to: '+441632960101' }));
    const row = page.getByRole('row').filter({ hasText: 'Ring ' }).first();
    await row.hover();
    await row.getByRole('button', { name: 'Edit step ring' }).click();
    await choose(page, 'Person or team', 'Ines Carreira');
    await choose(page, 'Try or hand over', 'for good: their rules decide');
    await page.getByRole('button', { name: 'Done' }).click();
    await expect(page.getByRole('row').filter({ hasText: 'Hand the call over to Ines Carreira' })).toBeVisible();
});
