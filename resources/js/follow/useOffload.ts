import { useEffect, useState } from 'react';
import { poller } from '../frame/poller';
import { answerOf } from '../parts/answers';
import type { FollowNowProps } from '../types/generated/props';

/** Milliseconds from an answer to the next question. */
const NEXT = 700;

/** How an offload stands by now, until it is over. */
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
        const asked = poller(
            async () => {
                const said = await answerOf(`/offloads/${id}/now`);
                if (!isGone) {
                    setAnswer({ from: first, now: said });
                }
            },
            () => NEXT,
        );
        asked.start();
        return () => {
            isGone = true;
            asked.stop();
        };
    }, [id, first, isOver]);
    return now;
}
