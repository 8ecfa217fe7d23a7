import { axeClean } from './axe';
import { address, choose, saved, sentence, startOver } from './helpers';
import { expect, test } from './test';

test.beforeEach(({ request }) => startOver(request));

test('a promise that is broken, tried at its first moment and mended', async ({ page }) => {
    // The first answer is not all; the next one comes when it may.
    let goOn = () => {};
    const mayGoOn = new Promise<void>((resolve) => {
        goOn = resolve;
    });
    let asked = 0;
    await page.route('**/api/plans/draft/expectations', async (route) => {
        if (++asked > 1) {
            await mayGoOn;
            return route.continue();
        }
        const { expectations } = await (await route.fetch()).json();
        const left = { state: 'not looked at', left: 7, breaches: [], ways: 0 };
        return route.fulfill({ json: { expectations: expectations.map((one: object) => ({ ...one, ...left })) } });
    });
    await page.goto(address('/expectations'));
    const list = page.getByRole('region', { name: 'Expectations' });
    await expect(list.getByText('being looked at').first()).toBeVisible();
    await expect(page.getByText('Looking on: 7 of its numbers are left.')).toBeVisible();
    goOn();
    await expect(list.getByRole('link').first()).toContainText('The port office is left in peace at night');
    await expect(list.getByRole('link').first()).toContainText('broken');
    await list.getByRole('link').first().press('Enter');
    const found = page.getByRole('region', { name: 'What became of it' });
    await expect(found.getByRole('heading')).toHaveText('Broken');
    await axeClean(page, 'main');
    await found
        .getByRole('button', { name: /Try the first call to Réservations/ })
        .first()
        .press('Enter');
    await expect(page).toHaveURL(/to=%2B33261910110/);
    await expect(sentence(page)).toContainText('Port office');
    await found
        .getByRole('button', { name: /^All \d+ times/ })
        .first()
        .click();
    await expect(found.getByRole('listitem').filter({ hasText: 'until' }).first()).toBeVisible();
    // It is not promised to callers of the French line.
    await choose(page, 'To', 'Bookings, free of charge');
    await choose(page, 'To', 'Lost property');
    await page.keyboard.press('Escape');
    await page.getByLabel('From, time 1').fill('22:00');
    await page.getByLabel('From, time 1').press('Enter');
    await saved(page);
    await expect(found.getByRole('heading')).toHaveText('Kept at every moment of the coming year');
    await expect(list.getByText('broken')).toHaveCount(0);
});

test('a promise that is kept only while phones ring is found when it is held whatever they do', async ({
    page,
    request,
}) => {
    const add = async (data: object) => {
        const answer = await request.post('/api/plans/draft/elements', { data });
        return Object.keys((await answer.json()).elements)[0];
    };
    const end = { on: 'busy', steps: [{ id: 's2', do: 'end' }] };
    const target = await add({
        kind: 'journey',
        name: 'Lost when busy',
        steps: [
            { id: 's1', do: 'ring', target: 'per_reception', seconds: 20, exits: [end] },
            { id: 's3', do: 'message', mailbox: 'mbx_reception' },
        ],
    });
    const number = 'num_exception_berths';
    const berths = await (await request.get(`/api/plans/draft/elements/${number}`)).json();
    const { revisions } = await (await request.get('/api/plans/draft/outline')).json();
    const moved = await request.put(`/api/plans/draft/elements/${number}`, {
        data: { ...berths, target },
        headers: { 'If-Match': `"${revisions[number]}"` },
    });
    expect(moved.ok()).toBe(true);
    const promise = await add({
        kind: 'expectation',
        name: 'Berths are never lost',
        calls: { to: [number] },
        promise: { that: 'ends with', outcomes: ['person', 'message'] },
    });
    await page.goto(address(`/expectations/${promise}`));
    const found = page.getByRole('region', { name: 'What became of it' });
    await expect(found.getByRole('heading')).toHaveText('Kept at every moment of the coming year');
    await expect(found).toContainText('In these calls phones ring on.');
    await page.getByRole('button', { name: 'Hold all expectations whatever phones do' }).press('Enter');
    await expect(found.getByRole('heading')).toHaveText('Broken');
    await expect(found).toContainText('where every phone is busy');
    await expect(found).toContainText('it was looked at in each case');
    await axeClean(page, 'main');
    await found.getByRole('button', { name: 'Try the first call to Berth telephones' }).press('Enter');
    await expect(page).toHaveURL(/busy/);
    await expect(sentence(page)).toContainText('ends');
});

