import { useEffect, useLayoutEffect, useSyncExternalStore } from 'react';

const STORE = 'single-keys';
const listeners = new Set<() => void>();

function read(): boolean {
    return localStorage.getItem(STORE) !== 'off';
}

/** Whether keys without a modifier act; kept on this machine. */
export function useSingleKeys(): [boolean, (on: boolean) => void] {
    const on = useSyncExternalStore((notify) => {
        listeners.add(notify);
        return () => listeners.delete(notify);
    }, read);
    return [
        on,
        (next) => {
            localStorage.setItem(STORE, next ? 'on' : 'off');
            listeners.forEach((notify) => {
                notify();
            });
        },
    ];
}

const TAKES_LETTERS =
    'input, textarea, select, [contenteditable], [role=listbox], [role=menu], [role=dialog], [aria-haspopup=listbox]';

/** True while somebody types, or while a control wants the key for itself: arrows belong to whatever has the focus. */
function isBusy(event: KeyboardEvent): boolean {
    if (event.key.startsWith('Arrow') && document.activeElement !== document.body) {
        return true;
    }
    // The space bar presses whatever button has the focus.
    if (
        event.key === ' ' &&
        event.target instanceof HTMLElement &&
        event.target.closest('button, a, summary, label') !== null
    ) {
        return true;
    }
    return event.target instanceof HTMLElement && event.target.closest(TAKES_LETTERS) !== null;
}

/** Keys of the page that is open. Single ones never fire while someone types. */
export function useSurfaceKeys(actions: Record<string, () => void>): void {
    const [on] = useSingleKeys();
    // Before the page is painted: a key pressed as soon as something is seen must meet what is seen, not what was before.
    useLayoutEffect(() => {
        const press = (event: KeyboardEvent) => {
            if (!on || event.ctrlKey || event.metaKey || event.altKey || event.repeat || isBusy(event)) {
                return;
            }
            const act = actions[event.key];
            if (act !== undefined) {
                event.preventDefault();
                act();
            }
        };
        window.addEventListener('keydown', press);
        return () => {
            window.removeEventListener('keydown', press);
        };
    });
}

/** Keys of every page; Ctrl/⌘ K always opens the finder. */
export function useKeys(actions: Record<string, () => void>, finder: () => void): void {
    useSurfaceKeys(actions);
    useEffect(() => {
        const press = (event: KeyboardEvent) => {
            if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
                event.preventDefault();
                finder();
            }
        };
        window.addEventListener('keydown', press);
        return () => {
            window.removeEventListener('keydown', press);
        };
    });
}
