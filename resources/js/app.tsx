import '@fontsource-variable/archivo/wdth.css';
import '@fontsource-variable/martian-mono/wdth.css';
import { createInertiaApp, router } from '@inertiajs/react';
import type { ComponentType } from 'react';
import { createRoot } from 'react-dom/client';
import { askNow, startPulse } from './frame/pulse';
import { Frame } from './frame/Frame';
import { outliveSittings } from './frame/signedOut';
import { SignInHere } from './frame/SignInHere';
import { countOnce } from './once';
import { GlobalStyle } from './theme/GlobalStyle';

/** Each is loaded when it is first opened. */
const pages = import.meta.glob<{ default: ComponentType }>('./pages/*.tsx');

/** When the page was last loaded anew because a part of it was gone; not again within so many milliseconds. */
const RELOADED = 'reloaded';
const AGAIN = 10_000;

// After an update the server has the parts of pages under other names.
window.addEventListener('vite:preloadError', (event) => {
    if (Date.now() - Number(sessionStorage.getItem(RELOADED)) > AGAIN) {
        event.preventDefault();
        sessionStorage.setItem(RELOADED, String(Date.now()));
        window.location.reload();
    }
});

countOnce();
outliveSittings();
startPulse();
router.on('success', (event) => {
    // Whatever was sent may have changed a card.
    if (event.detail.page.props['frame'] !== undefined) {
        askNow();
    }
});

/** Pages before the door: nothing of the house stands around them. */
const OUTSIDE = ['SignIn', 'Password'];

void createInertiaApp({
    title: (title) => (title === '' ? 'Gritty Tally' : `${title} · Gritty Tally`),
    resolve: async (name) => {
        const page = pages[`./pages/${name}.tsx`];
        if (page === undefined) {
            throw new Error(`There is no page called ${name}.`);
        }
        return (await page()).default;
    },
    layout: (name) => (OUTSIDE.includes(name) ? undefined : Frame),
    setup: ({ el, App, props }) => {
        createRoot(el).render(
            <>
                <GlobalStyle />
                <App {...props} />
                <SignInHere />
            </>,
        );
    },
    progress: { color: '#A8441C', showSpinner: false },
});
