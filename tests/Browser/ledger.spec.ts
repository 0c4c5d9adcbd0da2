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

test('the handbook is searched, and every finding leads to it', async ({ page }) => {
    await page.goto('/prove/QS-021');
    await page.getByRole('complementary').getByRole('link', { name: 'handbook' }).first().click();
    await expect(page).toHaveURL(/\/handbook#/);
    await page.getByLabel('Look up').fill('V60 never under');
    await expect(page.getByRole('cell', { name: 'V60', exact: true })).toBeVisible();
    await expect(page.getByRole('cell', { name: 'V90', exact: true })).toBeHidden();
    await page.getByLabel('Look up').fill('nothing like this');
    await expect(page.getByText('Nothing here has all of these words.')).toBeVisible();
});

test('a retired card and its reason stand in the tray, and in the changes of its books', async ({ page }) => {
    await page.goto('/ledger/QS-040');
    await expect(page.getByRole('heading', { name: 'Out of service' })).toBeVisible();
    await expect(page.getByRole('option', { name: /QS-040/ }).getByText('retired')).toBeVisible();
    await page.getByRole('link', { name: 'Changes of its books' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('QS-040');
    await expect(page.getByRole('row', { name: /retired why/ })).toContainText('sold as new, worn contacts');
});

test('by keyboard: a round of practice is begun, looked into, called, and answered', async ({ page }) => {
    await page.goto('/practice');
    await page.getByLabel('Seed of a shared one, or nothing').fill('4');
    const name = page.getByLabel('Your name');
    if (await name.isEditable()) {
        await name.fill('Wren');
    }
    // Level 2, by the arrow.
    await page.getByRole('radio', { name: /^1 At first sight/ }).focus();
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Begin a round' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByText('Practice, level 2: Whose limit is it?, seed 4.')).toBeVisible();
    await page.keyboard.press('b');
    await page.keyboard.press('c');
    const done = page.getByRole('table', { name: 'What was done' });
    await expect(done.getByRole('row', { name: /Measure, five readings, over P1/ })).toBeVisible();
    await page.keyboard.press('d');
    await page.keyboard.press('l');
    await expect(done.getByRole('row', { name: /Prove all of it/ })).toBeVisible();
    await page.getByRole('radio', { name: 'Sound' }).focus();
    await page.keyboard.press('Space');
    await page.getByRole('radio', { name: 'the card' }).focus();
    await page.keyboard.press('Space');
    await page.getByLabel(/^It really keeps/).fill('1 GB');
    await page.keyboard.press('Enter');
    const answer = page.getByRole('complementary');
    await expect(answer.getByRole('status')).toContainText(
        /You .*blamed the card for its chain|You .*misjudged how much it keeps/,
    );
    await expect(answer.getByText('The evidence that decides')).toBeVisible();
    await expect(answer.getByText(/The shortest way takes/)).toBeVisible();
    await page.keyboard.press('Tab');
    await page.getByRole('button', { name: 'Another of this level' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'What next?' })).toBeVisible();
    await expect(page.getByText('0:00 on the clock')).toBeVisible();
});

test('rules of judgement are tried on every card, listed, and left as they were', async ({ page }) => {
    await page.goto('/rules');
    await page.getByLabel('Is Slow under, % of a claim').fill('60');
    await page.getByLabel('Why it is changed').first().fill('it only has to hold the hydrophone');
    await page.getByRole('button', { name: 'See what would change' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('status').filter({ hasText: /^All \d+ cards were judged by them/ })).toBeVisible();
    await expect(page.getByText(/60 % instead of 75 %/)).toBeVisible();
    const changes = page.getByRole('table', { name: 'What would change' });
    await expect(changes.getByRole('row', { name: /QS-047/ })).toContainText(/Slow.*Sound/);
    await page.getByRole('button', { name: 'Leave all as it is' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('Is Slow under, % of a claim')).toHaveValue('75');
    await expect(page.getByRole('row', { name: /^Is Slow under/ })).toContainText('75 %');
    // What makes no sense is refused with what would do.
    await page.getByLabel('A medium shows at least, % of its label').fill('40');
    await page.getByLabel('Why it is changed').first().fill('why not');
    await page.getByRole('button', { name: 'See what would change' }).click();
    await expect(page.getByText('“40” makes no sense: give percent, from 90 to 99.')).toBeVisible();
});

test('a report of the house is gathered, and goes out as PDF', async ({ page }) => {
    await page.goto('/ledger/reports');
    await page.getByRole('button', { name: 'Make the report' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Report, ');
    const pdf = page.getByRole('link', { name: 'Take it as PDF' });
    await expect(pdf).toBeVisible();
    await expect(
        page.getByRole('table', { name: 'Struck out, and why' }).getByRole('link', { name: 'QS-021' }),
    ).toBeVisible();
    await expect(page.getByRole('row', { name: /hours saved by plans/ })).toContainText(/\d\.\d h/);
    const answer = await page.request.get((await pdf.getAttribute('href')) ?? '');
    expect(answer.headers()['content-type']).toBe('application/pdf');
});

test('books go out whole or in part, and what was bought is held against what it saved', async ({ page }) => {
    await page.goto('/books');
    await page.getByRole('button', { name: 'readers', exact: true }).focus();
    await page.keyboard.press('Space');
    await expect(page.getByRole('table', { name: 'What stands in them' }).getByRole('row')).toHaveCount(2);
    await page.getByRole('radio', { name: /^CSV/ }).focus();
    await page.keyboard.press('Space');
    const take = page.getByRole('link', { name: 'Download' });
    await expect(take).toHaveAttribute('href', '/books/out?format=csv&books%5B%5D=readers');
    const table = await page.request.get((await take.getAttribute('href')) ?? '');
    expect(await table.text()).toContain('tag,name,uplink');

    await page.goto('/ledger/worth');
    const bought = page.getByRole('table', { name: 'What was bought' });
    await expect(bought.getByRole('row', { name: /D1 fast field drive/ })).toContainText(
        /brought back \d+ % of its price/,
    );
    await page.getByLabel('It cost, such as 89 EUR').fill('a lot');
    await page.getByRole('button', { name: 'Enter it' }).click();
    await expect(page.getByText(/“a lot”/)).toBeVisible();
});
