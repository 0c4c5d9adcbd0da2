import { grouped, size } from '../format';
import { scaleLinear, type ScaleLinear } from 'd3-scale';

/** A scale that ends on a round figure at or above everything that must be seen. */
export function roundScale(most: number, from: number, to: number): ScaleLinear<number, number> {
    return scaleLinear()
        .domain([0, Math.max(most, 1)])
        .range([from, to])
        .nice(5);
}

/** Where the wall stands: on the axis, or off its end when it is so far away that the rest would be squeezed to nothing. */
export function wallIsNear(wall: number, others: readonly number[]): boolean {
    return wall <= 2.2 * Math.max(...others, 1);
}

/** Whether a label of about this many characters fits to the right of x. */
export function fitsRight(x: number, text: string, end: number): boolean {
    return x + text.length * 6.4 + 6 <= end;
}

/** So much of a text as has room, about; what is cut off is marked. */
export function clipped(text: string, room: number, letter: number): string {
    const most = Math.floor(room / letter);
    return text.length <= most ? text : `${text.slice(0, Math.max(0, most - 1)).trimEnd()}…`;
}

/** About how wide a figure under an axis is, a letter, and what is left free beside it. Pixels. */
const FIGURE = 6.6;
const GAP = 10;

/** Round figures along a scale, `most` at the most, and no more than stand apart. */
export function roomyTicks(
    x: ScaleLinear<number, number>,
    most: number,
    print: (tick: number) => string = grouped,
): number[] {
    const [from, to] = [x.range()[0] ?? 0, x.range()[1] ?? 0];
    for (let count = most; count > 1; count -= 1) {
        const ticks = x.ticks(count);
        const widest = Math.max(...ticks.map((tick) => print(tick).length)) * FIGURE + GAP;
        if (ticks.length <= most + 1 && (ticks.length - 1) * widest <= Math.abs(to - from)) {
            return ticks;
        }
    }
    return x.domain();
}

/** Which way a figure is set so that it stays within a picture of this width. */
export function anchorWithin(x: number, text: string, width: number): 'start' | 'middle' | 'end' {
    const half = (text.length * FIGURE) / 2;
    return x - half < 0 ? 'start' : x + half > width ? 'end' : 'middle';
}

/** Of figures from left to right those that touch none before them; the last one stays, and the one before it goes. */
export function apart<T extends { x: number; label: string; anchor: 'start' | 'middle' | 'end' }>(
    figures: readonly T[],
): T[] {
    const left = (one: T) =>
        one.x - one.label.length * FIGURE * (one.anchor === 'start' ? 0 : one.anchor === 'end' ? 1 : 0.5);
    const kept: T[] = [];
    figures.forEach((one, i) => {
        const touches = () => {
            const before = kept.at(-1);
            return before !== undefined && left(before) + before.label.length * FIGURE + GAP / 2 > left(one);
        };
        if (i === figures.length - 1) {
            while (touches()) {
                kept.pop();
            }
        }
        if (!touches()) {
            kept.push(one);
        }
    });
    return kept;
}

const UNITS = [
    [1e12, 'TB'],
    [1e9, 'GB'],
    [1e6, 'MB'],
    [1e3, 'kB'],
    [1, 'B'],
] as const;

/** Ruler steps for a medium: round figures of its decimal unit, as many as find room on so many pixels, eight at the most. */
export function rulerTicks(size: number, width: number): { at: number; label: string }[] {
    const [unit, name] = UNITS.find(([u]) => size >= u) ?? [1, 'B'];
    const x = scaleLinear()
        .domain([0, size / unit])
        .range([0, width]);
    const label = (value: number) => (value === 0 ? '0' : `${value} ${name}`);
    return roomyTicks(x, 8, label).map((value) => ({ at: value * unit, label: label(value) }));
}

/** Digits of a place that fit under a tick. */
const MOST_DIGITS = 4;

/** The same for a stretch that begins anywhere: places where they can be told apart, else how far it is from its beginning. */
export function stretchTicks(from: number, to: number, width: number): { at: number; label: string }[] {
    if (from === 0) {
        return rulerTicks(to, width);
    }
    const steps = rulerTicks(to - from, width);
    const step = steps[1]?.at ?? to - from;
    const digits = Math.ceil(Math.log10(to / step));
    if (digits > MOST_DIGITS) {
        return steps.map((tick) => ({ at: from + tick.at, label: tick.at === 0 ? size(from, 3) : `+ ${tick.label}` }));
    }
    const ticks = [];
    for (let i = Math.ceil(from / step); i * step <= to; i += 1) {
        ticks.push({ at: i * step, label: size(i * step, MOST_DIGITS) });
    }
    return ticks;
}
