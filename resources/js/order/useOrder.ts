import { useForm } from '@inertiajs/react';
import { useState } from 'react';
import { useAsk } from '../parts/useAsk';
import type { OrderProps, SlotProps } from '../types/generated/props';
import { PLAIN, PRESETS, type More, type Preset } from './presets';

export type ProvingWay = 'proof' | 'screen';

/** What erasing a raw card takes besides: its tag typed, a name, and why a card of another size is meant after all. */
export interface Erasing {
    tag: string;
    by: string;
    why: string;
}

export interface Order {
    way: ProvingWay;
    points: string;
    wholeMap: boolean;
    /** Whether the card was out since the proof before; asked where that one ended in errors. */
    reinserted: boolean;
    erasing: Erasing;
    /** Why footage that is not secured may be lost; asked where there is any, and the run writes into its folder. */
    lost: string;
    asksLost: boolean;
    setLost: (why: string) => void;
    setWay: (way: ProvingWay) => void;
    setPoints: (text: string) => void;
    setWholeMap: (on: boolean) => void;
    setReinserted: (on: boolean) => void;
    setErasing: (field: keyof Erasing, text: string) => void;
    slot: SlotProps | undefined;
    sizeText: string;
    runsText: string;
    simulated: string;
    preset: Preset;
    more: More;
    /** How long it would take, in words; nothing while that is not known. */
    expected: string | null;
    errors: Record<string, string>;
    busy: boolean;
    setSlot: (id: string) => void;
    setSize: (text: string) => void;
    setRuns: (text: string) => void;
    setSimulated: (key: string) => void;
    setPreset: (preset: Preset) => void;
    setMore: (field: keyof More, text: string) => void;
    send: () => void;
}

/** Where a run goes and how, with a sensible choice already made. */
export function useOrder(
    tag: string,
    kind: 'speed' | 'proof',
    order: OrderProps,
    usualWay: ProvingWay = 'proof',
    by = '',
): Order {
    const possible = order.slots.filter((slot) => slot.refusal === null);
    // A folder on this computer is no card: nobody runs anything there by mistake.
    const cards = possible.filter((slot) => slot.plain === null);
    // Where it was last; else a card that is made up lives in the stand-in trays; any other is first offered a real bay.
    const usual =
        cards.find((slot) => slot.id === order.last) ??
        cards.find((slot) => slot.kind === (order.shelf.length === 0 ? 'stand-in' : 'folder')) ??
        cards.find((slot) => slot.kind === 'stand-in');
    const [chosen, setSlot] = useState<string | null>(null);
    const [sizeText, setSize] = useState(kind === 'speed' ? '1 GB' : '');
    const [runsText, setRuns] = useState('5');
    const [simulated, setSimulated] = useState('honest');
    const [preset, choose] = useState<Preset>('house');
    const [more, change] = useState<More>(PLAIN);
    const [way, setWay] = useState<ProvingWay>(usualWay);
    const [points, setPoints] = useState('256');
    const [wholeMap, setWholeMap] = useState(false);
    const [reinserted, setReinserted] = useState(false);
    const [erasing, erase] = useState<Erasing>({ tag: '', by, why: '' });
    const [lost, setLost] = useState('');
    const form = useForm({});
    const slot = possible.find((entry) => String(entry.id) === chosen) ?? usual;
    const entry = PRESETS.find((one) => one.key === preset);
    const what = kind === 'proof' ? way : (entry?.kind ?? 'speed');
    const asked = {
        kind: what,
        slot: slot?.id ?? null,
        size: what === 'files' ? '' : sizeText,
        runs: what === 'speed' || what === 'files' ? runsText : null,
        ...(what === 'speed'
            ? {
                  from: more.from,
                  block: more.block,
                  order: more.order,
                  warm_ups: more.warm_ups === '' ? null : more.warm_ups,
                  pause: more.pause,
              }
            : {}),
        ...(what === 'files' ? { files: more.files === '' ? null : more.files } : {}),
        ...(what === 'screen' ? { points: points === '' ? null : points } : {}),
        ...(what === 'proof' ? { whole_map: wholeMap } : {}),
        ...(kind === 'proof' ? { reinserted } : {}),
        beside: more.beside,
    };
    const isUsual =
        kind === 'proof'
            ? sizeText === '' && way === 'proof'
            : preset === 'house' && sizeText === '1 GB' && runsText === '5';
    const answer = useAsk(`/cards/${tag}/runs/forecast`, slot === undefined ? null : asked);

    return {
        way,
        points,
        wholeMap,
        reinserted,
        erasing,
        lost,
        asksLost: order.unsecured !== null && slot?.kind === 'folder',
        setLost,
        setWay,
        setPoints,
        setWholeMap,
        setReinserted,
        setErasing: (field, text) => {
            erase((before) => ({ ...before, [field]: text }));
        },
        slot,
        sizeText,
        runsText,
        simulated,
        preset,
        more,
        // Before the server has answered, its forecast for the usual order stands.
        expected: answer?.expected ?? (isUsual ? (slot?.expected ?? null) : null),
        errors: form.errors,
        busy: form.processing,
        setSlot,
        setSize,
        setRuns,
        setSimulated,
        setPreset: (next) => {
            const one = PRESETS.find((candidate) => candidate.key === next);
            choose(next);
            setSize(one?.size ?? '1 GB');
            setRuns(one?.runs ?? '5');
        },
        setMore: (field, text) => {
            change((before) => ({ ...before, [field]: text }));
        },
        send: () => {
            form.transform(() => ({
                ...asked,
                ...(slot?.lies ? { ...erasing, shown: slot.lies.token } : {}),
                ...(order.unsecured !== null && slot?.kind === 'folder' && lost !== '' ? { lost, by: erasing.by } : {}),
                stand_in: slot?.kind === 'stand-in' && order.shelf.length > 0 ? simulated : null,
            }));
            form.post(`/cards/${tag}/runs`, { preserveScroll: true });
        },
    };
}
