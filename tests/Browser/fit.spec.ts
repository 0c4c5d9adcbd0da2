import { expect, test } from '@playwright/test';

test('by keyboard: a burst is logged with the space bar, and the criterion is changed', async ({ page }) => {
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

test('a whole shoot is packed while it is typed, kept, and handed over to the offload', async ({ page }) => {
    await page.goto('/fit/shoot');
    await page.getByRole('button', { name: 'Add a recording' }).click();
    const first = page.getByRole('group', { name: 'Recording 1' });
    await first.getByRole('button', { name: /Mode/ }).click();
    await page.getByRole('option', { name: 'C1 4K 60' }).click();
    await first.getByLabel('Recorded a day').fill('60 min');
    await expect(page.getByRole('heading', { level: 1 })).toContainText('1 card packed, nothing missing');
    await first.getByRole('button', { name: 'a spare' }).click();
    await expect(page.getByRole('cell', { name: 'C1 4K 60, a spare' })).toBeVisible();
    await first.getByLabel('Recorded a day').fill('60');
    await expect(page.getByText('“60” is not a length of time', { exact: false })).toBeVisible();
    await first.getByLabel('Recorded a day').fill('60 min');
    await expect(page.getByText('“60” is not a length of time', { exact: false })).toBeHidden();
    await page.getByLabel('Name of the shoot').fill('Harbour at dusk');
    await page.getByRole('button', { name: 'Keep this shoot' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Harbour at dusk');
    await page.getByRole('link', { name: /Plan the offload of/ }).click();
    await expect(page.getByText('as the shoot will leave them', { exact: false })).toBeVisible();
});
