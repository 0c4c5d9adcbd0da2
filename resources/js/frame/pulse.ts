import { HttpResponseError } from '@inertiajs/core';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { answerOf } from '../parts/answers';
import type { FrameProps, RunningProps, TagProps } from '../types/generated/props';
import { poller } from './poller';

/** Milliseconds from an answer to the next question: while a run is followed, while others go, and when all is quiet. */
const FOLLOWED = 700;
const GOING = 3000;
const QUIET = 20_000;

interface Known {
    /** Those that this page holds, by their tags; in a large house some of them. */
    tray: readonly TagProps[];
    /** Whether that is all there are. */
    isWhole: boolean;
    frame: FrameProps | null;
    /** The run that was asked for, as it stood last; undefined before it was asked for. */
    running: { run: number; now: RunningProps | null } | undefined;
}

let known: Known = { tray: [], isWhole: true, frame: null, running: undefined };
let mark = '';
/** What is looked for that is not held, and whether it is yet to be asked for. */
let sought: Record<string, string> = {};
let isToSeek = false;
let followed: number | null = null;
let isSignedOut = false;
const listeners = new Set<() => void>();

function merge(before: readonly TagProps[], changed: readonly TagProps[]): readonly TagProps[] {
    if (changed.length === 0) {
        return before;
    }
    const cards = new Map(before.map((card) => [card.tag, card]));
    for (const card of changed) {
        cards.set(card.tag, card);
    }
    return [...cards.values()].sort((one, other) => (one.tag < other.tag ? -1 : 1));
}

async function ask(): Promise<void> {
    const run = followed;
    const seeks = isToSeek || mark === '' ? sought : {};
    isToSeek = false;
    const query = new URLSearchParams({ since: mark, ...(run === null ? {} : { run: String(run) }), ...seeks });
    try {
        const said = await answerOf(`/pulse?${query.toString()}`);
        const { cards } = said.frame;
        const tray = merge(said.anew ? [] : known.tray, said.tray);
        // A card that was taken out, or tagged anew, is told by nobody: then they are asked for once more.
        const isLess = known.isWhole ? tray.length !== cards : cards < (known.frame?.cards ?? 0);
        mark = isLess && !said.anew ? '' : said.mark;
        known = {
            tray,
            isWhole: said.anew ? tray.length === cards : known.isWhole,
            frame: said.frame,
            running: run === null ? undefined : { run, now: said.running },
        };
        listeners.forEach((listener) => {
            listener();
        });
    } catch (fault) {
        isToSeek = true;
        // Nobody signed in when asked to: the next thing that is done asks again.
        isSignedOut = fault instanceof HttpResponseError && fault.response.status === 401;
        throw fault;
    }
}

const pulse = poller(ask, () => {
    if (isSignedOut || window.location.pathname === '/sign-in') {
        return null;
    }
    if (followed !== null) {
        return FOLLOWED;
    }
    return (known.frame?.going ?? 0) > 0 || known.frame?.worker === false ? GOING : QUIET;
});

function subscribe(listener: () => void): () => void {
    listeners.add(listener);
    return () => listeners.delete(listener);
}

export const startPulse = pulse.soon;

/**
 * Cards that a page which does not hold all of them is to get: by words, by a filter of the tray, by their tags, around one of them.
 * What is held is there at once; the rest comes with the next answer.
 */
export function seek(what: { find?: string; only?: string; tags?: readonly string[]; around?: string | null }): void {
    const missing = (what.tags ?? []).filter((tag) => !known.tray.some((card) => card.tag === tag));
    const next: Record<string, string> = {
        ...(what.find === undefined || what.find === '' ? {} : { find: what.find }),
        ...(what.only === undefined || what.only === 'all' ? {} : { only: what.only }),
        ...Object.fromEntries(missing.map((tag, i) => [`tags[${String(i)}]`, tag])),
        ...(what.around === undefined || what.around === null ? {} : { around: what.around }),
    };
    if (known.isWhole || JSON.stringify(next) === JSON.stringify(sought)) {
        return;
    }
    sought = next;
    isToSeek = true;
    pulse.soon();
}

/** Asks at once: something was done here that the tray shows. */
export function askNow(): void {
    isSignedOut = false;
    pulse.soon();
}

/** The cards, and the station as it stands by now; a page that has just come knows the station better. */
export function useHouse(frame: FrameProps): { tray: readonly TagProps[]; isWhole: boolean; frame: FrameProps } {
    const now = useSyncExternalStore(subscribe, () => known);
    const [came, setCame] = useState({ frame, known: now });
    if (came.frame !== frame) {
        setCame({ frame, known: now });
    }
    return {
        tray: now.tray,
        isWhole: now.isWhole,
        frame: came.known === now || now.frame === null ? frame : now.frame,
    };
}

/** How a run stands by now; `undefined` before it was asked for, `null` when it is over. */
export function useRun(run: number | null): RunningProps | null | undefined {
    const now = useSyncExternalStore(subscribe, () => known);
    useEffect(() => {
        followed = run;
        if (run !== null) {
            pulse.soon();
        }
        return () => {
            followed = null;
        };
    }, [run]);
    return now.running?.run === run ? now.running.now : undefined;
}
