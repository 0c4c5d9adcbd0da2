import { router } from '@inertiajs/react';

let sending = crypto.randomUUID();
let seen = '';

/**
 * Names each sending of a form, so that a double click or a second try after the network gave up counts once. The name is the
 * same until an answer has come; from then on the same form is a new one.
 */
export function countOnce(): void {
    router.on('before', (event) => {
        const { visit } = event.detail;
        if (visit.method !== 'get') {
            visit.headers['X-Once'] = `${sending} ${fingerprint(visit.data)}`;
            visit.headers['X-Seen'] = seen;
        }
    });
    router.on('success', () => {
        sending = crypto.randomUUID();
    });
}

/** What the page shows goes along with what it saves, so that an old page undoes nothing. */
export function showing(what: string): void {
    seen = what;
}

function fingerprint(data: unknown): string {
    const text = data instanceof FormData ? [...data.keys()].join() : JSON.stringify(data);
    let sum = 5381;
    for (const letter of text) {
        sum = (sum * 33 + (letter.codePointAt(0) ?? 0)) % 2_147_483_647;
    }
    return sum.toString(36);
}
