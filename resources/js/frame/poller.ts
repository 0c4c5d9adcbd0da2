/** After a question that was not answered, twice as long each time, up to here. Milliseconds. */
const LONGEST = 30_000;

export interface Poller {
    /** Asks after a pause. */
    start: () => void;
    /** Asks at once, or as soon as the answer that is on its way has come. */
    soon: () => void;
    stop: () => void;
}

/**
 * Asks again and again, one question at a time: the next comes only after the answer, later where none came, and none while nobody
 * looks at the page.
 *
 * @param pause milliseconds from an answer to the next question; null for no more
 */
export function poller(ask: () => Promise<void>, pause: () => number | null): Poller {
    let timer: ReturnType<typeof setTimeout> | undefined;
    let isAsking = false;
    let isWanted = false;
    let failed = 0;
    const later = () => {
        clearTimeout(timer);
        const usual = pause();
        if (usual === null || document.hidden) {
            return;
        }
        timer = setTimeout(() => void now(), isWanted && failed === 0 ? 0 : Math.min(LONGEST, usual * 2 ** failed));
    };
    const now = async () => {
        if (isAsking) {
            return;
        }
        isAsking = true;
        isWanted = false;
        try {
            await ask();
            failed = 0;
        } catch {
            failed += 1;
        } finally {
            isAsking = false;
            later();
        }
    };
    const soon = () => {
        isWanted = true;
        failed = 0;
        if (!isAsking) {
            later();
        }
    };
    document.addEventListener('visibilitychange', soon);
    return {
        start: later,
        soon,
        stop: () => {
            document.removeEventListener('visibilitychange', soon);
            pause = () => null;
            clearTimeout(timer);
        },
    };
}
