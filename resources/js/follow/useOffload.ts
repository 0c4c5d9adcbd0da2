import { http } from '@inertiajs/react';
import { useEffect, useState } from 'react';
import type { FollowNowProps } from '../types/generated/props';

/** Milliseconds from an answer to the next question, and after one that was not answered. */
const NEXT = 700;
const AWAY = 4000;

/** How an offload stands by now: one question in flight, until it is over. */
export function useOffload(id: number, first: FollowNowProps): FollowNowProps {
    const [answer, setAnswer] = useState<{ from: FollowNowProps; now: FollowNowProps } | null>(null);
    // What came with the page itself is newer than what was asked before.
    const now = answer?.from === first ? answer.now : first;
    const isOver = now.state === 'ended';
    useEffect(() => {
        if (isOver) {
            return undefined;
        }
        let isGone = false;
        let timer: ReturnType<typeof setTimeout>;
        const ask = () => {
            http.getClient()
                .request({ method: 'get', url: `/offloads/${id}/now`, headers: { Accept: 'application/json' } })
                .then(
                    ({ data }) => {
                        if (!isGone) {
                            setAnswer({ from: first, now: JSON.parse(data) as FollowNowProps });
                            timer = setTimeout(ask, NEXT);
                        }
                    },
                    () => {
                        timer = setTimeout(ask, AWAY);
                    },
                );
        };
        timer = setTimeout(ask, NEXT);
        return () => {
            isGone = true;
            clearTimeout(timer);
        };
    }, [id, first, isOver]);
    return now;
}
