import type { PatchProps } from '../types/generated/props';

export interface ArcPlace {
    from: number;
    to: number;
}

/** A handful of arcs, each joining an address to the one whose data it gave back; long echoes get more of them. */
export function arcsOf(patches: readonly PatchProps[], most = 14): ArcPlace[] {
    const echoes = patches.filter((patch) => patch.source !== null);
    const total = echoes.reduce((sum, patch) => sum + patch.length, 0);
    // The longest first, so that a card full of small echoes still shows its main ones.
    return [...echoes]
        .sort((a, b) => b.length - a.length)
        .slice(0, most)
        .flatMap((patch) => {
            const count = Math.max(1, Math.round((most * patch.length) / total));
            return Array.from({ length: count }, (_, i) => {
                const along = (patch.length * (i + 0.5)) / count;
                return { from: patch.offset + along, to: (patch.source ?? 0) + along };
            });
        });
}

/**
 * The patches worth drawing at this width. Good ones that are narrower than a pixel are left out; bad ones never are, but
 * many of one class that fall on the same pixel are drawn once.
 */
export function visible(patches: readonly PatchProps[], width: number, size: number): PatchProps[] {
    const pixel = (at: number) => Math.floor((at / size) * width);
    const seen = new Set<string>();
    const good: PatchProps[] = [];
    const bad: PatchProps[] = [];
    for (const patch of patches) {
        const [from, to] = [pixel(patch.offset), pixel(patch.offset + patch.length)];
        if (patch.class === 'holds') {
            if (to > from) {
                good.push(patch);
            }
            continue;
        }
        const place = `${patch.class}@${from}`;
        if (to > from || !seen.has(place)) {
            bad.push(patch);
        }
        seen.add(place);
    }
    return [...good, ...bad];
}
