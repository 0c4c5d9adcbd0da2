import { http } from '@inertiajs/react';
import type {
    BesidePlanProps,
    CopyCheckProps,
    FiguresProps,
    FollowNowProps,
    FoldersProps,
    PreviewProps,
    PulseProps,
    TypedCheckProps,
    WhatIfProps,
} from '../types/generated/props';

/** What a page asks the server besides itself: address → answer. */
export interface Answers {
    '/intake/preview': PreviewProps;
    '/compare/figures': { words: string[]; trouble: string | null };
    '/typed/check': TypedCheckProps[];
    '/offload/beside': BesidePlanProps;
    '/offload/better': FiguresProps;
    '/offload/what-if': WhatIfProps[];
    '/offloads/folders': FoldersProps;
    [forecast: `/cards/${string}/runs/forecast`]: { expected: string | null };
    [stopwatch: `/cards/${string}/stopwatch/check`]: CopyCheckProps;
    [now: `/offloads/${number}/now`]: FollowNowProps;
    [pulse: `/pulse?${string}`]: PulseProps;
}

/** Asks without a question of its own: the address says all. */
export async function answerOf<Url extends keyof Answers>(url: Url): Promise<Answers[Url]> {
    const answer = await http.getClient().request({ method: 'get', url, headers: { Accept: 'application/json' } });
    return JSON.parse(answer.data) as Answers[Url];
}
