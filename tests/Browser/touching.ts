import { expect, type Page } from '@playwright/test';

export const NARROW = 390;

export const WIDTHS = [1280, 1000, NARROW];

/** At none of these widths do two labels touch. A picture is drawn anew once its width is known. */
export async function noneTouch(page: Page, widths: number[]): Promise<void> {
    for (const width of widths) {
        await page.setViewportSize({ width, height: 800 });
        await expect(async () => {
            expect(await touching(page)).toEqual([]);
        }).toPass({ timeout: 3000 });
    }
}

/**
 * The labels of the pictures in sight that touch one another, or run out of their picture: what each says, and where.
 * Letters keep a fifth of their line free above and below, so boxes count without that.
 */
async function touching(page: Page): Promise<string[]> {
    return page.evaluate(() => {
        interface Label {
            text: string;
            owner: Element;
            box: DOMRect;
        }
        const found: string[] = [];
        const labels = (picture: Element): Label[] => {
            const walker = document.createTreeWalker(picture, NodeFilter.SHOW_TEXT);
            const all: Label[] = [];
            for (let node = walker.nextNode(); node !== null; node = walker.nextNode()) {
                const parent = node.parentElement;
                const text = (node.textContent ?? '').trim();
                if (
                    parent === null ||
                    text === '' ||
                    !parent.checkVisibility({ opacityProperty: true, visibilityProperty: true })
                ) {
                    continue;
                }
                if (parent.closest('title, desc, style, defs, .unseen') !== null) {
                    continue;
                }
                const range = document.createRange();
                range.selectNodeContents(node);
                for (const box of range.getClientRects()) {
                    const slack = box.height / 5;
                    if (box.width > 1 && box.height > 1) {
                        all.push({
                            text,
                            owner: parent.closest('text') ?? parent,
                            box: new DOMRect(box.x, box.y + slack, box.width, box.height - 2 * slack),
                        });
                    }
                }
            }
            return all;
        };
        const at = (box: DOMRect) => `${Math.round(box.x)},${Math.round(box.y)}`;
        for (const picture of document.querySelectorAll('main svg, nav[aria-label="Stages"], main [data-picture]')) {
            const all = labels(picture);
            const frame = picture.getBoundingClientRect();
            const solid = [...picture.querySelectorAll('[data-solid]')].map((one) => one.getBoundingClientRect());
            for (const [i, one] of all.entries()) {
                for (const shape of solid) {
                    const across = Math.min(one.box.right, shape.right) - Math.max(one.box.left, shape.left);
                    const down = Math.min(one.box.bottom, shape.bottom) - Math.max(one.box.top, shape.top);
                    if (across > 0.5 && down > 0.5) {
                        found.push(`“${one.text}” lies under a flag at ${at(one.box)}`);
                    }
                }
                if (
                    picture instanceof SVGElement &&
                    (one.box.left < frame.left - 1 || one.box.right > frame.right + 1)
                ) {
                    found.push(`“${one.text}” runs out of its picture at ${at(one.box)}`);
                }
                for (const other of all.slice(i + 1)) {
                    const across = Math.min(one.box.right, other.box.right) - Math.max(one.box.left, other.box.left);
                    const down = Math.min(one.box.bottom, other.box.bottom) - Math.max(one.box.top, other.box.top);
                    if (one.owner !== other.owner && across > -2 && down > 0.5) {
                        found.push(`“${one.text}” and “${other.text}” touch at ${at(one.box)}`);
                    }
                }
            }
        }
        return found;
    });
}
