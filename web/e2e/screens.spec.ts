import type { RunOnly } from 'axe-core';
import { axeClean } from './axe';
import { address } from './helpers';
import { expect, type Locator, test } from './test';

const SCREENS = [
    '/',
    '/numbers',
    '/journeys/jrn_bookings',
    '/hours/hrs_bookings',
    '/hours/hrs_port#year',
    '/hours/hrs_freight#changes',
    '/holidays/cal_england',
    '/open-now',
    '/people/per_duty',
    '/lines/line_ternwick',
    '/teams/team_freight',
    '/queues/que_bookings',
    '/callers/clr_accounts',
    '/prompts',
    '/prompts/prm_lost_closed',
    '/mailboxes',
    '/recordings',
    '/sites',
    '/editions',
    '/on-duty',
    '/map/jrn_bookings',
    '/paper',
    '/numbers/num_direct',
    '/outbox',
    '/overflow',
    '/all-numbers',
    '/coverage',
    '/expectations/exp_port_sleeps',
    '/changes',
    '/files',
];

for (const screen of SCREENS) {
    test(`${screen} is accessible in light and dark colours, and fits 1280 and 320 wide`, async ({ page }) => {
        const [path = '', view] = screen.split('#');
        await page.goto(address(path, view ? { view } : {}));
        for (const mode of ['light', 'dark']) {
            await expect(page.locator('html')).toHaveAttribute('data-mode', mode);
            await expect(page.locator('main h1, main h2').first()).toBeVisible();
            await expect(page.locator('.answer .sentence p').first()).toBeVisible();
            await page.waitForLoadState('networkidle');
            await expect(page).toHaveTitle(/\S · Meandros$/);
            // In other colours, only colours can be wrong.
            const rules = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];
            const runOnly: RunOnly =
                mode === 'light' ? { type: 'tag', values: rules } : { type: 'rule', values: ['color-contrast'] };
            // Paper in a frame is white in either.
            await axeClean(page, undefined, { runOnly, iframes: mode === 'light' });
            expect(await page.evaluate(unstyled)).toEqual([]);
            expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(1280);
            if (mode === 'light') await page.getByRole('button', { name: 'Dark', exact: true }).click();
        }
        // As it is where all is four times as large: only tables and pictures may have to be scrolled sideways.
        await page.setViewportSize({ width: 320, height: 720 });
        await expect.poll(() => page.evaluate(beyond)).toEqual([]);
        await axeClean(page, undefined, {
            runOnly: { type: 'rule', values: ['scrollable-region-focusable', 'target-size'] },
            iframes: false,
        });
    });
}

/** What is drawn beyond the right edge of the window. */
function beyond(): string[] {
    const isPicture = (one: Element) => one.closest('table, svg, .hidden') !== null;
    return [...document.querySelectorAll('body *')]
        .filter((one) => !isPicture(one) && one.getBoundingClientRect().width > 0)
        .filter((one) => getComputedStyle(one).visibility !== 'hidden')
        .filter((one) => one.getBoundingClientRect().right > document.documentElement.clientWidth + 1)
        .map((one) => `${one.tagName} ${one.className} ${one.textContent?.slice(0, 30)}`);
}

/** Components of Ant Design on the page whose styles are not in the file that styles.mjs makes. */
function unstyled(): string[] {
    const sheets = [...document.styleSheets].filter((sheet) => sheet.href !== null);
    const rules = sheets.flatMap((sheet) => [...sheet.cssRules].map((rule) => rule.cssText));
    const drawn = [...document.querySelectorAll('[class*="ant-"]')].flatMap((one) => [...one.classList]);
    const components = new Set(drawn.map((name) => /^ant-[a-z]+/.exec(name)?.[0] ?? 'ant-'));
    return [...components].filter((name) => !rules.some((rule) => rule.startsWith(`.${name}`)));
}

test('where there is little room the way to the screens is opened and used by keyboard', async ({ page }) => {
    await page.setViewportSize({ width: 320, height: 720 });
    await page.goto(address('/queues'));
    const [opener, link] = [page.getByRole('button', { name: 'Screens' }), page.getByRole('link', { name: 'Teams' })];
    await expect(opener).toHaveAttribute('aria-expanded', 'false');
    await expect(link).toBeHidden();
    await opener.focus();
    await page.keyboard.press('Enter');
    await expect(opener).toHaveAttribute('aria-expanded', 'true');
    await link.focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Teams', level: 1 })).toBeVisible();
    await expect(link).toBeHidden();
});

test('the assumptions and an edited step are accessible', async ({ page }) => {
    await page.goto(address('/journeys/jrn_bookings', { phones: '*~answers~8' }));
    await page.getByRole('button', { name: /Assuming/ }).click();
    await expect(page.getByRole('group', { name: 'Assumptions' })).toBeVisible();
    await axeClean(page, '.assumptions');
    await page.keyboard.press('Escape');
    await page.locator('[data-row]').first().focus();
    await page.keyboard.press('Enter');
    await axeClean(page, '.row.editing');
});

test('what opens fits where there is little room', async ({ page }) => {
    await page.setViewportSize({ width: 320, height: 720 });
    for (const [path, button] of [
        ['/', /^Assuming/],
        ['/', 'Why?'],
        ['/', 'Expect this'],
        ['/open-now', /^Force/],
        ['/journeys/jrn_main', 'Add a step at the end'],
        ['/journeys/jrn_main', 'Start from a pattern …'],
    ] as const) {
        await page.goto(address(path));
        await page.getByRole('button', { name: button }).first().click();
        await page.waitForLoadState('networkidle');
        await expect.poll(() => page.evaluate(beyond), String(button)).toEqual([]);
        expect(await page.evaluate(unstyled)).toEqual([]);
    }
});

test('in few colours of somebody’s own it is seen what is chosen, switched and rung', async ({ page }) => {
    await page.emulateMedia({ forcedColors: 'active' });
    await page.goto(address('/teams/team_port'));
    const paint = (one: Locator) =>
        one.first().evaluate((element) => {
            const { backgroundColor, borderInlineStartWidth } = getComputedStyle(element);
            return [backgroundColor, borderInlineStartWidth];
        });
    const [canvas] = await paint(page.locator('body'));
    for (const name of ['Teams', 'Port office']) {
        expect((await paint(page.locator('a[aria-current]', { hasText: name })))[1]).toBe('4px');
    }
    expect((await paint(page.locator('label:has(> input:checked)', { hasText: 'All at once' })))[1]).toBe('2px');
    for (const drawn of ['.ant-radio-checked', '.ant-switch-checked', '.track .bar']) {
        expect((await paint(page.locator(drawn)))[0]).not.toBe(canvas);
    }
    await page.getByRole('switch').first().press('Space');
    await expect(page.locator('.ant-switch:not(.ant-switch-checked)')).toHaveCSS('border-top-width', '1px');
});
