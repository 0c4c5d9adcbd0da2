import { useEffect, useState } from 'react';

function token(): string {
    const cookie = document.cookie.split('; ').find((entry) => entry.startsWith('XSRF-TOKEN='));
    return decodeURIComponent(cookie?.slice('XSRF-TOKEN='.length) ?? '');
}

async function ask(url: string, body: string, signal: AbortSignal): Promise<unknown> {
    const answer = await fetch(url, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-XSRF-TOKEN': token() },
        body,
        signal,
    });
    if (!answer.ok) {
        throw new Error(`${url} answered ${answer.status}`);
    }
    return answer.json();
}

/**
 * Asks the server a little after the question has stopped changing, and gives its newest answer.
 *
 * `null` asks nothing. While an answer is on its way the one before stays, so that nothing jumps.
 */
export function useAsk(url: string, question: object | null, wait = 200): unknown {
    const [answer, setAnswer] = useState<unknown>(null);
    const body = question === null ? null : JSON.stringify(question);
    useEffect(() => {
        if (body === null) {
            return undefined;
        }
        const control = new AbortController();
        const timer = setTimeout(() => {
            ask(url, body, control.signal).then(
                (said) => {
                    setAnswer(said);
                },
                () => {
                    // Cut off by a newer question, or the server is away: what was known stays on the page.
                },
            );
        }, wait);
        return () => {
            clearTimeout(timer);
            control.abort();
        };
    }, [url, body, wait]);
    return question === null ? null : answer;
}
