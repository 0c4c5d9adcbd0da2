import { expect, test } from '@playwright/test';

test('by keyboard: an incident is logged from anywhere, the card falls due, is retired, and something is bought', async ({
    page,
}) => {
    await page.goto('/measure/QS-047');
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await page.keyboard.press('i');
    const line = page.getByLabel('Card, what happened, where or in what');
    await expect(line).toBeFocused();
    await expect(line).toHaveValue('QS-047 ');
    await line.pressSequentially('fell into the harbour');
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(/\/ledger\/QS-047$/);
    await expect(page.getByRole('heading', { name: 'Test again' })).toBeVisible();
    await expect(page.getByRole('complementary').getByText(/^Dropped, /)).toBeVisible();
    await expect(
        page.getByRole('radio', { name: /^Due 3/ }).or(page.getByRole('button', { name: /^Due 3/ })),
    ).toBeVisible();

    await page.getByRole('button', { name: /Retire this card/ }).focus();
    await page.keyboard.press('Enter');
    await page.getByLabel('Why it goes out of service').fill('salt in the contacts');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Out of service' })).toBeVisible();
    await expect(page.getByRole('complementary').getByText(/salt in the contacts/)).toBeVisible();

    await page.keyboard.press('Escape');
    await page.getByRole('link', { name: /What to buy next/ }).focus();
    await page.keyboard.press('Enter');
    await page.getByLabel('or never under').fill('45 MB/s');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { level: 1 })).toContainText('never under 45.0 MB/s');
    await expect(page.getByText('Cheapest that passes', { exact: true })).toBeVisible();
    await page.goto('/ledger/QS-047');
    await page.getByRole('button', { name: /Take it back/ }).click();
    await expect(page.getByRole('heading', { name: 'Test again' })).toBeVisible();
});
