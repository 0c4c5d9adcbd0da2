import { expect, test } from '@playwright/test';
import { barriers } from './barriers';
import { NARROW, noneTouch, WIDTHS } from './touching';

/** Every main view; what its pictures say must have room. */
const VIEWS = [
    '/intake',
    '/intake/QS-031',
    '/intake/QS-042',
    '/inspect/QS-014',
    '/inspect/QS-035',
    '/measure/QS-014',
    '/measure/QS-023',
    '/measure/QS-024',
    '/measure/QS-032/typed',
    '/measure/QS-014/copy',
    '/measure/QS-046',
    '/measure/QS-047',
    '/prove/QS-014',
    '/prove/QS-021',
    '/prove/QS-023',
    '/prove/QS-025',
    '/prove/QS-026',
    '/prove/QS-032',
    '/prove/QS-045',
    '/fit/QS-014',
    '/fit/QS-027',
    '/fit/modes/2',
    '/ledger/QS-028',
    '/ledger/buy?mode=2&count=2&reader=89+EUR',
    '/ledger/sellers',
    '/ledger/reports',
    '/ledger/worth',
    '/fit/shoot?days=2&wanted[0][mode]=2&wanted[0][daily]=60+min&wanted[0][spare]=1&wanted[1][mode]=10&wanted[1][daily]=9000',
    '/fit/label?words=128GB+SDXC+II+V60',
    '/offload',
    '/offload?copies=1&goal=hands',
    '/offload/plans/1',
    '/offload/QS-024',
    '/runs/1',
    '/import',
    '/opinion',
    '/tags?cards=QS-014..QS-028',
    '/prices',
    '/erased',
    '/handbook',
    '/activity',
    '/rules',
    '/books',
    '/practice',
    '/practice/20',
    '/practice/25',
    '/kit',
    '/kit/sheet',
    '/kit/sheet/QS-028',
    '/kit/readers/R3',
    '/kit/hosts/1',
    '/kit/hubs/H1',
    '/kit/adapters/A1',
    '/kit/drives/new',
    '/kit/modes/2',
    '/compare',
    '/compare?by=card',
    '/compare/limits',
    '/compare/twins',
];

/** The tray is the same beside every page: whole on the first one, elsewhere its first cards. */
const REST_OF_THE_TRAY = '[aria-label=Cards] [role=option]:nth-child(n+6)';

for (const [at, path] of VIEWS.entries()) {
    test(`${path} shuts nobody out and has room for its labels, at any width, by day and by night`, async ({
        page,
    }) => {
        const complaints: string[] = [];
        page.on('console', (message) => {
            if (message.type() === 'error') {
                complaints.push(message.text());
            }
        });
        page.on('pageerror', (error) => complaints.push(error.message));
        const but = at === 0 ? null : REST_OF_THE_TRAY;
        await page.goto(path);
        await expect(page.getByRole('main')).toBeVisible();
        expect(await barriers(page, but)).toEqual([]);
        await noneTouch(page, WIDTHS);
        expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(NARROW);
        // The other theme differs in colours alone.
        await page.evaluate(() => {
            document.documentElement.setAttribute('data-theme', 'night');
        });
        await noneTouch(page, WIDTHS.toReversed());
        expect(await barriers(page, but, 'color-contrast')).toEqual([]);
        expect(complaints).toEqual([]);
    });
}

test('picture and main action are seen without scrolling', async ({ page }) => {
    for (const path of ['/measure/QS-014', '/prove/QS-026', '/offload/QS-024', '/intake']) {
        await page.goto(path);
        await expect(page.locator('[data-main]')).toBeInViewport({ ratio: 1 });
        await expect(page.locator('main figure').first()).toBeInViewport({ ratio: 1 });
    }
    await page.goto('/inspect/QS-035');
    await expect(page.locator('main figure').first()).toBeInViewport({ ratio: 1 });
    await expect(page.getByRole('group', { name: 'Answers' })).toBeInViewport({ ratio: 1 });
});

test('keys lead everywhere, and are quiet while somebody types or when switched off', async ({ page }) => {
    await page.goto('/measure/QS-014');
    await expect(page.getByRole('option', { name: /QS-015/ })).toBeVisible();
    await page.keyboard.press('j');
    await expect(page).toHaveURL('/measure/QS-015');
    await page.keyboard.press('k');
    await expect(page).toHaveURL('/measure/QS-014');
    await page.keyboard.press('4');
    await expect(page).toHaveURL('/prove/QS-014');
    await page.keyboard.press('/');
    await expect(page.getByPlaceholder('Find a card')).toBeFocused();
    await page.keyboard.type('n1jk');
    await expect(page).toHaveURL('/prove/QS-014');
    await expect(page.getByText('No card matches “n1jk”')).toBeVisible();
    await page.getByPlaceholder('Find a card').fill('qs sham');
    await expect(page.getByRole('option')).toHaveCount(4);
    await page.getByPlaceholder('Find a card').fill('');

    await page.getByRole('button', { name: 'All keys' }).click();
    await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
    await page.getByText('Keys without Ctrl or ⌘ act').click();
    await page.getByRole('button', { name: 'Close the sheet' }).click();
    await page.keyboard.press('1');
    await page.waitForTimeout(300);
    await expect(page).toHaveURL('/prove/QS-014');
});

