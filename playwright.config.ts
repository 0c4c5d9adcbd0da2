import { defineConfig } from '@playwright/test';
import { PASSWORD, ports, sitting } from './tests/Browser/signIn';

/** These look at the demo as it stands; the last of them brings 2,000 cards. */
const LOOKED_AT = ['pages.spec.ts', 'touching.spec.ts'];

/** The real application with a station and a database of its own, so that what one test changes is no surprise to another. */
const app = (name: string, port: number) => ({
    command: `tests/Browser/app ${name} ${port}`,
    env: { TALLY_DEMO_PASSWORD: PASSWORD },
    url: `http://127.0.0.1:${port}/up`,
    timeout: 60_000,
    gracefulShutdown: { signal: 'SIGTERM' as const, timeout: 5000 },
});

export default defineConfig({
    testDir: 'tests/Browser',
    timeout: 90_000,
    // A machine that does other things besides may be slow to answer.
    expect: { timeout: 10_000 },
    workers: 2,
    reporter: [['list']],
    globalSetup: './tests/Browser/signIn',
    use: {
        viewport: { width: 1280, height: 800 },
        launchOptions: {
            executablePath: '/usr/bin/chromium-headless-shell',
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
    // The tests of each share a station and its books, so they go one after another; the two go beside one another.
    projects: [
        {
            name: 'pages',
            testMatch: LOOKED_AT,
            workers: 1,
            use: { baseURL: `http://127.0.0.1:${ports.pages}`, storageState: sitting(ports.pages) },
        },
        {
            name: 'bench',
            testIgnore: LOOKED_AT,
            workers: 1,
            use: { baseURL: `http://127.0.0.1:${ports.bench}`, storageState: sitting(ports.bench) },
        },
    ],
    webServer: [app('browser', ports.bench), app('pages', ports.pages)],
});