test('an answer becomes an expectation, which an edit breaks', async ({ page }) => {
    await page.goto(address('/', { to: '+441632960290', at: '2027-03-31T10:00:00' }));
    await page.getByRole('button', { name: 'Expect this' }).press('Enter');
    await expect(page.getByText('Calls to Berth telephones, where nothing is pressed')).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Kept at every moment' })).toBeVisible();
    await choose(page, 'They', 'never ring');
    await saved(page);
    await expect(page.getByRole('heading', { name: 'Broken' })).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('heading', { name: 'Kept at every moment' })).toBeVisible();
    // A number of a block is its owner's; one that nobody has yet goes where others of the block do not.
    await page.goto(address('/', { to: '+441632960220', at: '2027-03-31T10:00:00' }));
    await page.getByRole('button', { name: 'Expect this' }).click();
    await expect(page.getByText('Calls to Olive Marsh’s own number, where nothing is pressed')).toBeVisible();
    // Her mailbox takes calls until she is back.
    await expect(page.getByRole('heading', { name: 'Broken' })).toBeVisible();
    await page.getByRole('combobox', { name: 'To', exact: true }).focus();
    await page.keyboard.type('dana');
    await page.keyboard.press('Enter');
    await saved(page);
    await expect(page.getByText('Calls to Olive Marsh’s own number and Dana Whitlock’s own number')).toBeVisible();
    await page.goto(address('/', { to: '+441632960250' }));
    await expect(sentence(page)).toContainText('Reception');
    await expect(page.getByRole('button', { name: 'Expect this' })).toBeHidden();
});

test('what is promised and broken stops publishing until it is said why; later, taken back, and back', async ({
    page,
    request,
}) => {
    await page.goto(address('/numbers/num_sailings', { to: '+441632960185' }));
    await choose(page, 'Calls go to', 'Bookings line');
    await saved(page);
    await page.getByRole('link', { name: 'Editions' }).click();
    const sheet = page.getByRole('region', { name: 'Publish', exact: true });
    await expect(sheet.getByRole('region', { name: 'Expectations' })).toContainText('12 of 14 are kept');
    await expect(sheet.getByRole('region', { name: 'To be recorded' })).toContainText('the sheet');
    await sheet.getByLabel('Note').fill('Sailings by people');
    await sheet.getByText('at a moment to come').click();
    await sheet.getByLabel('In force from').fill('2090-03-01T00:00');
    const publish = sheet.getByRole('button', { name: /Publish as edition/ });
    // On a large plan it takes more than one look.
    let asked = 0;
    let lookOn = () => {};
    const isSeen = new Promise<void>((resolve) => {
        lookOn = resolve;
    });
    await page.route('**/api/editions', async (route) => {
        if (route.request().method() !== 'POST' || asked > 1) return route.continue();
        asked += 1;
        if (asked > 1) await isSeen;
        const json = {
            type: 'about:blank',
            title: 'Not published yet',
            status: 409,
            detail: '',
            left: 30 - 10 * asked,
        };
        return route.fulfill({ status: 409, contentType: 'application/problem+json', json });
    });
    await publish.press('Enter');
    await expect(sheet.getByText('Looking first at what is expected: 20 numbers are left.')).toBeVisible();
    lookOn();
    await expect(sheet.getByText(/An expectation is not kept: Sailings are told at any hour/)).toBeVisible();
    await axeClean(page);
    await sheet.getByLabel('Why it is published all the same').fill('The recording is being made');
    await publish.press('Enter');
    const editions = page.getByRole('region', { name: 'Editions', exact: true });
    await expect(editions).toContainText('In force from 1 Mar 2090, 00:00');
    await expect(editions).toContainText('The recording is being made');
    const banner = page.getByRole('region', { name: 'To come' });
    await expect(banner).toContainText('1 March 2090');

    // A call that is tried on what is live then is routed by it.
    await choose(page, 'Plan', 'live');
    await expect(sentence(page)).toContainText('announcement of Sailing information');
    await expect(sentence(page)).toContainText('1 Mar 2090 00:00');
    await page.getByLabel('Date').fill('2090-03-02');
    await expect(sentence(page)).toContainText('Bookings menu');
    await banner.getByRole('button', { name: 'Take it back' }).press('Enter');
    await expect(banner).toHaveCount(0);
    await expect(editions.getByText('taken back')).toBeVisible();

    // At once, and back again in one act.
    await choose(page, 'Plan', 'the draft');
    const { revision } = await (await request.get('/api/plans/draft/pending')).json();
    const headers = { 'If-Match': `"${revision}"` };
    expect(
        (await request.post('/api/editions', { data: { note: 'Now', despite: 'It is known' }, headers })).status(),
    ).toBe(201);
    await page.reload();
    const first = editions.getByRole('listitem').filter({ hasText: /^Edition 1(?!\d)/ });
    await first.getByRole('button', { name: 'What going back changes' }).press('Enter');
    await expect(first).toContainText('Sailing information');
    await first.getByRole('button', { name: 'Make edition 1 live again' }).press('Enter');
    await expect(editions).toContainText('Back to edition 1');
});

