import { router } from '@inertiajs/react';
import { useEffect, useRef } from 'react';
import { useRun } from '../frame/pulse';
import type { RunningProps } from '../types/generated/props';

/** How often what was measured so far is asked for while a run goes on: it is much more than how far it has come. */
const SO_FAR = 20_000;

/**
 * Follows the run of the card that is open: how far it has come by a short question, what was measured so far now and then,
 * and everything once it is over.
 *
 * @returns how it stands by now
 */
export function useFollow(running: RunningProps | null, only: string[]): RunningProps | null {
    const now = useRun(running?.id ?? null);
    const asked = useRef(0);
    const isOver = running !== null && now === null;
    const phase = `${now?.progress?.phase ?? ''} ${now?.progress?.run ?? 0}`;
    useEffect(() => {
        if (isOver) {
            router.reload({ only: [...only, 'frame', 'running', 'margin'] });
        }
        // eslint-disable-next-line react-hooks/exhaustive-deps -- the names are written where this is called, and never change
    }, [isOver]);
    useEffect(() => {
        if (now != null && Date.now() - asked.current > SO_FAR) {
            const isFirst = asked.current === 0;
            asked.current = Date.now();
            if (!isFirst) {
                router.reload({ only: [...only, 'margin'] });
            }
        }
        // eslint-disable-next-line react-hooks/exhaustive-deps -- only when it comes to another passage
    }, [phase]);
    return now ?? running;
}
