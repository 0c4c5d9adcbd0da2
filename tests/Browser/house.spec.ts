import { expect, test } from '@playwright/test';
import { barriers } from './barriers';

/** What stands behind the house’s menu, and what comes in by files. */

const TABLE = [
    'Code;Label line;S/N;Paid',
    'IN-1;Marrowick Tideline 128GB SDXC II U3 V60 250MB/s;IN-SN-1;105,00',
    'IN-2;Marrowick Tideline 128 Gb SDXC II;IN-SN-2;free',
].join('\n');

test('a table is seen before it is entered, and can be cancelled', async ({ page }) => {
    const choose = async () => {
        await page.goto('/import');
        const [chooser] = await Promise.all([
            page.waitForEvent('filechooser'),
            page.getByRole('button', { name: 'Choose a table' }).click(),
        ]);
        await chooser.setFiles({ name: 'cards.csv', mimeType: 'text/csv', buffer: Buffer.from(TABLE) });
        await expect(page.getByRole('heading', { name: 'cards.csv' })).toBeVisible();
    };
    await choose();
    await expect(page.getByRole('table', { name: 'Rows that cannot be added' }).getByRole('row')).toHaveCount(3);
    await expect(page.getByRole('cell', { name: '“free” is not a price' })).toBeVisible();
    expect(await barriers(page)).toEqual([]);
    await page.getByRole('button', { name: 'Cancel' }).click();
    await expect(page.getByRole('heading', { name: 'Cards from a table' })).toBeVisible();
    await page.goto('/intake/IN-1');
    await expect(page.getByText('Not found')).toBeVisible();

    await choose();
    await page.getByRole('button', { name: /Paid/ }).click();
    await page.getByRole('option', { name: 'left out' }).click();
    await expect(page.getByRole('cell', { name: 'The capacity is empty.' })).toBeVisible();
    await expect(page.getByRole('cell', { name: '“free” is not a price' })).toBeHidden();
    await page.getByRole('button', { name: 'Add 1 card' }).click();
    await expect(page).toHaveURL('/intake/IN-1');
    await expect(page.getByLabel('Serial')).toHaveValue('IN-SN-1');
    await expect(page.getByLabel('Unit price')).toHaveValue('');
});

test('what is no table or no photo gets a sentence', async ({ page }) => {
    await page.goto('/import');
    const table = async (name: string, buffer: Buffer) => {
        const [chooser] = await Promise.all([
            page.waitForEvent('filechooser'),
            page.getByRole('button', { name: 'Choose a table' }).click(),
        ]);
        await chooser.setFiles({ name, mimeType: 'text/csv', buffer });
    };
    await table('large.csv', Buffer.alloc(50_000_000, 'a,b\n'));
    await expect(page.getByRole('alert')).toContainText('“large.csv” is 50 MB; a table may be 10 MB at most.');
    await table('picture.csv', Buffer.from([0x89, 0x50, 0x4e, 0x47, 0, 1, 2, 3]));
    await expect(page.getByRole('alert')).toContainText('neither text nor a spreadsheet');

    await page.goto('/intake/QS-032');
    const photo = async (buffer: Buffer) => {
        const [chooser] = await Promise.all([
            page.waitForEvent('filechooser'),
            page.getByRole('button', { name: /the front/ }).click(),
        ]);
        await chooser.setFiles({ name: 'front.png', mimeType: 'image/png', buffer });
    };
    await photo(Buffer.from('this is only text'));
    await expect(page.getByRole('alert')).toContainText('“front.png” is no picture inside, whatever its name says.');
    await photo(await page.screenshot({ clip: { x: 0, y: 0, width: 300, height: 200 } }));
    await expect(page.getByRole('img', { name: 'Front of QS-032' })).toBeVisible();
    await expect(page.getByRole('alert')).toBeHidden();
});

test('a request of 50 MB is answered with a sentence by the server too', async ({ page, request }) => {
    await page.goto('/import');
    const cookies = await page.context().cookies();
    const token = decodeURIComponent(cookies.find((cookie) => cookie.name === 'XSRF-TOKEN')?.value ?? '');
    const answer = await request.post('/import', {
        headers: {
            'X-XSRF-TOKEN': token,
            Accept: 'application/json',
            Cookie: cookies.map((c) => `${c.name}=${c.value}`).join('; '),
        },
        multipart: { table: { name: 'large.csv', mimeType: 'text/csv', buffer: Buffer.alloc(50_000_000, 'a,b\n') } },
    });
    expect(answer.status()).toBe(422);
    expect(await answer.text()).toContain('50 MB; a table may be 10 MB at most');
});

test('a lot is entered at once and its tags are laid out', async ({ page }) => {
    await page.goto('/intake');
    await page.getByLabel(/whole label line/).fill('Tindle Classic 32GB microSDHC I C10');
    await expect(page.getByLabel('Capacity')).toHaveValue('32 GB');
    await page.getByLabel('Tag', { exact: true }).fill('LOT-08');
    await page.getByLabel('How many of these').fill('3');
    await page.getByLabel('Lot', { exact: true }).fill('L 88');
    await page.getByLabel(/Serials/).fill('L88-1\nL88-2');
    await page.getByRole('button', { name: 'Add these 3 cards' }).click();
    await expect(page).toHaveURL('/intake/LOT-08');
    await page.getByRole('link', { name: 'Print the tags of its lot' }).click();
    await expect(page.getByRole('img', { name: '3 tags from label 1 on: LOT-08, LOT-09, LOT-10' })).toBeVisible();
    await expect(page.getByRole('link', { name: /Open the sheet/ })).toHaveAttribute('href', /sheet\.pdf/);
});

