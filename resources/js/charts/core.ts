import type { PatchProps } from '../types/generated/props';
import type { View } from './zoom';

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

/** The patches that lie in a view, cut to it; an echo's source is moved along. */
export function within(patches: readonly PatchProps[], view: View): PatchProps[] {
    return patches
        .filter((patch) => patch.offset < view.to && patch.offset + patch.length > view.from)
        .map((patch) => {
            if (patch.offset >= view.from && patch.offset + patch.length <= view.to) {
                return patch;
            }
            const from = Math.max(patch.offset, view.from);
            const length = Math.min(patch.offset + patch.length, view.to) - from;
            const source = patch.source === null ? null : patch.source + from - patch.offset;
            return { ...patch, offset: from, length, source };
        });
}

/**
 * The patches worth drawing at this width. Good ones that are narrower than a pixel are drawn where nothing else is;
 * bad ones are never left out, but many of one class that fall on the same pixel are drawn once.
 */
export function visible(patches: readonly PatchProps[], width: number, view: View): PatchProps[] {
    const pixel = (at: number) => Math.floor(((at - view.from) / (view.to - view.from)) * width);
    const seen = new Set<string>();
    const good: PatchProps[] = [];
    const bad: PatchProps[] = [];
    for (const patch of within(patches, view)) {
        const [from, to] = [pixel(patch.offset), pixel(patch.offset + patch.length)];
        const place = `${patch.class}@${from}`;
        const isGood = patch.class === 'holds';
        if (to > from || !seen.has(isGood ? `${from}` : place)) {
            (isGood ? good : bad).push(patch);
        }
        seen.add(place).add(`${from}`);
    }
    return [...good, ...bad];
}
