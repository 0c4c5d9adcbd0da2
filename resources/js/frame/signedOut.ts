import { HttpResponseError } from '@inertiajs/core';
import { http } from '@inertiajs/react';
import { useSyncExternalStore } from 'react';

type Answered = (signedIn: boolean) => void;

let waiting: Answered[] = [];
const listeners = new Set<() => void>();

function tell(): void {
    listeners.forEach((listener) => {
        listener();
    });
}

/** Asks to sign in where one is; whoever asks while it is open waits for the same answer. */
function askToSignIn(): Promise<boolean> {
    return new Promise((answered) => {
        waiting = [...waiting, answered];
        tell();
    });
}

/** Somebody signed in, or closed it. */
export function answerSignIn(signedIn: boolean): void {
    const asked = waiting;
    waiting = [];
    asked.forEach((answered) => {
        answered(signedIn);
    });
    tell();
}

export function useSignInAsked(): boolean {
    return useSyncExternalStore(
        (listener) => {
            listeners.add(listener);
            return () => listeners.delete(listener);
        },
        () => waiting.length > 0,
    );
}

const NOT_SIGNED_IN = 401;
/** The token of the form is of a sitting that is over. */
const OTHER_SITTING = 419;

/**
 * What is sent after a sitting is over is sent again once somebody has signed in, as it was: nothing that was typed is lost, and the
 * page stays where it is.
 */
export function outliveSittings(): void {
    const real = http.getClient();
    http.setClient({
        request: async (sent) => {
            try {
                return await real.request(sent);
            } catch (fault) {
                const status = fault instanceof HttpResponseError ? fault.response.status : 0;
                if ((status !== NOT_SIGNED_IN && status !== OTHER_SITTING) || !(await isSignedIn(real))) {
                    throw fault;
                }
                return real.request(sent);
            }
        },
    });
}

/** Whether somebody is, asking them where nobody is; it brings the token of the sitting along. */
async function isSignedIn(real: ReturnType<typeof http.getClient>): Promise<boolean> {
    try {
        await real.request({ method: 'get', url: '/pulse', headers: { Accept: 'application/json' } });
        return true;
    } catch (fault) {
        return fault instanceof HttpResponseError && fault.response.status === NOT_SIGNED_IN ? askToSignIn() : false;
    }
}

/** @returns what was wrong with it; null when somebody is signed in now */
export async function signInHere(name: string, password: string): Promise<string | null> {
    // As a form: what is asked in JSON leaves the sitting as it is.
    const headers = { Accept: 'application/json', 'Content-Type': 'application/x-www-form-urlencoded' };
    const client = http.getClient();
    try {
        // For a token of its own.
        await client.request({ method: 'get', url: '/sign-in', headers: { Accept: 'text/html' } });
        await client.request({
            method: 'post',
            url: '/sign-in',
            headers,
            data: new URLSearchParams({ name, password }).toString(),
        });
        return null;
    } catch (fault) {
        if (fault instanceof HttpResponseError) {
            const said = JSON.parse(fault.response.data) as { errors?: Record<string, string[]>; message?: string };
            return Object.values(said.errors ?? {})[0]?.[0] ?? said.message ?? 'It was not taken. Try again.';
        }
        return 'The station does not answer. Try again.';
    }
}
