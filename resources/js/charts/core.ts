import type { PatchProps } from '../types/generated/props';
import type { View } from './zoom';

export interface ArcPlace {
    from: number;
    to: number;
}

/** A handful of arcs, each joining an address to the one whose data it gave back: at even distances along all that did. */
export function arcsOf(patches: readonly PatchProps[], most = 14): ArcPlace[] {
    const echoes = patches.filter((patch) => patch.source !== null);
    const total = echoes.reduce((sum, patch) => sum + patch.length, 0);
    const arcs: ArcPlace[] = [];
    let before = 0;
    for (const { offset, length, source } of echoes) {
        for (let next = total * ((arcs.length + 0.5) / most); next < before + length;) {
            const along = Math.floor(next - before);
            arcs.push({ from: offset + along, to: (source ?? 0) + along });
            next = total * ((arcs.length + 0.5) / most);
        }
        before += length;
    }
    return arcs;
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
