import { expect, test } from '@playwright/test';
import { barriers } from './barriers';
import { noneTouch, WIDTHS } from './touching';

test('a plan is followed to its end by keyboard, past a wrong card and one plan anew, until every card may be cleared', async ({
    page,
}) => {
    test.setTimeout(180_000);
    const tags = ['QS-014', 'QS-015', 'QS-022', 'QS-027', 'QS-028'];
    await page.goto(`/offload?${tags.map((tag) => `cards[]=${tag}`).join('&')}`);
    await page.getByLabel('Goes into the folder').fill('{shoot}/{day}');
    await page.getByLabel('Shoot').fill('Harbour');
    await page.getByRole('button', { name: 'Begin' }).press('Enter');
    await expect(page.getByText(/is the same for every card/)).toBeVisible();
    await page.getByLabel('Goes into the folder').fill('{shoot}/{day}/{card}');
    // Where each goes is seen before anything is written.
    await expect(page.getByRole('list', { name: 'Folders on each drive' })).toContainText(
        /Harbour\/\d{4}-\d\d-\d\d\/QS-014/,
    );
    await page.getByRole('button', { name: 'Begin' }).press('Enter');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Secured 0 of 5');

    const hand = page.getByRole('region', { name: 'Now, by hand' });
    const asked = hand.getByRole('heading');
    // The wrong card is told, and nothing is copied.
    const first = /QS-\d+/.exec(await asked.innerText())?.[0] ?? '';
    const other = tags.find((tag) => tag !== first) ?? '';
    const lies = hand.getByRole('button', { name: /In the made-up slot/ });
    const put = async (tag: string, isTold: () => Promise<void>) => {
        await lies.press('Enter');
        await page.getByRole('option', { name: tag, exact: true }).press('Enter');
        await expect(lies).toContainText(tag);
        // While the list goes, it takes the focus back once more, and a key pressed just then is lost.
        await expect(async () => {
            await hand.getByRole('button', { name: /It is in/ }).press('Space');
            await isTold();
        }).toPass({ timeout: 20_000 });
    };
    await put(other, async () => {
        await expect(hand.getByRole('alert')).toContainText(`${other} lies in`, { timeout: 3000 });
    });
    await expect(asked).toContainText(first);

    expect(await barriers(page)).toEqual([]);
    await noneTouch(page, WIDTHS.toReversed());

    await put(first, async () => {
        await expect(asked).not.toContainText(first, { timeout: 3000 });
    });
    let isAnew = false;
    const home = page.getByText('Every card may be cleared', { exact: false });
    await expect(async () => {
        if (await hand.isVisible()) {
            const words = await asked.innerText();
            await page.keyboard.press('Space');
            await expect(asked).not.toHaveText(words, { timeout: 2000 });
            // With one card in, the rest is planned anew.
            if (!isAnew) {
                isAnew = true;
                await page.getByRole('button', { name: /Plan anew from here/ }).press('Enter');
                await expect(page.getByText(/Planned anew/).first()).toBeVisible();
            }
        }
        await expect(home).toBeVisible({ timeout: 300 });
    }).toPass({ timeout: 150_000, intervals: [300] });
    expect(isAnew).toBe(true);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Secured 5 of 5');
    await expect(page.getByRole('cell', { name: 'may be cleared' })).toHaveCount(5);
    const sheet = await page.request.get(`${page.url()}/handover.pdf`);
    expect((await sheet.body()).subarray(0, 4).toString()).toBe('%PDF');

    // Who clears a secured card need not say where its footage is; it is noted with name and time.
    await page.goto('/intake/QS-022');
    await expect(page.getByText(/may be cleared: on D\d, read back on .+; on D\d, read back on/)).toBeVisible();
    await page.getByRole('button', { name: 'Clear this card' }).press('Enter');
    await expect(page.getByRole('table', { name: 'Footage history' })).toContainText(/read back on .+: Harbour/);
    // What is shot on it next is not secured by what came home before; and other tests find it as it was.
    await page.getByLabel('Footage on the card').fill('41 GB');
    await page.getByLabel('Files, if counted').fill('1630');
    await page.getByRole('button', { name: 'Mark footage on it' }).press('Enter');
    await expect(page.getByText('not secured: it is not erased before it is cleared')).toBeVisible();
});
