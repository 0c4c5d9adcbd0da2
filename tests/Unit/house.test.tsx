import type { ReactElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { CourseTrace } from '../../resources/js/charts/CourseTrace';
import { PriceRows } from '../../resources/js/charts/PriceRows';
import { PRESETS } from '../../resources/js/order/presets';
import { HOUSE_PAGES } from '../../resources/js/frame/HouseMenu';
import { ANSWER_KEYS } from '../../resources/js/inspect/answerKeys';
import { Drawing } from '../../resources/js/inspect/drawings';
import { Ceilings } from '../../resources/js/kit/Ceilings';
import { share } from '../../resources/js/kit/scale';
import { sent, start, startParts } from '../../resources/js/kit/values';
import { TagSheetPicture } from '../../resources/js/tags/TagSheetPicture';
import type {
    CeilingProps,
    CourseProps,
    KitFieldProps,
    KitFormProps,
    ReferenceProps,
    TagSheetProps,
} from '../../resources/js/types/generated/props';

function drawn(element: ReactElement): string {
    return renderToStaticMarkup(element);
}

function field(name: string, control: string, values: string[]): KitFieldProps {
    return { name, label: name, control, values, choices: [], placeholder: '', none: null };
}

describe('a form of gear', () => {
    const slot = [field('name', 'text', ['left']), field('buses', 'several', ['uhs-i', 'uhs-ii'])];
    const form: KitFormProps = {
        kind: 'readers',
        one: 'reader',
        key: 'R1',
        title: 'R1',
        fields: [field('tag', 'figures', ['R1']), field('cable_id', 'choice', [''])],
        parts: { name: 'slots', title: 'Slots', one: 'slot', blank: slot, rows: [{ id: 7, fields: slot }] },
    };

    it('starts with what stands in the books', () => {
        expect(start(form.fields)).toEqual({ tag: ['R1'], cable_id: [''] });
        expect(startParts(form)).toEqual([{ id: 7, row: 0, fields: { name: ['left'], buses: ['uhs-i', 'uhs-ii'] } }]);
        expect(startParts({ ...form, parts: null })).toEqual([]);
    });

    it('sends one text for each field, and a list only where several can be ticked', () => {
        expect(sent(form.fields, start(form.fields))).toEqual({ tag: 'R1', cable_id: '' });
        expect(sent(slot, start(slot))).toEqual({ name: 'left', buses: ['uhs-i', 'uhs-ii'] });
        expect(sent(slot, {})).toEqual({ name: '', buses: [] });
    });
});

describe('the scale of the kit', () => {
    it('gives equal steps to equal multiples', () => {
        expect(share(800) - share(400)).toBeCloseTo(share(200) - share(100), 9);
        expect(share(8000)).toBe(1);
    });

    it('shows something of everything and nothing beyond its end', () => {
        expect(share(0.1)).toBe(0.02);
        expect(share(50_000)).toBe(1);
    });
});

describe('ceilings', () => {
    const ceilings: CeilingProps[] = [
        {
            link: 'UHS-I bus',
            nominal: 104,
            least: 85,
            usable: 95,
            origin: 'practice',
            source: 'bus modes',
            isOwn: false,
        },
        {
            link: 'cable K4',
            nominal: 60,
            least: 36,
            usable: 36,
            origin: 'own measurement',
            source: 'three copies',
            isOwn: true,
        },
    ];

    it('say where each figure comes from, in words', () => {
        const html = drawn(<Ceilings ceilings={ceilings} />);
        expect(html).toContain('85–95 MB/s');
        expect(html).toContain('practice');
        expect(html).toContain('own measurement');
        expect(html).not.toContain('three copies');
    });

    it('name the source and the figure on paper where there is room', () => {
        const html = drawn(<Ceilings ceilings={ceilings} sources />);
        expect(html).toContain('own measurement: three copies');
        expect(html).toContain('104 on paper');
    });
});

describe('the drawings of an inspection', () => {
    const questions = [
        'contact-rows',
        'connector',
        'outline',
        'print',
        'shell',
        'lock-slider',
        'serial',
        'back-code',
        'seating',
    ];

    it('show something for every question', () => {
        for (const question of questions) {
            const html = drawn(
                <svg>
                    <Drawing question={question} micro={false} />
                </svg>,
            );
            expect(html.length, question).toBeGreaterThan(300);
        }
    });

    it('draw a microSD card where the card is one', () => {
        const draw = (micro: boolean) =>
            drawn(
                <svg>
                    <Drawing question="contact-rows" micro={micro} />
                </svg>,
            );
        expect(draw(true)).not.toBe(draw(false));
    });

    it('draw nothing for a question nobody asks', () => {
        expect(
            drawn(
                <svg>
                    <Drawing question="colour" micro={false} />
                </svg>,
            ),
        ).toBe('<svg></svg>');
    });

    it('are answered by letters, which are no stage and no key of the page', () => {
        for (const key of ANSWER_KEYS) {
            expect('jkngmx/?123456789').not.toContain(key);
        }
        expect(new Set(ANSWER_KEYS).size).toBe(ANSWER_KEYS.length);
    });
});

describe('prices of a kind', () => {
    const reference: ReferenceProps = {
        form: 'SD',
        tier: 'V30, U3: 30 MB/s and up',
        currency: 'EUR',
        median: 0.32,
        words: '0.320 EUR/GB, median of 3 quotes',
        quotes: [0.3, 0.32, 0.36],
        cards: [
            { tag: 'QS-1', perGigabyte: 0.31, severity: null },
            { tag: 'QS-2', perGigabyte: 0.15, severity: 'doubt' },
            { tag: 'QS-3', perGigabyte: 0.07, severity: 'contradiction' },
        ],
    };

    it('are told in words too', () => {
        const html = drawn(<PriceRows references={[reference]} />);
        expect(html).toContain('median of 3 quotes');
        expect(html).toContain('too cheap: QS-2, doubt; QS-3, contradiction');
        expect(html).not.toContain('QS-1, ');
    });

    it('mark what is too cheap by more than colour', () => {
        const html = drawn(<PriceRows references={[reference]} />);
        expect(html).toContain('QS-2 ?');
        expect(html).toContain('QS-3 !!');
        // One whose price speaks of nothing is named to the mouse alone.
        expect(html).not.toContain('QS-1</text>');
    });

    it('stay on the picture when they are far above the median', () => {
        const html = drawn(<PriceRows references={[{ ...reference, quotes: [90], cards: [] }]} />);
        const at = Number(/cx="([\d.]+)"/.exec(html)?.[1]);
        expect(at).toBeLessThanOrEqual(660);
    });
});

describe('a sheet of tags', () => {
    const sheet: TagSheetProps = {
        cards: 'all',
        tags: ['QS-1', 'QS-2', 'QS-3'],
        unknown: [],
        sheet: '2x4',
        columns: 2,
        rows: 4,
        begin: 7,
        href: null,
    };

    it('begins at the first free label and goes on to the next sheet', () => {
        const html = drawn(<TagSheetPicture sheet={sheet} />);
        expect(html).toContain('3 tags from label 7 on: QS-1, QS-2');
        expect(html).toContain('2 sheets');
        expect(html).not.toContain('>QS-3<');
    });

    it('is one sheet when all of them fit', () => {
        const html = drawn(<TagSheetPicture sheet={{ ...sheet, begin: 1 }} />);
        expect(html).toContain('one sheet');
        expect(html).toContain('>QS-3<');
    });
});

describe('what stands behind the menu', () => {
    it('has an address and a name for each page, none of them twice', () => {
        const addresses = HOUSE_PAGES.map((page) => page.href);
        expect(new Set(addresses).size).toBe(addresses.length);
        for (const page of HOUSE_PAGES) {
            expect(page.label.length).toBeGreaterThan(5);
        }
    });
});

describe('the trace of a long write', () => {
    const course: CourseProps = {
        size: 32e9,
        points: Array.from({ length: 512 }, (_, i) => [(i + 1) * 62.5e6, i < 128 ? 60 : 8] as [number, number]),
        floor: 7.9,
        floorFrom: 20e9,
        floorTo: 20.1e9,
        plateaus: [
            [0, 8e9, 60],
            [8e9, 32e9, 8],
        ],
        cliffs: [8e9],
        classes: [
            ['V30', 30],
            ['V60', 60],
        ],
        markFloor: 10,
        mark: 'U1',
        caption: '',
        summary: 'Never under 7.9 MB/s over 4 s.',
        heat: [],
        noted: [],
    };

    it('marks the cliff, the class floor and the lowest window, and says all of it in words', () => {
        const html = drawn(<CourseTrace course={course} />);
        expect(html).toContain('falls at 8 GB');
        expect(html).toContain('U1 floor');
        expect(html).toContain('>V30<');
        expect(html).toContain('lowest 7.9');
        expect(html).toContain('aria-label="Never under 7.9 MB/s over 4 s."');
        expect(html).not.toContain('NaN');
    });

    it('leaves out what is not known', () => {
        const html = drawn(
            <CourseTrace course={{ ...course, floor: null, markFloor: null, mark: null, cliffs: [] }} />,
        );
        expect(html).not.toContain('floor<');
        expect(html).not.toContain('falls at');
        expect(html).not.toContain('lowest');
    });
});

describe('ways to measure', () => {
    it('each say what they are for', () => {
        expect(PRESETS.map((preset) => preset.key)).toEqual(['house', 'quick', 'sustained', 'files']);
        for (const preset of PRESETS) {
            expect(preset.detail.length).toBeGreaterThan(20);
        }
    });
});
