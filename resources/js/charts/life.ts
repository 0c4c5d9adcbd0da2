import type { LifeEventProps } from '../types/generated/props';

/** About how wide a letter of these words is. Pixels. */
const LETTER = 5.9;
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** What is worth a word where there is little room, the most telling first. */
const TELLS = ['trouble', 'shoot', 'bought', 'proof', 'cleared', 'offload', 'said', 'test'];

type Anchor = 'start' | 'middle' | 'end';

interface Word {
    label: string;
    side: 'above' | 'below';
    anchor: Anchor;
}

/** Every event has its mark; those that tell most have their word as well, above or below the line, where it touches no other. */
export function placed(
    events: readonly LifeEventProps[],
    x: (day: number) => number,
    left: number,
    right: number,
    isNarrow: boolean,
) {
    const taken: Record<'above' | 'below', [number, number][]> = { above: [], below: [] };
    const words = new Map<LifeEventProps, Word>();
    const telling = [...events].sort((a, b) => TELLS.indexOf(a.kind) - TELLS.indexOf(b.kind));
    for (const event of telling) {
        const label = event.words.length > 24 ? `${event.words.slice(0, 23)}…` : event.words;
        const span = label.length * LETTER;
        const at = x(event.day);
        const anchor: Anchor = at - span / 2 < left - 20 ? 'start' : at + span / 2 > right ? 'end' : 'middle';
        const from = anchor === 'start' ? at : anchor === 'end' ? at - span : at - span / 2;
        const side = (['above', 'below'] as const).find((one) =>
            taken[one].every(([begin, end]) => from > end + 8 || from + span < begin - 8),
        );
        if (side !== undefined && taken[side].length < (isNarrow ? 3 : 7)) {
            taken[side].push([from, from + span]);
            words.set(event, { label, side, anchor });
        }
    }
    const bare: Word = { label: '', side: 'above', anchor: 'middle' };
    return events.map((event) => ({ event, at: x(event.day), ...(words.get(event) ?? bare) }));
}

/** First days of months within a life, as many as have room. */
export function months(begins: string, days: number, room: number): { at: number; label: string }[] {
    const start = new Date(`${begins}T00:00:00Z`);
    const all: { at: number; label: string; month: number }[] = [];
    for (let i = 1; i < 1200; i += 1) {
        const first = Date.UTC(start.getUTCFullYear(), start.getUTCMonth() + i, 1);
        const at = (first - start.getTime()) / 86_400_000;
        if (at > days) {
            break;
        }
        const date = new Date(first);
        const month = date.getUTCMonth();
        all.push({ at, month, label: month === 0 ? String(date.getUTCFullYear()) : (MONTHS[month] ?? '') });
    }
    const step = [1, 2, 3, 6, 12, 24, 60, 120].find((one) => (all.length / one) * 40 <= room) ?? 120;
    const kept = all.filter((one) => (one.month + 12 * Math.floor(one.at / 365.25)) % step === 0);
    // The last word has room to its right.
    return kept.filter((one) => ((days - one.at) / days) * room > 24);
}
