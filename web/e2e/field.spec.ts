import { address, choose, saved, sentence, startOver } from './helpers';
import { expect, test } from './test';

test.beforeEach(({ request }) => startOver(request));

const INES = { to: '205', at: '2026-11-25T10:00:00' };

test('a mobile takes time to ring, is asked, and its mailbox may take declined calls', async ({ page }) => {
    await page.goto(address('/people/per_ines', { ...INES, phones: 'per_ines/mobile~answers~3' }));
    const chart = page.getByRole('region', { name: 'How a direct call rings' });
    await expect(chart).toContainText(/dialled at 0:10, 0:13 to 0:20.*asked at 0:16/);
    await page.getByLabel('Seconds between dialling and the first ring of Mobile').fill('6');
    await page.keyboard.press('Enter');
    await saved(page);
    await expect(chart).toContainText(/dialled at 0:10, 0:16 to 0:23.*asked at 0:19/);
    await page.getByLabel('Seconds between dialling and the first ring of Mobile').fill('');
    await page.keyboard.press('Enter');
    await saved(page);
    await expect(chart).toContainText('dialled at 0:10, 0:13 to 0:20');
    await page.getByLabel('Seconds between dialling and the first ring of Mobile').fill('99');
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('Seconds between dialling and the first ring of Mobile')).toHaveValue('30');

    await page.goto(address('/people/per_ines', { ...INES, phones: 'per_ines/mobile~refuses~3' }));
    await page.getByRole('checkbox', { name: 'ask before connecting (press 1)' }).nth(1).uncheck();
    await expect(sentence(page)).toContainText('the own mailbox of Ines Carreira has the call');
    await expect(page.locator('.sheet .notice').first()).toContainText('ends up there');
    await choose(page, 'Whether the own mailbox of Mobile also takes declined calls', 'no');
    await saved(page);
    await expect(sentence(page)).toContainText('leaves a message with Bookings mailbox');
    await expect(chart).toContainText('refused');
});

test('declining on one phone silences all, where it is said so', async ({ page }) => {
    await page.goto(address('/people/per_dana', { to: '201', phones: 'per_dana/desk~refuses~4' }));
    const chart = page.getByRole('region', { name: 'How a direct call rings' });
    await expect(chart).toContainText('not answered, 0:00 to 0:25');
    await page.getByRole('checkbox', { name: 'Declining on one phone silences all of them' }).focus();
    await page.keyboard.press('Space');
    await saved(page);
    await expect(chart).not.toContainText('not answered');
    await expect(sentence(page)).toContainText('Is refused by Dana Whitlock');
});

test('somebody on a call may take a second one, as an assumption by keyboard', async ({ page }) => {
    await page.goto(address('/people/per_dana', { to: '201', phones: 'per_dana~on a call~' }));
    await expect(sentence(page)).toContainText('Finds Dana Whitlock busy');
    await page.getByLabel('Calls at the same time on Desk phone').fill('2');
    await page.keyboard.press('Enter');
    await saved(page);
    await expect(sentence(page)).toContainText('Rings Dana Whitlock for 25 s');
    await page.getByRole('button', { name: /Dana Whitlock is on a call/ }).click();
    await page.getByLabel('Seconds until a second call is answered').fill('6');
    await page.keyboard.press('Enter');
    await expect(sentence(page)).toContainText('answered after 6 s');
});

test('nobody is assumed to do two things, and an assumption that would try nothing is said', async ({ page }) => {
    await page.goto(address('/', { phones: '*~busy~0' }));
    await page.getByRole('button', { name: /everybody is busy/ }).click();
    await page.getByRole('button', { name: 'Somebody answers' }).click();
    await expect(page.locator('.assumption')).toHaveCount(2);
    await expect(page.locator('.assumption').nth(1)).not.toContainText('Every phone');
    await page.goto(address('/', { phones: 'per_gone~busy~0' }));
    await expect(page.getByText('"per_gone" is nobody and no phone in the plan')).toBeVisible();
});

test('what another browser sets is seen in the answer', async ({ page, request }) => {
    await page.goto(address('/', { to: '201' }));
    await expect(sentence(page)).toContainText('Rings Dana Whitlock');
    const answer = await request.put('/api/statuses/per_dana', { data: { status: 'on leave', until: null } });
    expect(answer.ok()).toBe(true);
    try {
        await page.evaluate(() => window.dispatchEvent(new Event('visibilitychange')));
        await expect(sentence(page)).toContainText('Cannot reach Dana Whitlock');
    } finally {
        await request.put('/api/statuses/per_dana', { data: { status: 'available', until: null } });
    }
});
