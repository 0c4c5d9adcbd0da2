import { describe, expect, it } from 'vitest';
import { months, placed as placedWords } from '../../resources/js/charts/life';
import { slotName } from '../../resources/js/charts/PackedLanes';
import { HEIGHT, LEFT, LETTER, placed as placedNames, TOP } from '../../resources/js/charts/plane';
import type { LifeEventProps, OfferProps, PickProps } from '../../resources/js/types/generated/props';

function event(day: number, words: string, kind = 'test'): LifeEventProps {
    return { day, on: `day ${day}`, kind, words, detail: '', href: null };
}

describe('months under a life', () => {
    it('are the first days of months, with the year where one begins', () => {
        const all = months('2025-12-27', 335, 590);
        expect(all[0]).toMatchObject({ at: 5, label: '2026' });
        expect(all.map((one) => one.label).slice(1, 4)).toEqual(['Feb', 'Mar', 'Apr']);
        expect(all.every((one, i) => i === 0 || one.at > (all[i - 1]?.at ?? 0))).toBe(true);
    });

    it('are fewer where there is little room, and none beyond the end', () => {
        const wide = months('2026-01-15', 365, 600);
        const narrow = months('2026-01-15', 365, 200);
        expect(narrow.length).toBeLessThan(wide.length);
        expect(narrow.length * 40).toBeLessThanOrEqual(240);
        expect(wide.every((one) => one.at < 365)).toBe(true);
        expect(months('2026-01-15', 3, 600)).toEqual([]);
    });

    it('are years of a long life', () => {
        const labels = months('2006-05-01', 365 * 20, 500).map((one) => one.label);
        expect(labels.every((label) => /^20\d\d$/.test(label))).toBe(true);
        expect(labels.length).toBeGreaterThan(3);
    });
});

describe('words along a life', () => {
    const x = (day: number) => 44 + day * 2;

    it('keep every mark, and touch nowhere', () => {
        const events = Array.from({ length: 40 }, (_, i) =>
            event(i * 7, i % 5 === 0 ? 'stuck in R3' : 'sustained run'),
        );
        const all = placedWords(events, x, 44, 620, false);
        expect(all).toHaveLength(40);
        for (const side of ['above', 'below'] as const) {
            const spans = all
                .filter((one) => one.label !== '' && one.side === side)
                .map((one) => {
                    const span = one.label.length * 5.9;
                    const from =
                        one.anchor === 'start' ? one.at : one.anchor === 'end' ? one.at - span : one.at - span / 2;
                    return [from, from + span] as const;
                })
                .sort((a, b) => a[0] - b[0]);
            spans.forEach(([from], i) => {
                expect(from).toBeGreaterThan(spans[i - 1]?.[1] ?? -Infinity);
            });
        }
    });

    it('tell trouble before tests where only one has room', () => {
        const all = placedWords(
            [
                event(10, 'speed run'),
                event(10.1, 'dropped', 'trouble'),
                event(10.2, 'small files'),
                event(10.3, 'speed run'),
            ],
            x,
            44,
            620,
            false,
        );
        const shown = all.filter((one) => one.label !== '').map((one) => one.label);
        expect(shown).toContain('dropped');
        expect(shown).toHaveLength(2);
    });

    it('stay within the picture and are cut where they are long', () => {
        const [first, last] = placedWords(
            [event(0, 'bought', 'bought'), event(288, 'a shoot with a very long name indeed', 'shoot')],
            x,
            44,
            620,
            false,
        );
        expect(first?.anchor).toBe('middle');
        expect(last?.anchor).toBe('end');
        expect(last?.label).toHaveLength(24);
        expect(last?.label.endsWith('…')).toBe(true);
    });

    it('are fewer on a narrow screen', () => {
        const events = Array.from({ length: 12 }, (_, i) => event(i * 24, 'run'));
        const shown = (narrow: boolean) =>
            placedWords(events, x, 44, 620, narrow).filter((one) => one.label !== '').length;
        expect(shown(true)).toBeLessThan(shown(false));
    });
});

function offer(key: string, perGigabyte: number, keepsUp: number | null, promises = 60): OfferProps {
    return {
        key,
        name: key,
        seller: '',
        line: '',
        price: '',
        perGigabyte,
        perTerabyte: '',
        perSpeed: '',
        keepsUp,
        promises,
        tested: '',
        failed: '',
        reader: '',
        passes: true,
        isOnFrontier: false,
    };
}

describe('names on the value plane', () => {
    const x = (price: number) => LEFT + price * 600;
    const y = (speed: number) => TOP + HEIGHT - speed;
    const right = 650;

    it('stand beside their dots, within the plane, and touch no other', () => {
        const offers = Array.from({ length: 14 }, (_, i) => offer(`Marrowick ${i}`, 0.1 + (i % 7) * 0.1, 20 + i * 15));
        const labels = placedNames(offers, [], [], x, y, right, 0);
        expect(labels.length).toBeGreaterThan(6);
        const boxes = labels.map((label) => {
            const span = label.name.length * LETTER;
            const from = label.anchor === 'start' ? label.x : label.x - span;
            return { from, to: from + span, top: label.y - 11, bottom: label.y + 3 };
        });
        boxes.forEach((one, i) => {
            expect(one.from).toBeGreaterThan(LEFT);
            expect(one.to).toBeLessThan(right);
            boxes.slice(i + 1).forEach((other) => {
                const touches =
                    one.from < other.to && one.to > other.from && one.top < other.bottom && one.bottom > other.top;
                expect(touches).toBe(false);
            });
        });
    });

    it('name what a criterion picks first, with the criteria before it', () => {
        const offers = [offer('plain', 0.4, 100), offer('picked', 0.402, 100)];
        const picks: PickProps[] = [
            { criterion: 'best value', offer: 'picked', sentence: '' },
            { criterion: 'cheapest that passes', offer: 'picked', sentence: '' },
            { criterion: 'guaranteed only', offer: null, sentence: '' },
        ];
        const labels = placedNames(offers, [], picks, x, y, right, 0);
        expect(labels[0]).toMatchObject({ key: 'picked', pick: 'best value, cheapest that passes' });
    });

    it('stand at what a mark promises where nothing was measured', () => {
        const [label] = placedNames([], [offer('label only', 0.3, null, 90)], [], x, y, right, 0);
        expect(label).toMatchObject({ key: 'label only', y: y(90) + 4 });
    });

    it('leave the corner to what is said of the slow ones', () => {
        const low = offer('low', 0.02, 12);
        const free = placedNames([low], [], [], x, y, right, 0);
        const taken = placedNames([low], [], [], x, y, right, 260);
        expect(free[0]?.y).toBe(y(12) + 4);
        expect(taken.every((label) => label.y < TOP + HEIGHT - 17)).toBe(true);
    });
});

describe('slots', () => {
    it('are called slot once', () => {
        expect(slotName('A')).toBe('slot A');
        expect(slotName('slot')).toBe('slot');
        expect(slotName('Slot 2')).toBe('Slot 2');
    });
});
