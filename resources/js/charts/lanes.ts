/** What runbooks have in common: their measures in pixels, and round times for the axis. */
export const ROW = 29;
export const TOP = 34;
export const LEFT = 92;
export const RIGHT = 14;

/** A letter of a bar's own words, about. Pixels. */
export const LETTER = 6.4;

/** Steps of a clock that people read without reckoning. Seconds. */
const STEPS = [30, 60, 120, 300, 600, 900, 1800, 3600, 7200, 14_400, 28_800, 86_400];

/**
 * The shortest step whose marks find room.
 *
 * @param room that a mark takes, in pixels
 * @param least seconds that marks are to be apart
 */
export function stepOf(x: (seconds: number) => number, room: number, least = 0): number {
    return STEPS.find((one) => one >= least && x(one) - x(0) > room) ?? 86_400;
}
