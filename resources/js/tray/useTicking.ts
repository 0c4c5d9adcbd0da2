import { router } from '@inertiajs/react';
import { useState } from 'react';
import type { PlanPageProps } from '../types/generated/props';

/** Cards are ticked instead of opened. */
export interface Ticking {
    ticked: readonly string[];
    onTick: (cards: readonly string[]) => void;
}

/**
 * While the whole offload is planned, cards are ticked in the tray, and not opened.
 *
 * What was just ticked counts at once and not only when its plan has come: the next tick, which may be made before, adds to it.
 */
export function useTicking(component: string, props: object): Ticking | null {
    const [asked, setAsked] = useState<{ cards: readonly string[]; before: readonly string[] } | null>(null);
    if (component !== 'Plan') {
        return null;
    }
    const { ticked, rules } = props as PlanPageProps;
    return {
        ticked: asked !== null && asked.before === ticked ? asked.cards : ticked,
        onTick: (picked) => {
            const cards = [...new Set(picked)].sort();
            setAsked({ cards, before: ticked });
            router.get(
                '/offload',
                // Nothing at all is said as one card without a tag.
                { ...rules, cards: cards.length === 0 ? [''] : cards },
                {
                    preserveState: true,
                    preserveScroll: true,
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
