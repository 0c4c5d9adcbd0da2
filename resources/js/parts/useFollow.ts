import { usePoll } from '@inertiajs/react';
import { useEffect } from 'react';
import type { GoingProps } from '../types/generated/props';

/** Follows a run of the card that is open: asks for the named props a few times a second until it has ended. */
export function useFollow(going: GoingProps | null, only: string[]): void {
    const { start, stop } = usePoll(400, { only: [...only, 'frame', 'going', 'margin'] }, { autoStart: false });
    const follow = going !== null;
    useEffect(() => {
        if (follow) {
            start();
        } else {
            stop();
        }
        return stop;
        // eslint-disable-next-line react-hooks/exhaustive-deps -- start and stop are made anew at each render
    }, [follow]);
}
