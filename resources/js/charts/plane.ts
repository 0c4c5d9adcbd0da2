import type { OfferProps, PickProps } from '../types/generated/props';

/** Where the plane begins and how high it is. Pixels. */
export const LEFT = 52;
export const TOP = 14;
export const HEIGHT = 250;
/** About how wide a letter of these names is. Pixels. */
export const LETTER = 6;

export interface Label {
    key: string;
    x: number;
    y: number;
    anchor: 'start' | 'end';
    name: string;
    pick: string;
}

/** A name beside each dot where it touches no other: those that are picked first, the others as far as there is room. */
export function placed(
    offers: readonly OfferProps[],
    promised: readonly OfferProps[],
    picks: readonly PickProps[],
    x: (price: number) => number,
    y: (speed: number) => number,
    right: number,
    corner: number,
): Label[] {
    const pickOf = (key: string) =>
        picks
            .filter((pick) => pick.offer === key)
            .map((pick) => pick.criterion)
            .join(', ');
    const all = [
        ...offers.map((one) => ({ one, at: y(one.keepsUp ?? 1) })),
        ...promised.map((one) => ({ one, at: y(one.promises ?? 1) })),
    ].sort((a, b) => pickOf(b.one.key).length - pickOf(a.one.key).length);
    const boxes = all.map(({ one, at }) => ({
        from: x(one.perGigabyte) - 6,
        to: x(one.perGigabyte) + 6,
        top: at - 6,
        bottom: at + 6,
    }));
    // What is said of the slow ones stands in the corner.
    boxes.push({
        from: LEFT,
        to: LEFT + 12 + corner,
        top: TOP + HEIGHT - (corner === 0 ? 0 : 20),
        bottom: TOP + HEIGHT,
    });
    const labels: Label[] = [];
    for (const { one, at } of all) {
        const pick = pickOf(one.key);
        const span = (pick.length === 0 ? 0 : pick.length + 1) * LETTER + one.name.length * LETTER;
        const dot = x(one.perGigabyte);
        const tries: [number, number, 'start' | 'end'][] = [
            [dot + 11, at + 4, 'start'],
            [dot - 11, at + 4, 'end'],
            [dot + 4, at - 11, 'start'],
            [dot + 4, at + 19, 'start'],
            [dot - 4, at - 11, 'end'],
            [dot - 4, at + 19, 'end'],
        ];
        for (const [lx, ly, anchor] of tries) {
            const from = anchor === 'start' ? lx : lx - span;
            const here = { from, to: from + span, top: ly - 11, bottom: ly + 3 };
            const fits = here.from > LEFT && here.to < right && here.top > 0 && here.bottom < TOP + HEIGHT;
            const touches = boxes.some(
                (box) => here.from < box.to && here.to > box.from && here.top < box.bottom && here.bottom > box.top,
            );
            if (fits && !touches) {
                boxes.push(here);
                labels.push({ key: one.key, x: lx, y: ly, anchor, name: one.name, pick });
                break;
            }
        }
    }
    return labels;
}
