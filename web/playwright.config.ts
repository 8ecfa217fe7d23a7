import { existsSync } from 'node:fs';
import { defineConfig } from '@playwright/test';

/** One server with a database of its own for each worker: tests side by side do not meet. */
const servers = (process.env.MEANDROS_URLS ?? 'http://127.0.0.1:8080').split(' ');

/** Debian's Chromium without a window: it takes a third less time than the one with. */
const SHELL = '/usr/bin/chromium-headless-shell';

export default defineConfig({
    testDir: 'e2e',
    // Three workers share two cores, and some machines are four times as slow as others: what must not take long is in bin/bench.
    timeout: 120_000,
    fullyParallel: true,
    workers: servers.length,
    // A busy machine may stall a browser; a test that passes only the second time is reported as flaky.
    retries: 1,
    expect: { timeout: 30_000 },
    reporter: [['list']],
    use: {
        baseURL: servers[Number(process.env.TEST_PARALLEL_INDEX ?? 0)] ?? servers[0],
        viewport: { width: 1280, height: 800 },
        locale: 'en-GB',
        timezoneId: 'Europe/London',
        colorScheme: 'light',
        launchOptions: {
            executablePath: existsSync(SHELL) ? SHELL : '/usr/bin/chromium',
            args: [
                '--no-sandbox',
                '--lang=en-GB',
                '--disable-gpu',
                '--disable-quic',
                '--no-first-run',
                '--disable-background-networking',
                '--disable-component-update',
                '--disable-sync',
                // Pages live for seconds: compiling them for most speed takes more than it saves; for some, axe takes a quarter less.
                '--js-flags=--no-opt --max-lazy',
            ],
        },
    },
});
