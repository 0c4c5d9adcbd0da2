/**
 * Printing for the eye, by the same rules as the core's Bytes and Rate; nothing here decides anything. What both print is held
 * together in tests/cases/figures.json.
 */

const DECIMAL = ['B', 'kB', 'MB', 'GB', 'TB', 'PB', 'EB'] as const;
const BINARY = ['B', 'KiB', 'MiB', 'GiB', 'TiB', 'PiB', 'EiB'] as const;

/** Between the thousands of a figure: a narrow space that no line breaks at. */
const THOUSANDS = '\u{202F}';

function inUnits(bytes: number, base: number, names: readonly string[], digits: number): string {
    let unit = 1;
    let power = 0;
    // 999.995 would print as 1000.00, so the step to the next name comes where rounding does.
    while (power < names.length - 1 && bytes >= base * unit - Math.floor(unit / 200)) {
        unit *= base;
        power += 1;
    }
    const parts = 10 ** digits;
    return `${Math.round((bytes * parts) / unit) / parts} ${names[power] ?? 'B'}`;
}

/** `31.91 GB` of bytes. */
export function size(bytes: number, digits = 2): string {
    return inUnits(bytes, 1000, DECIMAL, digits);
}

/** `29.72 GiB` of bytes, as many computers print it. */
export function binarySize(bytes: number): string {
    return inUnits(bytes, 1024, BINARY, 2);
}

/** `118.4` of MB/s: as many digits as a stopwatch or a host can know. */
export function megabytes(rate: number): string {
    const parts = digits(rate);
    return grouped(Math.round(rate * parts) / parts);
}

/** The same, never rounded up: what was measured, where it is held against a promise. */
export function reached(rate: number): string {
    const parts = digits(rate);
    const down = Math.floor(rate * parts + 1e-6) / parts;
    return megabytes(down > 0 ? down : rate);
}

function digits(rate: number): number {
    return rate >= 1000 ? 1 : rate >= 100 ? 10 : 100;
}

export function percent(share: number, digits = 0): string {
    return `${(100 * share).toFixed(digits)} %`;
}

/** `7 977 041 920` */
export function grouped(count: number): string {
    return count >= 1000 ? count.toLocaleString('en').replaceAll(',', THOUSANDS) : String(count);
}
