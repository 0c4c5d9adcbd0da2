import { size } from '../format';
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

const STEPS = [1, 2, 4, 5, 8, 10] as const;

/** Ruler steps for a medium: round figures of its decimal unit, at most about eight of them. */
export function rulerTicks(size: number): { at: number; label: string }[] {
    const units: [number, string][] = [
        [1e12, 'TB'],
        [1e9, 'GB'],
        [1e6, 'MB'],
        [1e3, 'kB'],
        [1, 'B'],
    ];
    const [unit, name] = units.find(([u]) => size >= u) ?? [1, 'B'];
    const whole = size / unit;
    let step = 1;
    search: for (let decade = 0.1; decade < 1e7; decade *= 10) {
        for (const s of STEPS) {
            step = s * decade;
            if (whole / step <= 8) {
                break search;
            }
        }
    }
    const ticks = [];
    for (let i = 0; i * step <= whole * 1.0001; i += 1) {
        const value = Number((i * step).toFixed(6));
        ticks.push({ at: value * unit, label: i === 0 ? '0' : `${value} ${name}` });
    }
    return ticks;
}

/** Digits of a place that fit under a tick. */
const MOST_DIGITS = 4;

/** The same for a stretch that begins anywhere: places where they can be told apart, else how far it is from its beginning. */
export function stretchTicks(from: number, to: number): { at: number; label: string }[] {
    if (from === 0) {
        return rulerTicks(to);
    }
    const steps = rulerTicks(to - from);
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
