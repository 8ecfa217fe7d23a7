import { axeClean } from './axe';
import { address, choose, saved, sentence, startOver } from './helpers';
import { expect, type Page, test } from './test';

test.beforeEach(({ request }) => startOver(request));

const GROUPS = { to: '+441632960130', at: '2026-11-23T10:30:00' };

test('one call in a queue: stated in one line, told second by second', async ({ page }) => {
    await page.goto(address('/queues/que_groups', GROUPS));
    await expect(sentence(page)).toContainText('Waits in Groups and coaches for 5 min, then leaves a message');
    await page.getByLabel('Callers ahead in Groups and coaches').fill('3');
    await page.getByLabel('Callers ahead in Groups and coaches').press('Enter');
    await page.getByLabel('Seconds until an agent of Groups and coaches is free').fill('20');
    await page.getByLabel('Seconds until an agent of Groups and coaches is free').press('Enter');
    await expect(page).toHaveURL(/queues=que_groups%7E3%7E20%7E/);
    const thisCall = page.getByRole('link', { name: 'This call' });
    await expect(thisCall).toHaveAttribute('href', /que_groups%7E3%7E20/);
    await thisCall.click();
    const way = page.locator('main');
    await expect(way).toContainText('Is let into Groups and coaches, 3 ahead');
    // (3 + 1) × 150 ÷ 3.
    await expect(way).toContainText('About 3 min 20 s to wait: (3 ahead + 1) × 2 min 30 s a call ÷ 3 signed in.');
    await expect(way).toContainText('Hears: number 3');
    await expect(way).toContainText('Still 1 ahead, and nobody may wait for longer.');
});

test('agents are added, put in tiers and order by mouse and keyboard, and the answer follows', async ({ page }) => {
    await page.goto(address('/queues/que_groups', { ...GROUPS, queues: 'que_groups~0~0~', phones: '*~answers~3' }));
    await expect(sentence(page)).toContainText('rings Priya');
    await page.getByRole('switch', { name: /^Priya .* is asked for this queue$/ }).click();
    await expect(sentence(page)).toContainText(' Waits in Groups and coaches, rings Seun Adebayo');
    await choose(page, 'Add an agent', 'Dana Whitlock');
    await saved(page);
    await expect(page.getByRole('combobox', { name: 'Tier of Dana Whitlock' })).toBeVisible();
    await choose(page, 'Who is asked first', 'all who are free at once');
    await choose(page, 'Tier of Dana Whitlock', 'tier 4');
    await expect(page.getByRole('alert').first()).toContainText('Tier 4 waits for tier 3, which has nobody.');
    await choose(page, 'Tier of Dana Whitlock', 'tier 2');
    await expect(page.getByRole('alert')).toHaveCount(0);
    await page.getByLabel('The longest wait').fill('20');
    await page.getByLabel('The longest wait').press('Enter');
    await expect(page.getByText('Only one agent is ever asked: for 20 s')).toBeVisible();
    await page.getByRole('button', { name: 'Ask each for 10 s' }).click();
    await expect(page.getByText('Only one agent is ever asked')).toHaveCount(0);
    await expect(page.getByLabel('Seconds for which an agent is asked')).toHaveValue('10');
});

test('how each agent stands is stated at the agent, and why one is asked is told', async ({ page }) => {
    await page.goto(address('/queues/que_groups', { ...GROUPS, phones: '*~answers~3' }));
    await page.getByRole('button', { name: 'State how Priya Raman stands in the trial call' }).click();
    await page.getByRole('button', { name: 'State how Seun Adebayo stands in the trial call' }).click();
    await page.getByLabel('Seconds idle of Seun Adebayo').fill('75');
    await page.getByLabel('Seconds idle of Seun Adebayo').press('Enter');
    await expect(sentence(page)).toContainText('rings Seun Adebayo and is answered');
    await choose(page, 'The key by which callers leave', '2');
    await page.getByLabel('Seconds until Priya Raman is free').fill('');
    await page.getByLabel('Seconds until Priya Raman is free').press('Enter');
    await page.getByRole('checkbox', { name: 'signed in', exact: true }).last().click();
    await page.getByLabel('Seconds until the caller leaves Groups and coaches').fill('25');
    await page.getByLabel('Seconds until the caller leaves Groups and coaches').press('Enter');
    await expect(sentence(page)).toContainText('presses 2 after 25 s');
    await page.getByRole('checkbox', { name: 'signed in', exact: true }).last().press('Space');
    await page.getByRole('link', { name: 'This call' }).click();
    await expect(page.locator('main')).toContainText('The only one who is free.');
});

