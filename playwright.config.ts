import { defineConfig } from '@playwright/test';

export default defineConfig({
    testDir: 'tests/Browser',
    timeout: 90_000,
    // A machine that does other things besides may be slow to answer.
    expect: { timeout: 10_000 },
    // One worker of the station, one browser: the tests share both.
    workers: 1,
    reporter: [['list']],
    use: {
        baseURL: 'http://127.0.0.1:8471',
        viewport: { width: 1280, height: 800 },
        launchOptions: {
            executablePath: '/usr/bin/chromium',
            args: [
                '--no-sandbox',
                '--disable-gpu',
                '--disable-quic',
                '--no-first-run',
                '--disable-background-networking',
                '--disable-component-update',
                '--disable-sync',
            ],
        },
    },
    webServer: {
        command: 'tests/Browser/app',
        url: 'http://127.0.0.1:8471/intake',
        timeout: 60_000,
        gracefulShutdown: { signal: 'SIGTERM', timeout: 5000 },
    },
});
