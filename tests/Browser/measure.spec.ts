import { expect, test } from '@playwright/test';

test('figures from elsewhere: the unit slip is named while typing, and the figure is kept as typed', async ({
    page,
}) => {
    await page.goto('/measure/QS-033/typed');
    const first = page.getByRole('group', { name: 'Figure 1' });
    await first.getByLabel('Size').fill('10 GB');
    await first.getByLabel('Time').fill('34 s');
    await first.getByLabel('Speed').fill('317 MB/s');
    await expect(first).toContainText('looks like GiB read as GB');
    await first.getByLabel('Size').fill('10 GiB');
    await expect(first).toContainText('the three agree');
    await expect(first).toContainText('315.8 MB/s · 2 526 Mb/s');
    await expect(page.getByLabel('Typed by')).toHaveValue('Wren');
    await page.getByLabel('How it was measured').fill('another program');
    await page.getByRole('button', { name: 'Save this figure' }).click();
    await expect(page).toHaveURL(/\/measure\/QS-033$/);
    await expect(page.getByRole('table', { name: 'Runs' })).toContainText('typed in');
});

test('a complaint stands on the row that it is about', async ({ page }) => {
    await page.goto('/measure/QS-033/typed');
    // The first row stays empty and is not sent.
    const second = page.getByRole('group', { name: 'Figure 2' });
    await second.getByLabel('Size').fill('10 GB');
    await expect(page.getByLabel('Typed by')).toHaveValue('Wren');
    await page.getByRole('button', { name: 'Save this figure' }).click();
    await expect(second).toContainText('Give a speed, or a size and a time');
    await expect(page.getByRole('group', { name: 'Figure 1' })).not.toContainText('Give a speed');
});

test('a copy by stopwatch, all with the space bar', async ({ page }) => {
    await page.goto('/measure/QS-027/copy');
    await expect(page.getByRole('button', { name: 'Start the stopwatch' })).toBeVisible();
    await page.keyboard.press('Space');
    await expect(page.getByRole('button', { name: 'Lap: copied' })).toBeVisible();
    await page.waitForTimeout(300);
    await page.keyboard.press('Space');
    await page.waitForTimeout(200);
    await page.keyboard.press('Space');
    await expect(page.getByLabel('Copied after')).toHaveValue(/^0:0\d\.\d$/);
    await expect(page.getByLabel('Verified after')).toHaveValue(/^0:0\d\.\d$/);
    await page.getByRole('button', { name: 'Stop the stopwatch' }).click();
    // While somebody types, the space bar makes a space and no lap.
    await page.getByLabel('Note').fill('');
    await page.getByLabel('Note').press('a');
    await page.getByLabel('Note').press('Space');
    await page.getByLabel('Note').press('b');
    await expect(page.getByLabel('Note')).toHaveValue('a b');
    await page.getByLabel('Copied after').fill('1:37');
    await page.getByLabel('Verified after').fill('3:49');
    await page.getByLabel('Amount copied').fill('20 GB');
    await expect(page.getByText('206.2 MB/s')).toBeVisible();
    await expect(page.getByText('87.34 MB/s')).toBeVisible();
    await expect(page.getByLabel('Timed by')).toHaveValue('Wren');
    await page.getByRole('button', { name: 'Save these times' }).click();
    await expect(page.getByText('“Done” meant copied and verified.')).toBeVisible();
});

test('a run is voided with a reason, and the verdict follows at once', async ({ page }) => {
    await page.goto('/measure/QS-041');
    await page
        .getByRole('link', { name: /^Run \d+, whole$/ })
        .last()
        .click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('speed run');
    await expect(page.getByLabel('Your name')).toHaveValue('Wren');
    await page.getByRole('button', { name: 'Void this run' }).click();
    await expect(page.getByText('No reason was given. Say why this run counts no longer')).toBeVisible();
    await page.getByLabel('Reason', { exact: true }).fill('wrong card in the slot');
    await page.getByRole('button', { name: 'Void this run' }).click();
    await expect(page.getByText('this one is out of every verdict')).toBeVisible();
    await page.getByRole('link', { name: 'All runs of QS-041' }).click();
    await expect(page.getByRole('table', { name: 'Runs' })).toContainText('voided: wrong card in the slot');
    await page.goBack();
    await page.getByLabel('Reason for counting it again').fill('it was the right one');
    await page.getByRole('button', { name: 'Count it again' }).click();
    await expect(page.getByText('counts again: it was the right one')).toBeVisible();
});

test('seldom-set parameters unfold, and how long it takes follows while typing', async ({ page }) => {
    await page.goto('/measure/QS-028');
    const main = page.locator('[data-main]');
    await expect(main).toContainText('5 × 1 GB, about');
    const before = await main.innerText();
    await page.getByRole('textbox', { name: 'Runs' }).fill('20');
    await expect(main).toContainText('20 × 1 GB, about');
    await expect.poll(() => main.innerText()).not.toBe(before);
    await page.getByRole('button', { name: /Order, block, region/ }).click();
    await page.getByRole('textbox', { name: 'Block' }).fill('3 MB');
    await main.click();
    await expect(page.getByText('A block is 1, 2, 4, 8, 16, 32 or 64 MiB; 3 MB was given.')).toBeVisible();
});

test('two readers side by side, and the run that would settle most leads to its card', async ({ page }) => {
    await page.goto('/compare');
    await expect(page.locator('[data-compare]')).toContainText(/faster by|slower by|noise|depends/);
    await page.getByText('two cards', { exact: true }).click();
    await expect(page).toHaveURL(/by=card/);
    await page.getByLabel('From').fill('49');
    await page.getByLabel('To', { exact: true }).fill('59');
    await expect(page.getByText('From 49 to 59 is 20.4 % more, of 49.')).toBeVisible();
    await page.getByRole('link', { name: 'Which link was the limit' }).click();
    await expect(page.getByRole('img', { name: /the reader was the limit/ })).toBeVisible();
    await page.locator('[data-next]').click();
    await expect(page).toHaveURL(/\/measure\/QS-/);
});
