export type Preset = 'house' | 'quick' | 'sustained' | 'files';

/** Ways to measure, each with what it is for. */
export const PRESETS: {
    key: Preset;
    label: string;
    detail: string;
    kind: 'speed' | 'sustained' | 'files';
    size: string;
    runs: string;
}[] = [
    {
        key: 'house',
        label: 'house standard',
        detail: 'five runs of 1 GB: enough for an interval',
        kind: 'speed',
        size: '1 GB',
        runs: '5',
    },
    {
        key: 'quick',
        label: 'quick look',
        detail: 'three runs of 1 GB: is it about right?',
        kind: 'speed',
        size: '1 GB',
        runs: '3',
    },
    {
        key: 'sustained',
        label: 'sustained',
        detail: 'one long write, to a size or to full: where does it fall, how low? A proxy for the class, not its compliance test',
        kind: 'sustained',
        size: '',
        runs: '1',
    },
    {
        key: 'files',
        label: 'small files',
        detail: 'many small files against one large one of the same bytes: what does a file cost?',
        kind: 'files',
        size: '',
        runs: '3',
    },
];

/** What can be set beyond slot, size and runs, with what it is when nothing is. */
export const PLAIN = { from: '', block: '', order: 'alternating', warm_ups: '', pause: '', files: '', beside: '' };

export type More = typeof PLAIN;
