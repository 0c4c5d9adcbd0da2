import { expect, test } from '@playwright/test';

test('the whole offload is planned, by key and by pointer, and planned again by other rules', async ({ page }) => {
    await page.goto('/offload');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/Offload \d+ cards, two verified copies each/);
    await expect(page.getByRole('img', { name: /Runbook.*hands: put .+ into/ })).toBeVisible();
    await expect(page.getByRole('img', { name: /Reach map.*Pinch/ })).toBeVisible();
    await page.getByText('The runbook as a list of times').click();
    await expect(page.getByText(/0:00 to 0:10: put /)).toBeVisible();
    await page.getByText(/What it rests on: \d+ rates/).click();
    await expect(page.getByRole('table', { name: 'Rates that the plan rests on' })).toContainText('own measurement');
    await page.getByRole('button', { name: 'Copies' }).click();
    await page.getByRole('option', { name: '1', exact: true }).click();
    await page.getByRole('button', { name: 'Plan again' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/one verified copy each/);
    await expect(page.getByRole('cell', { name: 'never' }).first()).toBeVisible();
    const least = page.getByRole('button', { name: 'least hands', exact: true });
    await least.focus();
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(/goal=hands/);
    await expect(least).toHaveAttribute('aria-pressed', 'true');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/one verified copy each/);
});

test('cards are ticked in the tray, by pointer and by key, and another plan is taken with one key', async ({
    page,
}) => {
    // Other tests mark footage on cards of their own.
    const tags = ['QS-014', 'QS-015', 'QS-022', 'QS-024', 'QS-027', 'QS-028'];
    await page.goto(`/offload?${tags.map((tag) => `cards[]=${tag}`).join('&')}`);
    const tray = page.getByRole('listbox', { name: 'Cards of the plan' });
    // Of a long list only what is in view is there: each card is looked for first.
    const find = page.getByRole('searchbox', { name: 'Find a card' });
    await find.fill('QS-01');
    const card = tray.getByRole('option', { name: /^QS-014/ });
    await expect(card).toHaveAttribute('aria-selected', 'true');
    await card.click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/Offload 5 cards/);
    await expect(card).toHaveAttribute('aria-selected', 'false');
    const another = tray.getByRole('option', { name: /^QS-015/ });
    await another.press('Space');
    await expect(another).toHaveAttribute('aria-selected', 'false');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/Offload 4 cards/);
    // A card without footage is named; what was ticked stays, also what the search hides.
    await find.fill('QS-032');
    await tray.getByRole('option', { name: /^QS-032/ }).click();
    // Before the plan of that has come: both count.
    await find.fill('QS-033');
    await tray.getByRole('option', { name: /^QS-033/ }).click();
    await expect(page.getByText(/QS-033 has no footage marked on it/)).toBeVisible();
    await expect(page.getByText(/QS-032 has no footage marked on it/)).toBeVisible();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/Offload 4 cards/);
    await expect(page.getByText(/In 8 of 10 cases between/)).toBeVisible();
    await page.getByRole('heading', { level: 1 }).click();
    await page.keyboard.press('e');
    await expect(page).toHaveURL(/scheme=relay/);
    await expect(page.getByRole('cell', { name: 'relay', exact: true })).toHaveCount(4);
});

test('a plan is saved, printed, and compared with what came of it', async ({ page }) => {
    await page.goto('/offload');
    await page.getByRole('button', { name: 'Save this plan' }).click();
    await expect(page.getByText(/The name is empty/)).toBeVisible();
    await page.getByLabel('Name of the plan').fill('Harbour, evening');
    await page.getByRole('button', { name: 'Save this plan' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Harbour, evening');
    await expect(page.getByText(/No rate has changed since/)).toBeVisible();

    // Piece by piece in the order of the country: month, day, year, hour, minute.
    const moment = async (name: string, digits: string) => {
        await page.getByRole('group', { name }).getByRole('spinbutton').first().click();
        await page.keyboard.type(digits);
    };
    await moment('Begun at', '112720262158');
    await moment('All safe at', '112720262000');
    await page.getByRole('button', { name: 'Save result' }).click();
    await expect(page.getByText(/It cannot have been safe before it was begun/)).toBeVisible();
    await moment('All safe at', '112720262358');
    await page.getByRole('button', { name: 'Save result' }).click();
    await expect(page.getByText(/took 2:00:00\. .*later than planned/)).toBeVisible();

    const address = page.url();
    const pdf = await page.request.get(`${address}/runbook.pdf`);
    expect((await pdf.body()).subarray(0, 4).toString()).toBe('%PDF');
    const link = await page.getByRole('link', { name: /Alarms for a calendar/ }).getAttribute('href');
    const calendar = await page.request.get(new URL(link ?? '', address).href);
    expect(await calendar.text()).toContain('BEGIN:VALARM');

    await page.getByRole('link', { name: 'Plan the next offload' }).click();
    await expect(page.getByRole('table', { name: 'Saved plans' })).toContainText('2:00:00');
    await page.getByRole('link', { name: 'Harbour, evening' }).click();
    await page.getByRole('button', { name: 'Delete this plan' }).click();
    await expect(page.getByRole('link', { name: 'Harbour, evening' })).toHaveCount(0);
});

test('previews that are the limit are said to be it', async ({ page }) => {
    await page.goto('/intake/QS-022');
    await page.getByLabel('Footage on the card').fill('41 GB');
    await page.getByLabel('Files, if counted').fill('90000');
    await page.getByRole('button', { name: 'Mark footage on it' }).click();
    await expect(page.getByRole('table', { name: 'Footage history' })).toContainText('41 GB');
    await page.goto('/offload?cards[]=QS-022&copies=1&verify=none');
    await page.getByRole('button', { name: 'Previews' }).click();
    await page.getByRole('option', { name: 'built while importing' }).click();
    await page.getByRole('button', { name: 'Plan again' }).click();
    await expect(page).toHaveURL(/previews=1/);
    await expect(page.getByText('Previews are the limit:')).toBeVisible();
    await expect(page.getByText(/No previews while importing: .+ sooner/)).toBeVisible();
});
