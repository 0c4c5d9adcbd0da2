import { expect, test } from '@playwright/test';
import { noneTouch, WIDTHS } from './touching';

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
        await noneTouch(page, WIDTHS);
    }
});
