import { chromium, type FullConfig } from '@playwright/test';

export const PASSWORD = 'demo for the browser';

/** Where the sitting at the application of this port is kept. */
export const sitting = (port: number) => `.run/browser/signed-in-${port}.json`;

/** Signs in once at each application as the lead of the demo. */
export default async function signIn(config: FullConfig): Promise<void> {
    const browser = await chromium.launch(config.projects[0]?.use.launchOptions ?? {});
    for (const port of [8471, 8472]) {
        const context = await browser.newContext();
        const page = await context.newPage();
        await page.goto(`http://127.0.0.1:${port}/sign-in`);
        await page.getByLabel('Name').fill('Wren');
        await page.getByLabel('Password').fill(PASSWORD);
        await page.getByRole('button', { name: 'Sign in' }).click();
        await page.waitForURL(/intake/);
        await context.storageState({ path: sitting(port) });
    }
    await browser.close();
}
