import { expect, test } from '@playwright/test';
import { barriers } from './barriers';
import { PASSWORD } from './signIn';

test.describe('before the door', () => {
    test.use({ storageState: { cookies: [], origins: [] } });

    test('by keyboard: somebody signs in, is led to where they were going, and out again', async ({ page }) => {
        await page.goto('/measure/QS-022');
        await expect(page).toHaveURL(/\/sign-in\?to=/);
        expect(await barriers(page)).toEqual([]);
        await expect(page.getByLabel('Name')).toBeFocused();
        await page.keyboard.type('Teal');
        await page.keyboard.press('Tab');
        await page.keyboard.type('a wrong one');
        await page.keyboard.press('Enter');
        await expect(page.getByText('No one of that name has that password here.')).toBeVisible();
        await page.getByLabel('Password').fill(PASSWORD);
        await page.keyboard.press('Enter');
        await expect(page).toHaveURL(/\/measure\/QS-022$/);
        // A viewer looks, and is told what takes another role.
        await page.locator('[data-main]').click();
        await expect(page.getByText('Teal is here as viewer, and only leads and technicians may')).toBeVisible();
        await page.getByRole('button', { name: /Teal, viewer/ }).click();
        await page.getByRole('menuitem', { name: 'Sign out' }).click();
        await expect(page).toHaveURL(/\/sign-in$/);
    });
});

test('a sitting that ends in mid-work is gone on with where one is, and what was typed is saved', async ({ page }) => {
    await page.goto('/intake/QS-028');
    await page.locator('[name=lot]').fill('L-28');
    await page.context().clearCookies();
    await page.getByRole('button', { name: /Save the label/ }).click();
    await expect(page.getByRole('heading', { name: 'Your sitting is over' })).toBeVisible();
    expect(await barriers(page)).toEqual([]);
    await expect(page.getByRole('textbox', { name: 'Name', exact: true })).toBeFocused();
    await page.keyboard.type('Moss');
    await page.keyboard.press('Tab');
    await page.keyboard.type('a wrong one');
    await page.keyboard.press('Enter');
    await expect(page.getByText('No one of that name has that password here.')).toBeVisible();
    await page.getByRole('textbox', { name: 'Password' }).fill(PASSWORD);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Your sitting is over' })).toBeHidden();
    await expect(page.getByRole('button', { name: /as saved/ })).toBeVisible();
    // Somebody comes in for the first time, and is told what they may do.
    await expect(page.getByRole('note')).toContainText('You are here as technician: you may look at everything');
    await page.getByRole('button', { name: 'Understood' }).click();
    await expect(page.getByRole('note')).toBeHidden();
    await page.reload();
    await expect(page.locator('[name=lot]')).toHaveValue('L-28');
    await expect(page.getByRole('note')).toBeHidden();
});

test('two pages on one card: the later one is told what the other changed, and both are kept', async ({
    page,
    context,
}) => {
    const other = await context.newPage();
    await page.goto('/intake/QS-027');
    await other.goto('/intake/QS-027');
    await other.getByLabel('Seller').fill('Quay Street Photo II');
    await other.getByRole('button', { name: /Save the label/ }).click();
    await expect(other.getByRole('button', { name: /as saved/ })).toBeVisible();
    await page.locator('[name=lot]').fill('L-77');
    await page.getByRole('button', { name: /Save the label/ }).click();
    await expect(page.getByText(/Wren changed Seller from/)).toBeVisible();
    expect(await barriers(page)).toEqual([]);
    await page.getByRole('button', { name: /Keep both/ }).click();
    await expect(page.getByLabel('Seller')).toHaveValue('Quay Street Photo II');
    await expect(page.locator('[name=lot]')).toHaveValue('L-77');
    await page.getByRole('button', { name: /Save the label/ }).click();
    await expect(page.getByRole('button', { name: /as saved/ })).toBeVisible();
    await page.reload();
    await expect(page.locator('[name=lot]')).toHaveValue('L-77');
});

test('people and benches shut nobody out, and a slot is added and taken out again', async ({ page }) => {
    for (const path of ['/people', '/benches', '/password']) {
        await page.goto(path);
        expect(await barriers(page)).toEqual([]);
    }
    await page.goto('/benches');
    await page.getByLabel('Another slot').fill('Bay 9');
    await page.getByRole('button', { name: 'Add this slot' }).click();
    await expect(page.getByText('The path is empty.')).toBeVisible();
    await page.getByLabel('Path').fill('/media/bay-9');
    await page.getByRole('button', { name: /Reader/ }).click();
    await page.getByRole('option', { name: /^R1/ }).click();
    await page.getByRole('button', { name: /Port/ }).click();
    await page.getByRole('option', { name: 'port 2' }).click();
    await page.getByRole('button', { name: 'Add this slot' }).click();
    await expect(page.getByRole('button', { name: 'change Bay 9' })).toBeVisible();
    await page.getByRole('button', { name: 'delete Bay 9' }).click();
    await expect(page.getByRole('button', { name: 'change Bay 9' })).toBeHidden();
});
