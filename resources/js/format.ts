/** Printing for the eye only: nothing here decides anything. */

const DECIMAL = ['B', 'kB', 'MB', 'GB', 'TB', 'PB'] as const;

/** `31.91 GB` of bytes. */
export function size(bytes: number, digits = 2): string {
    let value = bytes;
    let power = 0;
    while (value >= 999.995 && power < DECIMAL.length - 1) {
        value /= 1000;
        power += 1;
    }
    return `${Number(value.toFixed(digits))} ${DECIMAL[power] ?? 'B'}`;
}

/** `29.72 GiB` of bytes, as many computers print it. */
export function binarySize(bytes: number): string {
    return bytes >= 2 ** 30 ? `${(bytes / 2 ** 30).toFixed(2)} GiB` : `${(bytes / 2 ** 20).toFixed(2)} MiB`;
}

/** `118.4` of MB/s: as many digits as a reading is worth. */
export function megabytes(rate: number): string {
    return rate >= 1000
        ? Math.round(rate).toLocaleString('en').replaceAll(',', ' ')
        : rate.toFixed(rate >= 99.95 ? 0 : 1);
}

/** `95` of MB/s: a figure that is printed somewhere, without digits it does not have. */
export function printed(rate: number): string {
    return rate >= 1000 ? megabytes(rate) : String(Number(rate.toFixed(2)));
}

export function percent(share: number, digits = 0): string {
    return `${(100 * share).toFixed(digits)} %`;
}

/** `7 977 041 920` */
export function grouped(count: number): string {
    return count.toLocaleString('en').replaceAll(',', ' ');
}
