import { expect, test } from '@playwright/test';
import type { PulseProps } from '../../resources/js/types/generated/props';

test('a card that the page does not hold is found by what is typed, opened with its neighbours, and jumped to', async ({
    page,
}) => {
    // As in a house of more cards than a page holds: the first answer leaves some out, and says how many there are.
    await page.route('**/pulse?*', async (route) => {
        const answer = await route.fetch();
        const said = (await answer.json()) as PulseProps;
        said.frame.cards += 5000;
        if (said.anew && !/find=|around=/.test(route.request().url())) {
            said.tray = said.tray.slice(0, 3);
        }
        await route.fulfill({ response: answer, json: said });
    });
    await page.goto('/compare');
    const tray = page.getByRole('listbox', { name: 'Cards' });
    await expect(tray.getByRole('option')).toHaveCount(3);
    await expect(page.getByText(/^3 are shown here\. Type to find any of/)).toBeVisible();
    await page.keyboard.press('/');
    await page.keyboard.type('qs-039');
    await expect(tray.getByRole('option', { name: /QS-039/ })).toBeVisible();
    await tray.getByRole('option', { name: /QS-039/ }).click();
    await expect(page).toHaveURL(/QS-039/);
    // Its neighbours came along, and the keys go on from there.
    await page.getByRole('searchbox', { name: 'Find a card' }).fill('');
    await expect(tray.getByRole('option', { name: /QS-040/ })).toBeVisible();
    await page.getByRole('heading').first().click();
    await page.keyboard.press('j');
    await expect(page).toHaveURL(/QS-04/);
    await page.keyboard.press('Control+k');
    await page.keyboard.type('QS-021');
    await page.getByRole('menuitem', { name: /QS-021/ }).click();
    await expect(page).toHaveURL(/QS-021/);
    // What is asked just now is nobody's any more.
    await page.unrouteAll({ behavior: 'ignoreErrors' });
});
