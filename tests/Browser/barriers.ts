import type { Page } from '@playwright/test';
import type { AxeResults, ElementContext, RunOptions } from 'axe-core';
import axe from 'axe-core';

interface Found {
    axe?: { run: (on: ElementContext, options: RunOptions) => Promise<AxeResults> };
}

/**
 * What axe finds on a page that shuts somebody out, a line each. It is put into a page once, and keeps no list of the places where
 * all is well, which takes half the time.
 *
 * @param but what is left out, since another page is looked at with it
 * @param rules those that are asked for; none for all
 */
export async function barriers(page: Page, but: string | null = null, ...rules: string[]): Promise<string[]> {
    if (!(await page.evaluate(() => 'axe' in window))) {
        await page.evaluate(axe.source);
    }
    return page.evaluate(
        async ([but, rules]) => {
            const found = await (window as Found).axe?.run(but === null ? document : { exclude: [but] }, {
                resultTypes: ['violations'],
                ...(rules.length === 0 ? {} : { runOnly: rules }),
            });
            return (found?.violations ?? [{ id: 'axe is not there', nodes: [] }]).map(
                (violation) => `${violation.id}: ${violation.nodes[0]?.html ?? ''}`,
            );
        },
        [but, rules] as const,
    );
}
