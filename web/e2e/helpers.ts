import { type APIRequestContext, expect, type Page } from '@playwright/test';

/** A weekday morning on which the bookings desk is open. */
const MORNING = '2026-11-23T10:30:00';

export function address(path: string, more: Record<string, string> = {}): string {
    return `${path}?${new URLSearchParams({ to: '+441632960110', at: MORNING, ...more })}`;
}

export const sentence = (page: Page) => page.locator('.answer .sentence');

/** Waits until the last change has reached the server. */
export async function saved(page: Page) {
    await expect(page.locator('.saving')).toHaveText('Saved');
}

/** Puts the first edition back, so that each test starts from the demo plan. */
export async function startOver(request: APIRequestContext) {
    // The page of the test before may still be saving.
    await expect(async () => {
        const { revision } = await (await request.get('/api/plans/draft/pending')).json();
        const headers = { 'If-Match': `"${revision}"` };
        const answer = await request.post('/api/editions/1/restore', { data: {}, headers });
        expect(answer.ok()).toBe(true);
    }).toPass();
}

/** Chooses in a select; types to search where it can be searched. */
export async function choose(page: Page, label: string, text: string) {
    const box = page.getByRole('combobox', { name: label, exact: true });
    await box.click();
    if (await box.isEditable()) await box.fill(text);
    // What is there, and not another that would be made of that name.
    const options = page.locator('.ant-select-dropdown:visible .ant-select-item-option', { hasText: text });
    await options.filter({ hasNotText: /^Add / }).first().click();
}
