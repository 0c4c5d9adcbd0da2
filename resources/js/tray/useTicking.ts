import { router } from '@inertiajs/react';
import { useState } from 'react';
import type { PlanPage, ShootPage } from '../types/generated/props';

/** Cards are ticked instead of opened. */
export interface Ticking {
    ticked: readonly string[];
    onTick: (cards: readonly string[]) => void;
}

/**
 * While the whole offload or a shoot is planned, cards are ticked in the tray, and not opened.
 *
 * What was just ticked counts at once and not only when its plan has come: the next tick, which may be made before, adds to it.
 */
export function useTicking(component: string, props: object): Ticking | null {
    const [asked, setAsked] = useState<{ cards: readonly string[]; before: readonly string[] } | null>(null);
    const plan = planned(component, props);
    if (plan === null) {
        return null;
    }
    const { ticked } = plan;
    return {
        ticked: asked !== null && asked.before === ticked ? asked.cards : ticked,
        onTick: (picked) => {
            const cards = [...new Set(picked)].sort();
            setAsked({ cards, before: ticked });
            router.get(
                plan.at,
                // Nothing at all is said as one card without a tag.
                { ...plan.asked, cards: cards.length === 0 ? [''] : cards },
                {
                    preserveState: true,
                    preserveScroll: true,
                    queryStringArrayFormat: 'indices',
                    onFinish: ({ interrupted }) => {
                        // Nothing came: the ticks are again those of the plan that is shown.
                        if (!interrupted) {
                            setAsked(null);
                        }
                    },
                },
            );
        },
    };
}

/** What is planned, and where it is asked for. */
function planned(component: string, props: object) {
    if (component === 'Plan') {
        const { ticked, rules, holds } = props as PlanPage;
        return { at: '/offload', ticked, asked: { ...rules, ...(holds.length === 0 ? {} : { holds }) } };
    }
    if (component === 'Shoot') {
        const { ticked, days, home, extra, wanted } = props as ShootPage;
        const rows = wanted.map((row) => ({ ...row, spare: row.spare ? '1' : '0' }));
        return { at: '/fit/shoot', ticked, asked: { days, home, extra, wanted: rows } };
    }
    return null;
}
