import { expect, test } from '@playwright/test';

test('by keyboard: a burst is logged with the space bar, and the school is changed', async ({ page }) => {
    await page.goto('/fit/QS-022');
    await expect(page.getByRole('heading', { level: 1 })).toContainText('of 11 modes');
    await page.getByLabel('Frames a second').fill('20');
    await page.getByLabel('One frame').fill('24.6 MB');
    await page.getByLabel('One frame').blur();
    await page.keyboard.press(' ');
    await expect(page.getByRole('button', { name: 'It slows now' })).toBeVisible();
    await page.waitForTimeout(600);
    await page.keyboard.press(' ');
    // Frames follow from how many it takes a second.
    await expect(page.getByLabel('Frames until it slowed')).not.toHaveValue('');
    await page.waitForTimeout(400);
    await page.keyboard.press(' ');
    await expect(page.getByLabel('Cleared in')).toHaveValue(/^\d+\.\d s$/);
    await page.getByRole('button', { name: 'Log this burst' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByText('7 bursts', { exact: true })).toBeVisible();

    await page.getByRole('radio', { name: /By measurement/ }).focus();
    await page.keyboard.press('ArrowDown');
    await expect(page.getByRole('radio', { name: /Guaranteed media only/ })).toBeChecked();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('can record 0 of 11 modes');
    await page.keyboard.press('ArrowUp');
    await expect(page.getByRole('heading', { level: 1 })).not.toContainText('can record 0 of');
});