test('a queue step in a journey, and a number that leads straight to a queue', async ({ page }) => {
    await page.goto(address('/journeys/jrn_lost', { to: '+441632960140', at: '2026-11-25T11:00:00' }));
    await page.locator('[data-row]').first().focus();
    await page.keyboard.press('+');
    await page.keyboard.type('queue');
    await page.keyboard.press('Enter');
    await choose(page, 'Queue', 'Groups and coaches');
    await expect(sentence(page)).toContainText('Waits in Groups and coaches for 5 min, rings Lost property counter');
    await page.getByRole('combobox', { name: 'Add an exit' }).click();
    await page
        .locator('.ant-select-dropdown:visible .ant-select-item-option', { hasText: 'waited for too long' })
        .click();
    await expect(page.locator('[data-row]').filter({ hasText: 'waited for too long' })).toBeVisible();
    await page.goto(address('/numbers/num_groups', GROUPS));
    await choose(page, 'Calls go to', 'Groups and coaches');
    await expect(sentence(page)).toContainText('the call ends because no step is left');
});

test('an agent is signed out and in on the board, and the answer follows at once', async ({ page }) => {
    await page.goto(address('/on-duty', { ...GROUPS, queues: 'que_groups~0~0~', phones: '*~answers~3' }));
    await expect(sentence(page)).toContainText('rings Priya Raman');
    await choose(page, 'Priya Raman in Groups and coaches', 'signed out');
    await expect(sentence(page)).toContainText('rings Seun Adebayo');
    await choose(page, 'Seun Adebayo in Groups and coaches', 'in a pause');
    await expect(sentence(page)).toContainText('rings Marcus Thole');
    await page.getByLabel('Why Seun Adebayo is in a pause in Groups and coaches').fill('Lunch');
    await page.getByLabel('Why Seun Adebayo is in a pause in Groups and coaches').press('Enter');
    const log = page.getByRole('region', { name: 'Signed in and out' });
    await expect(log.getByRole('listitem').first()).toContainText('Seun Adebayo in a pause Groups and coaches · Lunch');
    await choose(page, 'Priya Raman in Groups and coaches', 'signed in');
    await expect(sentence(page)).toContainText('rings Priya Raman');
    await choose(page, 'Seun Adebayo in Groups and coaches', 'signed in');
    await expect(log.getByRole('listitem').first()).toContainText('Seun Adebayo signed in');
});

const BOOKINGS = { at: '2026-11-23T10:30:00', from: '01632 960999', keys: '1', phones: 'per_priya~answers~6' };

async function type(page: Page, label: string, text: string) {
    await page.getByLabel(label, { exact: true }).fill(text);
    await page.getByLabel(label, { exact: true }).press('Enter');
}

test('a caller keeps the place and is called back: by mouse and keyboard, told to the end', async ({ page }) => {
    await page.goto(address('/queues/que_bookings', { ...BOOKINGS, queues: 'que_bookings~3~90~' }));
    await expect(sentence(page)).toContainText('waits in Bookings queue for 4 min');
    await type(page, 'Seconds until the caller keeps the place in Bookings queue', '70');
    await expect(sentence(page)).toContainText('keeps the place after 1 min 10 s');
    await type(page, 'Seconds until the caller takes the call back of Bookings queue', '8');
    await expect(sentence(page)).toContainText('talks to Priya Raman');
    await expect(page.getByRole('region', { name: 'Tier 2' })).toContainText('asked at 8:30: the only one who is free');
    await type(page, 'Seconds for which a call back rings', '8');
    await expect(sentence(page)).toContainText('the place in Bookings queue is given up');
    await choose(page, 'The key that keeps the place', 'no key');
    await expect(page.getByText('no key keeps the place')).toBeVisible();
    await page.getByRole('button', { name: 'Let key 1 keep the place' }).click();
    await expect(page.getByText('no key keeps the place')).toHaveCount(0);
    await choose(page, 'The key by which callers leave', '1');
    await expect(page.getByText('Key 1 leaves the queue already.').first()).toBeVisible();
});

