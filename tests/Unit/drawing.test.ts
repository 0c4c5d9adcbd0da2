import { describe, expect, it } from 'vitest';
import {
    anchorWithin,
    apart,
    fitsRight,
    roundScale,
    rulerTicks,
    stretchTicks,
    wallIsNear,
} from '../../resources/js/charts/axis';
import { claimLineWords } from '../../resources/js/charts/ClaimLine';
import { arcsOf, visible, within } from '../../resources/js/charts/core';
import { around, LEAST, nextBad, pushed, zoomed, type View } from '../../resources/js/charts/zoom';
import { binarySize, grouped, megabytes, percent, reached, size } from '../../resources/js/format';
import figures from '../cases/figures.json';
import type { ClaimWayProps, PatchProps } from '../../resources/js/types/generated/props';

const GB = 1e9;

function patch(kind: PatchProps['class'], offset: number, length: number, source: number | null = null): PatchProps {
    return { class: kind, offset, length, source };
}

describe('figures', () => {
    it('are printed as the core prints them', () => {
        for (const [bytes, text] of figures.sizes as [number, string][]) {
            expect(size(bytes)).toBe(text);
        }
        for (const [bytes, text] of figures.binary as [number, string][]) {
            expect(binarySize(bytes)).toBe(text);
        }
        for (const [rate, text, down] of figures.speeds as [number, string, string][]) {
            expect(megabytes(rate)).toBe(text);
            expect(reached(rate)).toBe(down);
        }
        expect(size(23.937941504 * GB, 4)).toBe('23.9379 GB');
    });

    it('groups digits and prints shares', () => {
        expect(grouped(7_977_041_920)).toBe('7\u{202F}977\u{202F}041\u{202F}920');
        expect(percent(0.914)).toBe('91 %');
        expect(percent(0.0214, 1)).toBe('2.1 %');
    });
});

describe('axes', () => {
    it('end on a round figure that shows everything', () => {
        for (const most of [0.4, 7, 23, 95, 118.4, 260, 1527, 3938]) {
            const end = roundScale(most, 0, 100).domain()[1] ?? 0;
            expect(end).toBeGreaterThanOrEqual(most);
            expect(end).toBeLessThanOrEqual(Math.max(1, most * 2));
        }
    });

    it('put a far wall off the line, so that the rest is not squeezed', () => {
        expect(wallIsNear(290, [130, 250])).toBe(true);
        expect(wallIsNear(1050, [20, 84])).toBe(false);
    });

    it('keep labels inside', () => {
        expect(fitsRight(100, 'label 130', 300)).toBe(true);
        expect(fitsRight(280, 'label 130', 300)).toBe(false);
    });

    it.each([32e6, 700e6, 2 * GB, 32 * GB, 128 * GB, 325 * GB, 1e12, 2e12, 128e12])(
        'rule a medium of %d bytes in a few round steps',
        (whole) => {
            const ticks = rulerTicks(whole, 600);
            expect(ticks.length).toBeGreaterThanOrEqual(3);
            expect(ticks.length).toBeLessThanOrEqual(9);
            expect(ticks[0]).toEqual({ at: 0, label: '0' });
            expect(ticks.at(-1)?.at).toBeLessThanOrEqual(whole * 1.0001);
            const step = ticks[1]?.at ?? 0;
            ticks.forEach((tick, i) => {
                expect(tick.at).toBeCloseTo(i * step, -3);
            });
        },
    );
});

