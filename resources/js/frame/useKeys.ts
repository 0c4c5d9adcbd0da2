import { useEffect, useSyncExternalStore } from 'react';

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

/** True while somebody types, or while a list or dialog wants the keys for itself. */
function isBusy(target: EventTarget | null): boolean {
    return (
        target instanceof HTMLElement &&
        target.closest('input, textarea, select, [contenteditable], [role=listbox], [role=menu], [role=dialog]') !==
            null
    );
}

/** Keys of the whole page. Single ones never fire while someone types; Ctrl/⌘ K always does. */
export function useKeys(actions: Record<string, () => void>, finder: () => void): void {
    const [on] = useSingleKeys();
    useEffect(() => {
        const press = (event: KeyboardEvent) => {
            if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
                event.preventDefault();
                finder();
                return;
            }
            if (!on || event.ctrlKey || event.metaKey || event.altKey || event.repeat || isBusy(event.target)) {
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
