import { expect, test } from '@playwright/test';

test('a page that follows a run has one question in flight, however slow the answers are', async ({ page }) => {
    let flying = 0;
    let most = 0;
    let asked = 0;
    await page.route('**/pulse?*', async (route) => {
        asked += 1;
        flying += 1;
        most = Math.max(most, flying);
        await new Promise((resolve) => setTimeout(resolve, 1500));
        flying -= 1;
        await route.continue();
    });
    await page.goto('/measure/QS-039');
    // Three runs, so that it is over within the wait below on a slow machine too.
    await page.getByText('quick look', { exact: true }).click();
    await page.getByRole('button', { name: 'Measure this card' }).click();
    await expect(page.getByText('A speed run is going')).toBeVisible();
    await page.waitForTimeout(6000);
    expect(most).toBe(1);
    expect(asked).toBeGreaterThan(2);
    expect(asked).toBeLessThan(8);
    // It comes to its end all the same.
    await expect(page.getByText('A speed run is going')).toBeHidden({ timeout: 20_000 });
});
