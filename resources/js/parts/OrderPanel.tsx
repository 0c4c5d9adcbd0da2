import { router } from '@inertiajs/react';
import { useState } from 'react';
import styled from 'styled-components';
import type { OrderProps, SlotProps } from '../types/generated/props';
import { Options } from './choices';
import { SelectField, TextField } from './fields';
import { Sheet } from './Sheet';

const Row = styled.div`
    display: grid;
    grid-template-columns: minmax(0, 1.3fr) minmax(0, 1fr) minmax(0, 0.6fr);
    gap: 10px 22px;
    padding-bottom: 4px;
    > .whole {
        grid-column: 1 / -1;
    }
    small {
        color: var(--pencil);
        font-size: 12.5px;
    }
    @media (max-width: 560px) {
        grid-template-columns: minmax(0, 1fr);
    }
`;

export interface Order {
    slot: SlotProps | undefined;
    sizeText: string;
    runsText: string;
    standIn: string;
    preset: Preset;
    errors: Record<string, string>;
    busy: boolean;
    setSlot: (id: string) => void;
    setSize: (text: string) => void;
    setRuns: (text: string) => void;
    setStandIn: (key: string) => void;
    setPreset: (preset: Preset) => void;
    send: () => void;
}

export type Preset = 'house' | 'quick' | 'sustained';

/** Ways to measure, each with what it is for. */
export const PRESETS: { key: Preset; label: string; detail: string; size: string; runs: string }[] = [
    {
        key: 'house',
        label: 'house standard',
        detail: 'five runs of 1 GB: enough for an interval',
        size: '1 GB',
        runs: '5',
    },
    { key: 'quick', label: 'quick look', detail: 'three runs of 1 GB: is it about right?', size: '1 GB', runs: '3' },
    {
        key: 'sustained',
        label: 'sustained',
        detail: 'one long write, to a size or to full: where does it fall, how low?',
        size: '',
        runs: '1',
    },
];

/** Where a run goes and how, with a sensible choice already made. */
export function useOrder(tag: string, kind: 'speed' | 'proof', order: OrderProps): Order {
    const possible = order.slots.filter((slot) => slot.refusal === null);
    // Where it was last; else a card that is made up lives in the stand-in trays; any other is first offered a real bay.
    const usual =
        possible.find((slot) => slot.id === order.last) ??
        possible.find((slot) => slot.standIn === (order.shelf.length === 0)) ??
        possible[0];
    const [chosen, setSlot] = useState<string | null>(null);
    const [sizeText, setSize] = useState(kind === 'speed' ? '1 GB' : '');
    const [runsText, setRuns] = useState('5');
    const [standIn, setStandIn] = useState('honest');
    const [preset, choose] = useState<Preset>('house');
    const setPreset = (next: Preset) => {
        const chosen = PRESETS.find((entry) => entry.key === next);
        choose(next);
        setSize(chosen?.size ?? '1 GB');
        setRuns(chosen?.runs ?? '5');
    };
    const [errors, setErrors] = useState<Record<string, string>>({});
    const [busy, setBusy] = useState(false);
    const slot = possible.find((entry) => String(entry.id) === chosen) ?? usual;

    const send = () => {
        router.post(
            `/cards/${tag}/runs`,
            {
                kind: kind === 'speed' && preset === 'sustained' ? 'sustained' : kind,
                slot: slot?.id ?? null,
                size: sizeText,
                runs: kind === 'speed' && preset !== 'sustained' ? runsText : null,
                stand_in: slot?.standIn === true && order.shelf.length > 0 ? standIn : null,
            },
            {
                preserveScroll: true,
                onStart: () => {
                    setBusy(true);
                },
                onFinish: () => {
                    setBusy(false);
                },
                onError: setErrors,
                onSuccess: () => {
                    setErrors({});
                },
            },
        );
    };
    return {
        slot,
        sizeText,
        runsText,
        standIn,
        preset,
        errors,
        busy,
        setSlot,
        setSize,
        setRuns,
        setStandIn,
        setPreset,
        send,
    };
}

export function OrderPanel({ kind, order, state }: { kind: 'speed' | 'proof'; order: OrderProps; state: Order }) {
    return (
        <Sheet title="Where and how">
            <Row>
                {kind === 'speed' ? (
                    <div className="whole">
                        <Options
                            label="How"
                            value={state.preset}
                            onChange={(key) => {
                                state.setPreset(key as Preset);
                            }}
                            options={PRESETS.map(({ key, label }) => ({ key, label }))}
                        />
                        <small>{PRESETS.find((entry) => entry.key === state.preset)?.detail}</small>
                    </div>
                ) : null}
                <SelectField
                    name="slot"
                    label="Slot"
                    error={state.errors['slot']}
                    value={state.slot === undefined ? '' : String(state.slot.id)}
                    onChange={state.setSlot}
                    choices={order.slots.map((slot) => ({
                        key: String(slot.id),
                        label: `${slot.name}, ${slot.standIn ? 'stand-in' : 'folder'}`,
                        detail: slot.refusal ?? `${slot.chain}; ends at ${slot.pinch}`,
                        disabled: slot.refusal !== null,
                    }))}
                />
                <TextField
                    name="size"
                    label={sizeLabel(kind, state.preset)}
                    value={state.sizeText}
                    onChange={state.setSize}
                    error={state.errors['size']}
                    placeholder={kind === 'speed' && state.preset !== 'sustained' ? '1 GB' : 'all there is'}
                    figures
                />
                {kind === 'speed' && state.preset !== 'sustained' ? (
                    <TextField
                        name="runs"
                        label="Runs"
                        value={state.runsText}
                        onChange={state.setRuns}
                        error={state.errors['runs']}
                        placeholder="5"
                        figures
                    />
                ) : null}
                {state.slot?.standIn === true && order.shelf.length > 0 ? (
                    <div className="whole">
                        <SelectField
                            name="stand_in"
                            label="The made-up card in it"
                            value={state.standIn}
                            onChange={state.setStandIn}
                            choices={order.shelf.map((entry) => ({ key: entry.key, label: entry.words }))}
                            error={state.errors['stand_in']}
                        />
                    </div>
                ) : null}
            </Row>
        </Sheet>
    );
}

function sizeLabel(kind: 'speed' | 'proof', preset: Preset): string {
    if (kind === 'proof') {
        return 'Prove how much';
    }
    return preset === 'sustained' ? 'Write how much, from the start' : 'Write and read, from the start';
}
