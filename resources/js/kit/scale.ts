const LEAST = 10;
const MOST = 8000;

/** How far a rate in MB/s reaches on the scale of the kit: equal steps are equal multiples, from 10 MB/s to 8 GB/s. */
export function share(rate: number): number {
    return Math.min(1, Math.max(0.02, Math.log(rate / LEAST) / Math.log(MOST / LEAST)));
}
