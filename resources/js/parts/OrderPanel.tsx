import { router } from '@inertiajs/react';
import { useState } from 'react';
import styled from 'styled-components';
import type { OrderProps, SlotProps } from '../types/generated/props';
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
    @media (max-width: 560px) {
        grid-template-columns: minmax(0, 1fr);
    }
`;

export interface Order {
    slot: SlotProps | undefined;
    sizeText: string;
    runsText: string;
    standIn: string;
    errors: Record<string, string>;
    busy: boolean;
    setSlot: (id: string) => void;
    setSize: (text: string) => void;
    setRuns: (text: string) => void;
    setStandIn: (key: string) => void;
    send: () => void;
}

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
    const [errors, setErrors] = useState<Record<string, string>>({});
    const [busy, setBusy] = useState(false);
    const slot = possible.find((entry) => String(entry.id) === chosen) ?? usual;

    const send = () => {
        router.post(
            `/cards/${tag}/runs`,
            {
                kind,
                slot: slot?.id ?? null,
                size: sizeText,
                runs: kind === 'speed' ? runsText : null,
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
    return { slot, sizeText, runsText, standIn, errors, busy, setSlot, setSize, setRuns, setStandIn, send };
}

export function OrderPanel({ kind, order, state }: { kind: 'speed' | 'proof'; order: OrderProps; state: Order }) {
    return (
        <Sheet title="Where and how">
            <Row>
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
                    label={kind === 'speed' ? 'Write and read, from the start' : 'Prove how much'}
                    value={state.sizeText}
                    onChange={state.setSize}
                    error={state.errors['size']}
                    placeholder={kind === 'speed' ? '1 GB' : 'all there is'}
                    figures
                />
                {kind === 'speed' ? (
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