test('settings of the plan', async ({ page }) => {
    // The first change makes the settings; one that comes before it is done waits for it.
    await page.route('**/api/plans/draft/elements', async (route) => {
        await new Promise((resolve) => setTimeout(resolve, 800));
        await route.continue();
    });
    await page.goto(address('/files'));
    const settings = page.getByRole('region', { name: 'Settings of the plan' });
    await settings.getByLabel('Loudness of takes').fill('-18');
    await settings.getByLabel('Loudness of takes').press('Enter');
    await settings.getByLabel('Waiting that is too long').fill('300');
    await Promise.all([
        // Leaving the first field sends it once more.
        page.waitForResponse((one) => Boolean(one.request().postData()?.includes('300')) && one.ok()),
        settings.getByLabel('Waiting that is too long').press('Enter'),
    ]);
    await settings.getByLabel('Why it is so').fill('Five minutes is what the desk promised.');
    await Promise.all([
        page.waitForResponse((one) => Boolean(one.request().postData()?.includes('promised')) && one.ok()),
        settings.getByLabel('Why it is so').press('Tab'),
    ]);
    await page.reload();
    await expect(settings.getByLabel('Why it is so')).toHaveValue('Five minutes is what the desk promised.');
    await expect(settings.getByLabel('Loudness of takes')).toHaveValue('-18');
    await expect(settings.getByLabel('Waiting that is too long')).toHaveValue('300');
});

test('a finding is put aside with a reason and an end, and told again', async ({ page }) => {
    await page.goto(address('/editions'));
    const found = page.getByRole('region', { name: 'Worth a look' });
    await expect(found.getByText('2 more are known')).toBeVisible();
    await found.getByRole('button', { name: /^Put aside: Port-Saint-Aubert terminal/ }).press('Enter');
    await page.getByLabel('Why this may stay').fill('It is recorded anew in spring');
    await page.getByLabel('Until', { exact: true }).fill('2090-04-01');
    await axeClean(page);
    await page.getByRole('button', { name: 'Put it aside' }).press('Enter');
    await found.getByText('3 more are known').click();
    const known = found
        .getByRole('listitem')
        .filter({ hasText: 'It is recorded anew in spring, until Sat 1 Apr 2090' });
    await expect(known).toBeVisible();
    await known.getByRole('button', { name: 'Tell it again' }).press('Enter');
    await expect(found.getByText('2 more are known')).toBeVisible();
    await expect(found.getByRole('button', { name: /^Put aside: Port-Saint-Aubert terminal/ })).toBeVisible();
});

test('the plan in brief, beside what is live', async ({ page }) => {
    await page.goto(address('/numbers/num_exception_berths', { to: '+441632960290' }));
    await choose(page, 'Calls go to', 'Reception mailbox');
    await saved(page);
    await page.getByRole('link', { name: 'On paper' }).click();
    await page.getByText('In brief: who answers when').click();
    await choose(page, 'What it is about', 'Behind Berth telephones');
    const paper = page.frameLocator('iframe[title="The paper"]');
    await expect(paper.getByRole('heading', { name: 'Berth telephones' })).toBeVisible();
    const picture = paper.getByRole('img', { name: 'A week' });
    await expect.poll(() => picture.evaluate((one: HTMLImageElement) => one.naturalWidth)).toBeGreaterThan(0);
    await expect(paper.locator('ins')).toHaveCount(0);
    await choose(page, 'What it is compared with', 'beside what is live');
    await expect(paper.locator('ins').first()).toContainText('a message with Reception mailbox');
    const gone = paper.locator('del');
    await expect(gone.filter({ hasText: /^While Reception hours are “Open”: .* rings Bea Longstaff/ })).toHaveCount(1);
    await expect(gone.filter({ hasText: /^“Open”: Mon–Fri 08:30–17:30; Sat 09:00–12:00/ })).toHaveCount(1);
    await expect(page.getByRole('link', { name: 'Keep as Markdown' })).toHaveAttribute(
        'href',
        /brief\.md\?language=en&before=live/,
    );
    await page.getByText('In French').click();
    await expect(paper.locator('ins').first()).toContainText('un message à Reception mailbox');
    await axeClean(page, 'main');

    // Where there are too many numbers to wait for, it is written in the background.
    await page.route('**/brief.html?*', (route) =>
        route.fulfill({
            status: 422,
            contentType: 'application/problem+json',
            json: {
                type: 'about:blank',
                title: 'Too long',
                status: 422,
                detail: 'Too long',
                errors: [{ pointer: '/number', code: 'brief-too-long', detail: 'Too long', remedy: '' }],
            },
        }),
    );
    await choose(page, 'What it is compared with', 'beside edition 1');
    await expect(page.getByRole('link', { name: 'Keep as PDF' })).toHaveCount(0);
    await axeClean(page, 'main');
    await page.getByRole('button', { name: 'Write it in the background' }).press('Enter');
    await expect(paper.locator('ins').first()).toContainText('un message à Reception mailbox');
    // Whoever comes back to it finds it written.
    await page.getByRole('link', { name: 'Holidays' }).press('Enter');
    await expect(page.getByRole('region', { name: 'On paper' })).toHaveCount(0);
    await page.getByRole('link', { name: 'On paper' }).press('Enter');
    await expect(paper.locator('ins').first()).toContainText('un message à Reception mailbox');
    const kept = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Keep as Markdown' }).press('Enter');
    expect((await kept).suggestedFilename()).toBe('brief-draft-fr.md');
});
