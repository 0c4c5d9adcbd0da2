import { useHttp } from '@inertiajs/react';
import { useEffect } from 'react';
import type { Answers } from './answers';

/**
 * Asks the server a little after the question has stopped changing, and gives its newest answer.
 *
 * `null` asks nothing. While an answer is on its way the one before stays, so that nothing jumps.
 */
export function useAsk<Url extends keyof Answers>(url: Url, question: object | null, wait = 200): Answers[Url] | null {
    const http = useHttp<Record<string, never>, Answers[Url]>({});
    const body = question === null ? null : JSON.stringify(question);
    useEffect(() => {
        if (body === null) {
            return undefined;
        }
        const timer = setTimeout(() => {
            http.transform(() => JSON.parse(body) as Record<string, never>);
            // Cut off by a newer question, or the server is away: what was known stays on the page.
            http.post(url).catch(() => undefined);
        }, wait);
        return () => {
            clearTimeout(timer);
            http.cancel();
        };
        // eslint-disable-next-line react-hooks/exhaustive-deps -- only another question asks anew, not an answer that came
    }, [url, body, wait]);
    return question === null ? null : http.response;
}
