import { readFile } from 'node:fs/promises';
import { chromium } from '@playwright/test';
const address = 'http://127.0.0.1:8470';
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell', args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking'] });
const people = (await readFile('storage/app/private/demo-people.txt', 'utf8')).trim();
const password = /Wren.*: (.+)/.exec(people)?.[1] ?? '';
const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
const page = await context.newPage();
page.on('console', (m) => { if (m.type() === 'error') console.log('console:', m.text()); });
await page.goto(`${address}/sign-in`);
await page.getByLabel('Name').fill('Wren');
await page.getByLabel('Password').fill(password);
await page.getByRole('button', { name: 'Sign in' }).click();
await page.waitForURL(/intake/);
const shot = async (name) => { await page.screenshot({ path: `/tmp/shots/${name}.png` }); };
const what = process.argv[2];
if (what === 'follow') {
    await page.goto(`${address}/offload?cards[]=QS-014&cards[]=QS-015&cards[]=QS-022`, { waitUntil: 'networkidle' });
    await page.getByLabel('Shoot').fill('Harbour');
    await page.getByRole('button', { name: /^With/ }).or(page.getByRole('button', { name: /made-up cards/ })).first().click();
    await page.getByRole('option', { name: /with a fault/ }).click();
    await page.getByRole('button', { name: 'Begin' }).click();
    await page.waitForURL(/offloads\/\d+/);
    await page.waitForTimeout(1200);
    await shot('follow-1');
    for (let i = 0; i < 60; i++) {
        if (await page.getByRole('region', { name: 'Now, by hand' }).isVisible()) await page.keyboard.press('Space');
        await page.waitForTimeout(1500);
        if (i === 8) await shot('follow-2');
        if (await page.getByText('Do not clear.').count()) break;
    }
    await page.waitForTimeout(500);
    await shot('follow-3');
    await page.screenshot({ path: '/tmp/shots/follow-3-full.png', fullPage: true });
    await page.locator('main').evaluate((m) => m.scrollTo(0, 900));
    await page.waitForTimeout(200);
    await shot('follow-4');
    console.log(page.url());
} else {
    await page.goto(address + what, { waitUntil: 'networkidle' });
    if (process.argv[4]) await page.locator('main').evaluate((m, y) => m.scrollTo(0, y), Number(process.argv[4]));
    await page.waitForTimeout(300);
    await shot(process.argv[3]);
}
await browser.close();