test('how agents take calls, what they hear, when a notice goes out', async ({ page }) => {
    await page.goto(address('/queues/que_bookings', { ...BOOKINGS, queues: 'que_bookings~0~30~' }));
    await expect(sentence(page)).toContainText('rings Priya Raman and is answered after 6 s');
    await choose(page, 'How agents take a call', 'by pressing 1');
    await expect(sentence(page)).toContainText('rings Priya Raman and is answered after 10 s');
    await choose(page, 'How agents take a call', 'without touching the phone');
    await expect(sentence(page)).toContainText('rings Priya Raman and is answered after 0 s');
    await type(page, 'Seconds of waiting after which a notice is sent', '20');
    await page.getByRole('link', { name: 'This call' }).click();
    await expect(page.locator('main')).toContainText('A notice goes to bookings-lead@ternwick.example');
    await expect(page.locator('main')).toContainText('The agent hears “Word for agents: bookings”');
});

test('a site that is down, and a queue whose agents nobody can reach', async ({ page }) => {
    await page.goto(address('/queues/que_bookings', { ...BOOKINGS, down: 'sit_ternwick' }));
    await expect(sentence(page)).toContainText('is not let into Bookings queue');
    await page.getByRole('button', { name: /Assuming/ }).click();
    await expect(page.getByRole('button', { name: /Ternwick Harbour is down/ })).toBeVisible();
    await page.locator('.assumptions .ant-select-selection-item-remove').click();
    await expect(sentence(page)).not.toContainText('is not let into');
});

test('an agent dials the code, and it is done at once', async ({ page }) => {
    await page.goto(address('/', { to: '*33', from: '201', at: '2026-11-23T10:30:00' }));
    await expect(sentence(page)).toContainText('Signs Dana Whitlock out of Bookings queue');
    await page.getByRole('button', { name: 'Do it now, not only on trial' }).click();
    await page.getByRole('link', { name: 'On duty' }).click();
    const log = page.getByRole('region', { name: 'Signed in and out' });
    await expect(log.getByRole('listitem').first()).toContainText('Dana Whitlock signed out Bookings queue · Code *33');
    await choose(page, 'Dana Whitlock in Bookings queue', 'signed in');
    await expect(log.getByRole('listitem').first()).toContainText('Dana Whitlock signed in');
});

test('a tag makes a call urgent, by keyboard', async ({ page }) => {
    await page.goto(address('/journeys/jrn_groups', { ...GROUPS, queues: 'que_groups~4~~' }));
    await page.locator('[data-row]').first().focus();
    await page.keyboard.press('+');
    await page.keyboard.type('tag');
    await page.keyboard.press('Enter');
    await choose(page, 'Urgency in queues', 'urgent');
    await page.keyboard.press('Escape');
    await page.getByRole('row').filter({ hasText: 'From here on: urgent' }).press('Alt+ArrowUp');
    await saved(page);
    await page.getByRole('link', { name: 'This call' }).click();
    await expect(page.locator('main')).toContainText('Is let into Groups and coaches, as the first');
});

test('an overflow is drawn, and one that comes back is told', async ({ page }) => {
    await page.goto(address('/overflow', {}));
    await expect(page.locator('main')).toContainText('Bookings queue in Bookings line: over after 4 min 35 s at most.');
    await expect(page.getByRole('group', { name: 'Overflow' }).first()).toBeVisible();
    await page.goto(address('/journeys/jrn_groups', GROUPS));
    await page.locator('[data-row]').last().focus();
    await page.keyboard.press('Delete');
    await page.locator('[data-row]').last().focus();
    await page.keyboard.press('+');
    await page.keyboard.type('go');
    await page.keyboard.press('Enter');
    await choose(page, 'Journey', 'Groups line');
    await page.keyboard.press('Escape');
    await expect(
        page.getByText('Calls that nobody takes go round: Groups and coaches → Groups and coaches.'),
    ).toBeVisible();
    await page.getByRole('link', { name: 'Overflow' }).click();
    await expect(page.locator('main')).toContainText('calls come back here, and may go round for ever.');
});

test('the notice of a long wait is put into the outbox and read there', async ({ page }) => {
    await page.goto(address('/', { keys: '1' }));
    await page.getByRole('button', { name: 'Put the e-mail into the outbox' }).press('Enter');
    await page.getByRole('link', { name: 'outbox', exact: true }).click();
    const letter = page.getByRole('article', { name: 'Waiting in Bookings queue for 3 min' }).first();
    await expect(letter).toContainText('bookings-lead@ternwick.example');
    await expect(letter).toContainText('At: Mon 23 Nov 2026 10:33:09');
    await axeClean(page, 'main');
    await page.getByRole('button', { name: 'Empty the outbox' }).click();
    await expect(page.locator('main')).toContainText('It is empty.');
});