describe('labels of an axis', () => {
    it.each([180, 250, 400, 640, 1200])('stand apart on %i pixels', (width) => {
        for (const whole of [500e6, 32e9, 119e9, 325e9, 4e12]) {
            const ticks = rulerTicks(whole, width);
            expect(ticks.length).toBeGreaterThanOrEqual(2);
            const step = ((ticks[1]?.at ?? 0) / whole) * width;
            expect(step).toBeGreaterThan(Math.max(...ticks.map((tick) => tick.label.length)) * 6);
        }
    });

    it('lose the one before the last where the two would touch', () => {
        const figure = (x: number, label: string, anchor: 'start' | 'middle' | 'end' = 'middle') => ({
            x,
            label,
            anchor,
        });
        const shown = apart([figure(0, '0', 'start'), figure(280, '28 GB'), figure(320, '32 GB', 'end')]);
        expect(shown.map((one) => one.label)).toEqual(['0', '32 GB']);
        expect(apart([figure(0, '0'), figure(100, '10 GB'), figure(200, '20 GB')])).toHaveLength(3);
    });

    it('stay within their picture', () => {
        expect(anchorWithin(2, '0 GB', 300)).toBe('start');
        expect(anchorWithin(150, '0 GB', 300)).toBe('middle');
        expect(anchorWithin(296, '2000', 300)).toBe('end');
    });
});

describe('the core sample', () => {
    const lap = 8 * GB;
    const wrapped = [
        patch('echoes', 0, lap, 3 * lap),
        patch('echoes', lap, lap, 3 * lap),
        patch('echoes', 2 * lap, lap, 3 * lap),
        patch('holds', 3 * lap, lap),
    ];

    it('joins addresses to the ones whose data they gave back', () => {
        const arcs = arcsOf(wrapped);
        expect(arcs.length).toBeGreaterThanOrEqual(9);
        expect(arcs.length).toBeLessThanOrEqual(16);
        for (const arc of arcs) {
            expect((arc.to - arc.from) % lap).toBeCloseTo(0, 3);
            expect(arc.to).toBeGreaterThanOrEqual(3 * lap);
        }
    });

    it('draws no arcs where nothing echoes, and few where everything does', () => {
        expect(arcsOf([patch('holds', 0, lap)])).toEqual([]);
        const many = Array.from({ length: 4000 }, (_, i) => patch('echoes', i * 1e6, 1e6, i * 1e6 + lap));
        expect(arcsOf(many).length).toBeLessThanOrEqual(14);
    });

    it('never leaves a bad sector out, however large the medium', () => {
        const whole = 128e12;
        const bad = patch('scrambled', 77e12, 512);
        const drawn = visible([patch('holds', 0, 77e12), bad, patch('holds', 77e12 + 512, whole - 77e12 - 512)], 640, {
            from: 0,
            to: whole,
        });
        expect(drawn).toContain(bad);
        expect(drawn.at(-1)).toBe(bad);
    });

    it('draws faults of one kind on one pixel once, and of different kinds each', () => {
        const whole = 1e12;
        const same = Array.from({ length: 500 }, (_, i) => patch('scrambled', 5e11 + i * 1024, 512));
        const other = patch('unreadable', 5e11 + 600_000, 512);
        const drawn = visible([...same, other], 640, { from: 0, to: whole });
        expect(drawn.filter((entry) => entry.class === 'scrambled')).toHaveLength(1);
        expect(drawn).toContain(other);
    });

    it('leaves good slivers between faults out and keeps long good parts', () => {
        const whole = 1e12;
        const drawn = visible(
            [patch('holds', 0, 4e11), patch('blank', 4e11, 512), patch('holds', 4e11 + 512, 512)],
            640,
            { from: 0, to: whole },
        );
        expect(drawn.map((entry) => entry.class)).toEqual(['holds', 'blank']);
    });
});

