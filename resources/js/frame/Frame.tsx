import { Link, router, usePage } from '@inertiajs/react';
import { useEffect, useState, type ReactNode } from 'react';
import { Button as AriaButton } from 'react-aria-components';
import { showing } from '../once';
import { useTheme } from '../theme/useTheme';
import { Tray } from '../tray/Tray';
import { useTicking } from '../tray/useTicking';
import { NotAllowed, Welcome, Who } from './Who';
import type { FrameProps, TagProps, WhoProps } from '../types/generated/props';
import { Finder } from './Finder';
import { FrameLook } from './FrameLook';
import { HouseMenu } from './HouseMenu';
import { KeySheet } from './KeySheet';
import { Line } from './Line';
import { LogIncident } from './LogIncident';
import { useHouse } from './pulse';
import { useKeys } from './useKeys';

interface SharedPage {
    frame: FrameProps | null;
    who: WhoProps;
    errors: Record<string, string>;
    /** What of it a save has to have seen. */
    seen: string;
    card?: { tag: string } | null;
    margin?: { next: { href: string | null } } | null;
    [key: string]: unknown;
}

/** What stands around every page: the line on top, the tray at the left, the keys. */
export function Frame({ children }: { children: ReactNode }) {
    const { frame } = usePage<SharedPage>().props;
    return frame === null ? children : <Around shown={frame}>{children}</Around>;
}

function Around({ shown, children }: { shown: FrameProps; children: ReactNode }) {
    const page = usePage<SharedPage>();
    const { frame, tray, isWhole } = useHouse(shown);
    const { seen } = page.props;
    useEffect(() => {
        showing(seen);
    }, [seen]);
    const first = page.url.split(/[/?]/)[1] ?? 'intake';
    const place = first === 'offloads' ? 'offload' : first;
    // On the pages of the house a card of the tray opens where it is entered.
    const stage = frame.stages.some((entry) => entry.key === place) ? place : 'intake';
    const tag = page.props.card?.tag ?? null;
    const ticking = useTicking(page.component, page.props);
    const [theme, toggleTheme] = useTheme();
    const [sheet, setSheet] = useState(false);
    const [finder, setFinder] = useState(false);
    const [incident, setIncident] = useState(false);
    const [drawer, setDrawer] = useState(false);

    useKeys(keysFor(frame, tray, stage, tag, page.props.margin?.next.href ?? null, setSheet, setIncident), () => {
        setFinder(true);
    });

    return (
        <FrameLook $drawer={drawer}>
            <header>
                <Link href="/intake" className="mark">
                    <svg width="36" height="28" viewBox="0 0 36 28" fill="none" aria-hidden="true">
                        <path d="M5 2v24M13 2v24M21 2v24M29 2v24" stroke="var(--rust)" strokeWidth="3" />
                        <path d="M1 23 35 6" stroke="var(--ink)" strokeWidth="2.6" />
                    </svg>
                    Gritty Tally
                </Link>
                <Line stages={frame.stages} stage={place} tag={tag} />
                <AriaButton
                    className="tray-toggle"
                    onPress={() => {
                        setDrawer(!drawer);
                    }}
                >
                    {drawer ? 'Hide the cards' : 'Show the cards'}
                </AriaButton>
                <div className="station">
                    <span>
                        <StationWords frame={frame} />
                        <Who who={page.props.who} />
                    </span>
                    <span>
                        <HouseMenu who={page.props.who} />
                        <AriaButton onPress={toggleTheme}>{theme === 'day' ? 'dark' : 'light'}</AriaButton>
                        <AriaButton
                            aria-label="All keys"
                            onPress={() => {
                                setSheet(true);
                            }}
                        >
                            <kbd>?</kbd>
                        </AriaButton>
                        <AriaButton
                            aria-label="Find any card or page"
                            onPress={() => {
                                setFinder(true);
                            }}
                        >
                            <kbd>Ctrl K</kbd>
                        </AriaButton>
                    </span>
                </div>
            </header>
            <NotAllowed says={page.props.errors['may'] ?? page.props.errors['seen']} />
            <Welcome who={page.props.who} />
            <Tray tags={tray} isWhole={isWhole} counts={frame} selected={tag} stage={stage} ticking={ticking} />
            {children}
            <KeySheet
                open={sheet}
                onClose={() => {
                    setSheet(false);
                }}
            />
            <LogIncident
                tag={tag}
                open={incident}
                onClose={() => {
                    setIncident(false);
                }}
            />
            <Finder
                open={finder}
                frame={frame}
                tray={tray}
                stage={stage}
                tag={tag}
                onClose={() => {
                    setFinder(false);
                }}
            />
        </FrameLook>
    );
}

function StationWords({ frame }: { frame: FrameProps }) {
    if (!frame.worker) {
        return (
            <span>
                {frame.station} · <span className="away">no worker, runs wait</span>
            </span>
        );
    }
    return (
        <span>
            {frame.station} ·{' '}
            {frame.going === 0 ? 'idle' : <b>{frame.going === 1 ? '1 run' : `${frame.going} runs`}</b>}
        </span>
    );
}

function keysFor(
    frame: FrameProps,
    tray: readonly TagProps[],
    stage: string,
    tag: string | null,
    next: string | null,
    setSheet: (open: boolean) => void,
    setIncident: (open: boolean) => void,
): Record<string, () => void> {
    const move = (by: number) => () => {
        const at = tray.findIndex((card) => card.tag === tag);
        const to = tray[Math.min(tray.length - 1, Math.max(0, at + by))];
        if (to !== undefined && to.tag !== tag) {
            router.visit(`/${stage}/${to.tag}`, { preserveState: true });
        }
    };
    const stages = Object.fromEntries(
        frame.stages.map((entry, i) => [
            String(i + 1),
            () => {
                router.visit(tag === null ? `/${entry.key}` : `/${entry.key}/${tag}`);
            },
        ]),
    );
    return {
        ...stages,
        j: move(1),
        ArrowDown: move(1),
        k: move(-1),
        ArrowUp: move(-1),
        n: () => {
            router.visit('/intake');
        },
        g: () => {
            if (next !== null) {
                router.visit(next);
            }
        },
        m: () => {
            document.querySelector<HTMLElement>('[data-main]')?.click();
        },
        '/': () => {
            document.getElementById('find-a-card')?.focus();
        },
        i: () => {
            setIncident(true);
        },
        '?': () => {
            setSheet(true);
        },
    };
}
