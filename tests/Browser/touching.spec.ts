import { expect, test } from '@playwright/test';
import { touching } from './touching';

/** Every main view with a picture, and what its labels must have room for. */
const VIEWS = [
    '/intake/QS-031',
    '/inspect/QS-014',
    '/measure/QS-014',
    '/measure/QS-023',
    '/measure/QS-024',
    '/measure/QS-046',
    '/prove/QS-014',
    '/prove/QS-021',
    '/prove/QS-023',
    '/prove/QS-025',
    '/prove/QS-026',
    '/prove/QS-032',
    '/offload',
    '/offload?copies=1&goal=hands',
    '/offload/plans/1',
    '/offload/QS-024',
    '/runs/1',
    '/prices',
    '/kit/sheet',
    '/kit/readers/R3',
    '/tags?cards=QS-014..QS-028',
    '/compare',
    '/compare?by=card',
    '/compare/limits',
    '/compare/twins',
];

const WIDTHS = [1280, 1000, 390];

for (const path of VIEWS) {
    test(`no two labels of ${path} touch, at any width, by day and by night`, async ({ page }) => {
        await page.goto(path);
        await expect(page.getByRole('main')).toBeVisible();
        for (const theme of ['day', 'night']) {
            await page.evaluate((name) => {
                document.documentElement.setAttribute('data-theme', name);
            }, theme);
            for (const width of WIDTHS) {
                await page.setViewportSize({ width, height: 800 });
                // A picture is drawn anew once its width is known.
                await expect(async () => {
                    expect(await touching(page)).toEqual([]);
                }).toPass({ timeout: 3000 });
            }
        }
    });
}

test('with 2,000 cards none touch either, and the line still tells its counts', async ({ page }) => {
    const rows = Array.from({ length: 2000 }, (_, i) =>
        [
            `L-${String(i).padStart(4, '0')}`,
            `Tindle Classic ${64 << (i % 3)}GB SDXC UHS-I U3 V30 95/60MB/s`,
            i % 20 === 0 ? '' : '20 GB',
            '19.90',
        ].join(),
    );
    await page.goto('/import');
    const [chooser] = await Promise.all([
        page.waitForEvent('filechooser'),
        page.getByRole('button', { name: 'Choose a table' }).click(),
    ]);
    await chooser.setFiles({
        name: 'many.csv',
        mimeType: 'text/csv',
        buffer: Buffer.from(['Tag,Label,Footage on it,Price', ...rows].join('\n')),
    });
    await page.getByRole('button', { name: /Add 2.?000/ }).click({ timeout: 30_000 });
    await page.waitForURL(/intake\/L-0000/, { timeout: 60_000 });
    for (const path of [
        '/intake/L-0000',
        '/inspect/L-0001',
        '/measure/QS-014',
        '/prove/QS-026',
        '/offload/L-0001',
        '/prices',
        '/compare',
    ]) {
        await page.goto(path);
        await expect(page.getByRole('main')).toBeVisible();
        for (const width of WIDTHS) {
            await page.setViewportSize({ width, height: 800 });
            await expect(async () => {
                expect(await touching(page)).toEqual([]);
            }).toPass({ timeout: 3000 });
        }
    }
});
