import { useCallback, useEffect, useState, type RefObject } from 'react';
import type { PatchProps } from '../types/generated/props';

/** A stretch of a medium, in bytes. */
export interface View {
    from: number;
    to: number;
}

/** Nothing on a card is smaller than a sector; a few of them fill the picture. */
export const LEAST = 4096;

/** The view made larger or smaller around a place, kept within the whole. */
export function zoomed(view: View, whole: number, factor: number, around: number): View {
    const span = Math.min(whole, Math.max(Math.min(LEAST, whole), (view.to - view.from) * factor));
    const share = (around - view.from) / (view.to - view.from);
    return kept({ from: around - share * span, to: around + (1 - share) * span }, whole);
}

/** The view pushed along by a share of what it shows. */
export function pushed(view: View, whole: number, share: number): View {
    const by = share * (view.to - view.from);
    return kept({ from: view.from + by, to: view.to + by }, whole);
}

/** A view around one patch, with as much again on both sides. */
export function around(patch: PatchProps, whole: number): View {
    const span = Math.max(LEAST, 3 * patch.length);
    const middle = patch.offset + patch.length / 2;
    return kept({ from: middle - span / 2, to: middle + span / 2 }, whole);
}

/** The first bad patch behind a place; from the end it goes on at the beginning. */
export function nextBad(patches: readonly PatchProps[], after: number): PatchProps | undefined {
    const bad = patches.filter((patch) => patch.class !== 'holds');
    return bad.find((patch) => patch.offset > after) ?? bad[0];
}

function kept(view: View, whole: number): View {
    const span = Math.min(whole, view.to - view.from);
    const from = Math.min(Math.max(0, view.from), whole - span);
    return { from, to: from + span };
}

/** Which stretch is shown, and how keys and the wheel change it; `pad` is how far the picture stands in from its frame. */
export function useZoom(whole: number, frame: RefObject<HTMLElement | null>, pad: number) {
    const [view, setView] = useState<View>({ from: 0, to: whole });
    const change = useCallback(
        (factor: number, share = 0.5) => {
            setView((now) => zoomed(now, whole, factor, now.from + share * (now.to - now.from)));
        },
        [whole],
    );
    useEffect(() => {
        const element = frame.current;
        const turn = (event: WheelEvent) => {
            // With a key held, or sideways, the wheel belongs to the page.
            if (element === null || event.ctrlKey || event.metaKey || event.deltaY === 0) {
                return;
            }
            event.preventDefault();
            const { left, width } = element.getBoundingClientRect();
            const share = (event.clientX - left - pad) / (width - 2 * pad);
            change(event.deltaY > 0 ? 1.25 : 0.8, Math.min(1, Math.max(0, share)));
        };
        // React listens passively, and then the page would scroll as well.
        element?.addEventListener('wheel', turn, { passive: false });
        return () => element?.removeEventListener('wheel', turn);
    }, [frame, change, pad]);

    return { view, setView, change };
}
