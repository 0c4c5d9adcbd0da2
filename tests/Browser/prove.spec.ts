import { expect, test } from '@playwright/test';
import { barriers } from './barriers';

test('a core sample is looked into by key, button and wheel, down to a bad place', async ({ page }) => {
    await page.goto('/prove/QS-025');
    const core = page.getByRole('application', { name: /^Core sample/ });
    const where = page.locator('[aria-live=polite]').filter({ hasText: /card|from/ });
    await expect(where).toHaveText('the whole card');
    await core.focus();
    await page.keyboard.press('b');
    await expect(where).toHaveText(/^from byte [\d\s]+, /);
    await expect(core).toHaveAccessibleName(/bytes scrambled/);
    const first = await where.textContent();
    await page.keyboard.press('b');
    await expect(where).not.toHaveText(first ?? '');
    await page.keyboard.press('-');
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Home');
    await expect(where).toHaveText('the whole card');

    await core.hover();
    const before = await page.evaluate(() => scrollY);
    await page.mouse.wheel(0, -300);
    await expect(where).toHaveText(/^from [\d.]+ .B to/);
    expect(await page.evaluate(() => scrollY)).toBe(before);
    await page.getByRole('button', { name: 'Whole card' }).click();
    await page.getByRole('button', { name: 'Next bad place' }).click();
    await expect(where).toHaveText(/^from byte/);
    expect(await barriers(page)).toEqual([]);
});

test('a raw card is erased only when its tag and a name are given; then it is in the ledger', async ({ page }) => {
    await page.goto('/prove/QS-045');
    await page.getByRole('button', { name: /Slot/ }).click();
    await page.getByRole('option', { name: /Raw 1/ }).click();
    await expect(page.getByText('Everything on the card is lost')).toBeVisible();
    await page.getByRole('button', { name: 'Prove this card' }).click();
    await expect(page.getByText('Type the tag of this card to say that it is meant')).toBeVisible();
    await page.getByLabel('Tag of the card in the slot').fill('QS-045');
    await expect(page.getByLabel('Your name, for the ledger')).toHaveValue('Wren');
    await page.getByRole('button', { name: 'Prove this card' }).click();
    await expect(page.getByText('All of 512 MB came back as written.')).toBeVisible({ timeout: 40_000 });
    await expect(page.getByRole('table', { name: 'Erased' })).toContainText('Wren');
    // A cache inside the card could have answered: it can be read once more.
    await page.getByRole('button', { name: 'Read it again' }).click();
    await expect(page.getByRole('button', { name: 'Read it again' })).toBeVisible({ timeout: 40_000 });
    expect(await barriers(page)).toEqual([]);
});

test('both ways are offered with what each proves; the screen is chosen by key', async ({ page }) => {
    await page.goto('/prove/QS-042');
    const ways = page.getByRole('radiogroup', { name: 'How to prove it' });
    await expect(ways.getByRole('radio')).toHaveCount(2);
    await expect(ways).toContainText('A card that holds less than 98.2 % would have been caught with 99 % certainty.');
    await ways.getByRole('radio', { name: /Full proof/ }).focus();
    await page.keyboard.press('ArrowRight');
    await expect(page.getByRole('button', { name: 'Screen this card' })).toBeVisible();
    await expect(page.getByLabel('Places')).toHaveValue('256');
    await page.getByLabel('Places').fill('3');
    await page.getByRole('button', { name: 'Screen this card' }).click();
    await expect(page.getByText('give a whole number from 16 to 4096')).toBeVisible();
    await page.getByLabel('Places').fill('64');
    await page.getByRole('button', { name: /Slot/ }).click();
    await page.getByRole('option', { name: /Tray 2/ }).click();
    await page.getByRole('button', { name: 'Screen this card' }).click();
    await expect(page.getByText(/All 64 places that were drawn/)).toBeVisible({ timeout: 20_000 });
});

test('a proof that was stopped goes on from its place', async ({ page }) => {
    await page.goto('/prove/QS-037');
    await page.getByRole('radio', { name: /Full proof/ }).check({ force: true });
    await page.getByRole('button', { name: /^Prove/ }).click();
    // As soon as something is written: a stand-in is through in seconds.
    await expect(page.getByRole('progressbar')).toHaveAttribute('aria-valuenow', /[1-9]/);
    await page.getByRole('button', { name: 'Stop this run' }).click();
    await expect(page.getByRole('button', { name: 'Continue that proof' })).toBeVisible({ timeout: 20_000 });
    await page.getByRole('button', { name: 'Continue that proof' }).click();
    await expect(page.getByText(/^All of 63.86 GB came back as written/)).toBeVisible({ timeout: 20_000 });
});

test('the result file goes out and is read back in, and the sheet is a PDF', async ({ page }) => {
    await page.goto('/prove/QS-026');
    const [download] = await Promise.all([
        page.waitForEvent('download'),
        page.getByRole('link', { name: 'Result file (JSON)' }).click(),
    ]);
    expect(download.suggestedFilename()).toBe('result-QS-026.json');
    const [chooser] = await Promise.all([
        page.waitForEvent('filechooser'),
        page.getByRole('button', { name: 'Import a result file' }).click(),
    ]);
    await chooser.setFiles(await download.path());
    await expect(page.getByText('Every run of that file is here already: nothing was added.')).toBeVisible();
    const sheet = await page.request.get('/prove/QS-026/evidence.pdf');
    expect((await sheet.body()).subarray(0, 5).toString()).toBe('%PDF-');
});
