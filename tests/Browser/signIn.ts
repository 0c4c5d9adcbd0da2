import { chromium, type FullConfig } from '@playwright/test';

export const PASSWORD = 'demo for the browser';

/** Where the two applications answer; ./test chooses free ones, so that it runs beside any other copy of this project. */
export const ports = {
    bench: Number(process.env['BENCH_PORT'] ?? 8471),
    pages: Number(process.env['PAGES_PORT'] ?? 8472),
};

/** Where the sitting at the application of this port is kept. */
export const sitting = (port: number) => `.run/browser/signed-in-${port}.json`;

/** Signs in once at each application as the lead of the demo. */
export default async function signIn(config: FullConfig): Promise<void> {
    const browser = await chromium.launch(config.projects[0]?.use.launchOptions ?? {});
    for (const port of [ports.bench, ports.pages]) {
        const context = await browser.newContext();
        const page = await context.newPage();
        await page.goto(`http://127.0.0.1:${port}/sign-in`);
        await page.getByLabel('Name').fill('Wren');
        await page.getByLabel('Password').fill(PASSWORD);
        await page.getByRole('button', { name: 'Sign in' }).click();
        await page.waitForURL(/intake/);
        await page.getByRole('button', { name: 'Understood' }).click();
        await page.getByRole('note').waitFor({ state: 'detached' });
        await context.storageState({ path: sitting(port) });
    }
    await browser.close();
}