test('by keyboard: gear behind the menu is changed, and a quote is kept', async ({ page }) => {
    await page.goto('/measure/QS-014');
    await page.getByRole('button', { name: /The house/ }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('menuitem', { name: /^Kit/ })).toBeFocused();
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL('/kit');
    await page.getByRole('link', { name: /R3/ }).focus();
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL('/kit/readers/R3');
    await expect(page.getByRole('table', { name: 'Trouble in this reader' })).toContainText('QS-023');
    await page.getByLabel('Own measurement').fill('430 MB/s');
    await page.keyboard.press('Enter');
    await expect(page.getByText('Say how it was measured')).toBeVisible();
    await page.getByLabel('Measured how').fill('five copies, 25 Nov');
    await page.keyboard.press('Enter');
    await expect(page.getByText('own measurement: five copies, 25 Nov')).toBeVisible();

    await page.goto('/prices');
    await page.getByLabel('Capacity').fill('128 GB');
    await page.getByLabel('Price', { exact: true }).fill('43.00 EUR');
    await page.getByLabel('Seller').fill('Lamplight Cameras');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('cell', { name: 'Lamplight Cameras', exact: true })).toBeVisible();
});

/** Figures of a card that another bench measured: a whole proof at a steady speed. */
const note = (write: string, expected: string) => ({
    format: 'gritty-tally-case',
    version: 1,
    name: `a card that writes ${write}`,
    because: 'the other bench says so',
    label: '128GB SDXC II U3 V60 250MB/s read 130MB/s write',
    expect: { verdict: expected },
    runs: [
        {
            kind: 'proof',
            chain: { reader: 'R', bus: 'UHS-II', link: 'USB 10 Gb/s' },
            shows: '127.87 GB',
            written: '127.87 GB',
            read_back: '127.87 GB',
            course: [['127.87 GB', write]],
            read: '235 MB/s',
        },
    ],
});

test('by keyboard: a second opinion on figures from elsewhere, and nothing is entered', async ({ page }) => {
    await page.goto('/intake');
    const cards = await page.getByRole('link', { name: /^QS-/ }).count();
    await page.getByRole('button', { name: /The house/ }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('menuitem', { name: /^Kit/ })).toBeFocused();
    await page.keyboard.type('Second');
    await expect(page.getByRole('menuitem', { name: /Second opinion/ })).toBeFocused();
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL('/opinion');
    // A menu that closes gives the focus back to its button; what is focused before that loses it.
    await expect(page.getByRole('menu')).toHaveCount(0);
    await expect(page.getByRole('button', { name: /The house/ })).toBeFocused();

    const judge = async (content: unknown) => {
        const button = page.getByRole('button', { name: 'Judge a file' });
        const [chooser] = await Promise.all([page.waitForEvent('filechooser'), button.press('Enter')]);
        await chooser.setFiles({
            name: 'other bench.json',
            mimeType: 'application/json',
            buffer: Buffer.from(JSON.stringify(content)),
        });
    };
    await judge([note('40 MB/s', 'Sound'), note('121 MB/s', 'Sound')]);
    await expect(page.getByRole('figure', { name: /other bench.json/ })).toBeVisible();
    await expect(page.getByText('1 of 2 as expected')).toBeVisible();
    await expect(
        page.getByText('Not as expected: verdict Slow, expected Sound. the other bench says so'),
    ).toBeVisible();
    await expect(page.getByText('V60 promises 60 MB/s')).toBeVisible();

    await judge({ ...note('40 MB/s', 'Slow'), label: '128GB' });
    await expect(page.getByRole('alert')).toContainText('“label” is “128GB”');

    await judge({ ...note('40 MB/s', 'Slow') });
    await expect(page.getByText('1 of 1 as expected')).toBeVisible();
    await expect(page.getByRole('alert')).toHaveCount(0);

    await page.goto('/intake');
    expect(await page.getByRole('link', { name: /^QS-/ }).count()).toBe(cards);
});

test('a claim that the chain cannot show is drawn as a range, and said to be open', async ({ page }) => {
    await page.goto('/measure/QS-046');
    await expect(page.getByText('cannot be told here').first()).toBeVisible();
});

test('by keyboard: a verdict is overruled in writing, both are seen, and it is taken back', async ({ page }) => {
    await page.goto('/measure/QS-044');
    const margin = page.getByRole('complementary', { name: 'Why, and what next' });
    await margin.getByText('Overrule this verdict').focus();
    await page.keyboard.press('Enter');
    await page.keyboard.press('Tab');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('option', { name: 'Shaky', exact: true })).toBeVisible();
    await page.keyboard.type('Sha');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('option', { name: 'Shaky', exact: true })).toBeHidden();
    await page.keyboard.press('Tab');
    await page.keyboard.press('Tab');
    await page.keyboard.type('Wren');
    await page.keyboard.press('Enter');
    await expect(margin.getByText('No reason was given. Say why the evidence is wrong')).toBeVisible();
    await margin.getByLabel('Reason for overruling').focus();
    await page.keyboard.type('dropped from the ladder');
    await page.keyboard.press('Enter');
    const note = margin.getByRole('note', { name: 'Overruled' });
    await expect(note).toContainText('Shaky');
    await expect(note).toContainText('dropped from the ladder');
    await expect(margin.getByRole('heading', { name: 'Unproven' })).toBeVisible();
    await expect(page.getByRole('option', { name: /^QS-044 Unproven → Shaky/ })).toBeVisible();

    await margin.getByText('Withdraw the override').click();
    await margin.getByLabel('Reason for withdrawing it').fill('it was QS-045');
    await margin.getByRole('button', { name: 'Use the derived verdict' }).click();
    await expect(note).toHaveCount(0);
});
