import { defineConfig } from '@playwright/test';

export default defineConfig({
    testDir: 'e2e',
    timeout: 45_000,
    fullyParallel: false,
    workers: 1,
    // A busy machine may stall a browser; a test that passes only the second time is reported as flaky.
    retries: 1,
    expect: { timeout: 10_000 },
    reporter: [['list']],
    use: {
        baseURL: process.env.MEANDROS_URL ?? 'http://127.0.0.1:8080',
        viewport: { width: 1280, height: 800 },
        locale: 'en-GB',
        timezoneId: 'Europe/London',
        colorScheme: 'light',
        launchOptions: {
            executablePath: '/usr/bin/chromium',
            args: [
                '--no-sandbox',
                '--lang=en-GB',
                '--disable-gpu',
                '--disable-quic',
                '--no-first-run',
                '--disable-background-networking',
                '--disable-component-update',
                '--disable-sync',
            ],
        },
    },
});
