import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';

/**
 * What axe finds on a page that shuts somebody out, a line each. In its legacy mode it leaves frames of other origins out, of
 * which there are none here, and takes half the time; so does keeping no list of the places where all is well.
 */
export async function barriers(page: Page, ...rules: string[]): Promise<string[]> {
    const axe = new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ['violations'] });
    const found = await (rules.length === 0 ? axe : axe.withRules(rules)).analyze();
    return found.violations.map((violation) => `${violation.id}: ${violation.nodes[0]?.html ?? ''}`);
}
