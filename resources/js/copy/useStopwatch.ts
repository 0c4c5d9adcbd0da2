import { useEffect, useState } from 'react';

export const LAPS = ['copied', 'verified', 'previews'] as const;
export type LapName = (typeof LAPS)[number];

export interface Watch {
    /** Milliseconds of the page's clock when it was started; null while it stands. */
    began: number | null;
    seconds: number;
    next: LapName | null;
    lap: (name?: LapName) => void;
    stop: () => void;
}

/** `1:02:03.4`, as the fields take it */
export function clock(seconds: number): string {
    const tenths = Math.round(seconds * 10) / 10;
    const [h, m] = [Math.floor(tenths / 3600), Math.floor((tenths % 3600) / 60)];
    const s = (tenths % 60).toFixed(1).padStart(4, '0');
    return h > 0 ? `${h}:${String(m).padStart(2, '0')}:${s}` : `${m}:${s}`;
}

/**
 * A stopwatch with a lap for each thing that "done" may mean. It counts by the page's monotonic clock: setting the
 * time of day does not move it.
 */
export function useStopwatch(onLap: (name: LapName, text: string) => void): Watch {
    const [began, setBegan] = useState<number | null>(null);
    const [seconds, setSeconds] = useState(0);
    const [taken, setTaken] = useState(0);
    useEffect(() => {
        if (began === null) {
            return undefined;
        }
        const timer = setInterval(() => {
            setSeconds((performance.now() - began) / 1000);
        }, 100);
        return () => {
            clearInterval(timer);
        };
    }, [began]);
    const next = began === null ? null : (LAPS[taken] ?? null);
    return {
        began,
        seconds,
        next,
        lap: (name) => {
            if (began === null) {
                setBegan(performance.now());
                setSeconds(0);
                setTaken(0);
                return;
            }
            const which = name ?? next;
            if (which === null) {
                return;
            }
            onLap(which, clock((performance.now() - began) / 1000));
            setTaken(LAPS.indexOf(which) + 1);
            if (which === 'previews') {
                setBegan(null);
            }
        },
        stop: () => {
            setBegan(null);
        },
    };
}
