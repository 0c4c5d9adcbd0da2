import { useCallback, useState } from 'react';

export type Theme = 'day' | 'night';

/** The theme in force, and how to switch it. The choice is kept on this machine; until there is one, the system's is followed. */
export function useTheme(): [Theme, () => void] {
    const [theme, setTheme] = useState<Theme>(() =>
        document.documentElement.dataset['theme'] === 'night' ? 'night' : 'day',
    );
    const toggle = useCallback(() => {
        setTheme((before) => {
            const next = before === 'day' ? 'night' : 'day';
            document.documentElement.dataset['theme'] = next;
            localStorage.setItem('theme', next);
            return next;
        });
    }, []);

    return [theme, toggle];
}
