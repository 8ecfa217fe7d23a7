import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { expect, type Page } from '@playwright/test';
import type { AxeResults, RunOptions } from 'axe-core';

const SOURCE = `${readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')}
axe.configure({ allowedOrigins: ['<unsafe_all_origins>'] });`;

/**
 * Nothing on the page, or within a part of it, is against the rules of axe. What stands around a part is looked at once, with each
 * screen, in screens.spec.ts. It runs in the page, frames included: gathering what is right as well, and putting it together in a
 * page of its own, takes five times as long.
 */
export async function axeClean(page: Page, within?: string, options: RunOptions = {}) {
    for (const frame of page.frames()) await frame.evaluate(SOURCE);
    const found = await page.evaluate(
        async ([part, asked]) => {
            const { axe } = window as unknown as { axe: { run(on: unknown, options: unknown): Promise<AxeResults> } };
            const { violations, passes, incomplete } = await axe.run(part ? { include: [part] } : document, {
                resultTypes: ['violations'],
                ...asked,
            });
            const unseen = incomplete.filter((one) => one.id === 'frame-tested');
            const where = [...violations, ...unseen].map(
                (one) => `${one.id}: ${one.nodes.map((node) => node.html).join(' ')}`,
            );
            return { where, looked: passes.length + violations.length };
        },
        [within, options] as const,
    );
    expect(found.where).toEqual([]);
    expect(found.looked, 'axe has looked at something').toBeGreaterThan(0);
}
