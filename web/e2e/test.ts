import { type Browser, type BrowserContext, test as base, type Page, type WorkerInfo } from '@playwright/test';

function contextOf(browser: Browser, { project }: WorkerInfo) {
    const { baseURL, viewport, locale, timezoneId, colorScheme } = project.use;
    return browser.newContext({ baseURL, viewport, locale, timezoneId, colorScheme });
}

/** What a test leaves behind in the page. */
async function clean(page: Page) {
    await page.unrouteAll({ behavior: 'ignoreErrors' });
    if (page.url().startsWith('http')) {
        await page.evaluate(() => {
            localStorage.clear();
            sessionStorage.clear();
        });
    }
    // Nothing but a picture, of the same place: from a blank page, the next would begin in a process of its own.
    await page.goto('/favicon.svg');
    await page.mouse.move(0, 0);
}

/**
 * One page for all tests of a worker: one of its own compiles the application anew, for each test, which takes as long as the
 * test. A test that goes offline, listens or keeps things in the browser uses Playwright's own `test`, and has its own.
 */
export const test = base.extend<object, { kept: BrowserContext }>({
    kept: [
        async ({ browser }, use, info) => {
            const context = await contextOf(browser, info);
            // Screens that no test opens are not fetched.
            await context.addInitScript(() => {
                Object.defineProperty(navigator, 'connection', { value: { saveData: true } });
            });
            await use(context);
            await context.close();
        },
        { scope: 'worker' },
    ],
    context: async ({ kept }, use) => use(kept),
    page: async ({ kept, viewport }, use) => {
        const page = kept.pages()[0] ?? (await kept.newPage());
        await use(page);
        await clean(page);
        if (viewport && page.viewportSize()?.width !== viewport.width) await page.setViewportSize(viewport);
    },
});

export type { APIRequestContext, Locator, Page } from '@playwright/test';
export { expect } from '@playwright/test';