test('the finder opens any card', async ({ page }) => {
    await page.goto('/measure/QS-014');
    // A page is there when it is drawn: what is pressed before that was meant for none.
    await expect(page.getByRole('button', { name: 'Find any card or page' })).toBeVisible();
    await page.keyboard.press('Control+k');
    await page.keyboard.type('QS-026');
    await expect(page.getByRole('menuitem', { name: /QS-026/ })).toBeVisible();
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL('/measure/QS-026');
});

test('the tray is walked with arrow keys', async ({ page }) => {
    await page.goto('/prove/QS-014');
    await page.getByRole('option', { name: /QS-014/ }).focus();
    await page.keyboard.press('ArrowDown');
    await expect(page).toHaveURL('/prove/QS-015');
    await page.keyboard.press('End');
    await expect(page).toHaveURL('/prove/QS-049');
});

test('the theme follows the system until it is switched, and is kept', async ({ page }) => {
    await page.emulateMedia({ colorScheme: 'dark' });
    await page.goto('/intake');
    await expect(page.locator('html')).toHaveAttribute('data-theme', 'night');
    await page.getByRole('button', { name: 'light' }).click();
    await expect(page.locator('html')).toHaveAttribute('data-theme', 'day');
    await page.reload();
    await expect(page.locator('html')).toHaveAttribute('data-theme', 'day');
});

test('a mistake in the label is answered under its field and nothing typed is lost', async ({ page }) => {
    await page.goto('/intake');
    await page.getByLabel('Maker and series').fill('Gullane Prime');
    await page.getByLabel('Capacity').fill('64 Gb');
    await page.getByLabel('Claims to read').fill('95mb/s');
    await page.keyboard.press('Enter');
    await expect(page.getByText('“64 Gb” is in bits.')).toBeVisible();
    await expect(page.getByText('“95mb/s” could be megabits or megabytes.')).toBeVisible();
    await expect(page.getByLabel('Maker and series')).toHaveValue('Gullane Prime');
});

test('a label explains itself while it is typed', async ({ page }) => {
    await Promise.all([page.waitForResponse('**/intake/preview'), page.goto('/intake')]);
    const asked: string[] = [];
    page.on('request', (request) => {
        if (request.url().includes('/intake/')) {
            asked.push(request.url());
        }
    });
    await page.getByLabel(/whole label line/).fill('Corvane Glide 128GB SDXC I U3 V60 250MB/s');
    await expect(page.getByText('V60 cannot stand on a UHS-I card')).toBeVisible();
    await expect(page.getByText('60 MB/s = 480 Mb/s')).toBeVisible();
    await expect(page.getByText('taken as the read claim')).toBeVisible();
    await expect(page.locator('mark')).toHaveText('Corvane Glide');
    await expect(page.getByLabel('Capacity')).toHaveValue('128 GB');
    // One question fills the fields and explains them: the filled form is not asked about once more.
    await page.waitForTimeout(800);
    expect(asked).toHaveLength(1);
    await expect(page.getByText('from “128GB”')).toBeVisible();
    await expect(page.getByRole('region', { name: 'In your readers' })).toContainText('R5 Osker Type B block');

    // What the line no longer says is taken back; what was typed by hand stays.
    await page.getByLabel('Footage on it').fill('20 GB');
    await page.getByLabel(/whole label line/).fill('Corvane Glide 64GB SDXC II U3 V60');
    await expect(page.getByLabel('Capacity')).toHaveValue('64 GB');
    await expect(page.getByLabel('Claims to read')).toHaveValue('');
    await expect(page.getByLabel('Footage on it')).toHaveValue('20 GB');
    await expect(page.getByText('V60 cannot stand on a UHS-I card')).toBeHidden();
    expect(await barriers(page)).toEqual([]);
});

test('writing without the token of a page is refused', async ({ request }) => {
    const answer = await request.post('/cards', { form: { tag: 'X-1', name: 'x', form: 'sd', capacity: '1 GB' } });
    expect(answer.status()).toBe(419);
});

test('on a narrow screen the tray is a drawer and the margin comes under the surface', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await page.goto('/prove/QS-026');
    await expect(page.getByRole('listbox', { name: 'Cards' })).toBeHidden();
    await page.getByRole('button', { name: 'Show the cards' }).click();
    await expect(page.getByRole('listbox', { name: 'Cards' })).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});