describe('looking into a core sample', () => {
    const whole = 128e12;
    const patch = (kind: PatchProps['class'], offset: number, length: number): PatchProps => ({
        class: kind,
        offset,
        length,
        source: null,
    });
    const bad = patch('scrambled', 77e12, 512);
    const patches = [patch('holds', 0, 77e12), bad, patch('holds', 77e12 + 512, whole - 77e12 - 512)];

    it('meets every bad place from any view, in turn', () => {
        const spots = [0, 3, 50, 99].map((at) => patch('blank', at * 1e9, 1024));
        let after = -1;
        const met = Array.from({ length: 5 }, () => {
            after = nextBad(spots, after)?.offset ?? -1;
            return after / 1e9;
        });
        expect(met).toEqual([0, 3, 50, 99, 0]);
        expect(nextBad([patch('holds', 0, 1)], -1)).toBeUndefined();
        for (const spot of spots) {
            const view = around(spot, 100e9);
            expect(within(spots, view)).toContain(spot);
        }
    });

    it('goes from 128 TB down to one sector, and shows it to scale there', () => {
        let view: View = { from: 0, to: whole };
        for (let i = 0; i < 60; i += 1) {
            view = zoomed(view, whole, 0.5, 77e12 + 256);
            expect(visible(patches, 640, view)).toContainEqual(bad);
        }
        expect(view.to - view.from).toBe(LEAST);
        expect((512 / LEAST) * 640).toBeGreaterThan(60);
    });

    it('stays within the card, however it is turned and pushed', () => {
        for (const size of [32e6, 1e12, whole]) {
            let view: View = { from: 0, to: size };
            for (const [factor, at] of [
                [0.1, 0],
                [3, size],
                [0.01, size],
                [50, 0],
            ] as const) {
                view = pushed(zoomed(view, size, factor, at), size, factor > 1 ? -0.4 : 0.4);
                expect(view.from).toBeGreaterThanOrEqual(0);
                expect(view.to).toBeLessThanOrEqual(size);
                expect(view.to).toBeGreaterThan(view.from);
            }
        }
    });

    it('moves the source of an echo along when it is cut', () => {
        const echo = { ...patch('echoes', 0, 1000), source: 5000 };
        expect(within([echo], { from: 400, to: 600 })).toEqual([{ ...echo, offset: 400, length: 200, source: 5400 }]);
        expect(within([echo], { from: 1000, to: 2000 })).toEqual([]);
    });

    it('names places of a stretch so that no two are alike', () => {
        for (const span of [4096, 1e6, 1e9, 1e12]) {
            const labels = stretchTicks(77e12, 77e12 + span, 600).map((tick) => tick.label);
            expect(labels.length).toBeGreaterThan(1);
            expect(new Set(labels).size).toBe(labels.length);
        }
    });
});

describe('the claim line in words', () => {
    const way = (over: Partial<ClaimWayProps>): ClaimWayProps => ({
        way: 'write',
        runs: [],
        median: null,
        claim: null,
        floor: null,
        floorMark: null,
        struck: null,
        untold: null,
        leftOut: null,
        ...over,
    });

    it('says what was measured, claimed and promised, and where the chain ends', () => {
        const words = claimLineWords({
            ways: [
                way({ runs: [118, 119], median: 118.4, claim: 130, floor: 60, floorMark: 'V60' }),
                way({ way: 'read', struck: 'the host’s cache answered', runs: [2410], median: 2410, claim: 250 }),
            ],
            wall: 290,
            least: null,
            wallName: 'UHS-II bus',
            caption: null,
        });
        expect(words).toBe(
            'write 118.4 MB/s, median of 2, label claims 130 MB/s, V60 floor 60 MB/s; ' +
                'read 2\u{202F}410 MB/s, median of 1, label claims 250 MB/s, not trusted: the host’s cache answered; ' +
                'the slowest link, UHS-II bus, gives 290 MB/s.',
        );
    });

    it('says the range that the chain gives, and what cannot be told in it', () => {
        const words = claimLineWords({
            ways: [way({ runs: [29], median: 29, claim: 90, untold: 'this chain gives no more' })],
            wall: 40,
            least: 30,
            wallName: 'R9',
            caption: null,
        });
        expect(words).toBe(
            'write 29 MB/s, median of 1, label claims 90 MB/s, cannot be told here: this chain gives no more; ' +
                'this chain gives 30 to 40 MB/s in practice, the slowest link is R9.',
        );
    });

    it('says what is not known', () => {
        const words = claimLineWords({ ways: [way({})], wall: null, least: null, wallName: null, caption: null });
        expect(words).toBe('write not measured, label claims nothing.');
    });
});
