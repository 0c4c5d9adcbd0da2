import styled from 'styled-components';
import { Options } from '../parts/choices';
import { SelectField, TextField } from '../parts/fields';
import { NameField } from '../parts/NameField';
import { Sheet } from '../parts/Sheet';
import type { OrderProps } from '../types/generated/props';
import { EraseFields } from './EraseFields';
import { MoreFields } from './MoreFields';
import { PRESETS, type Preset } from './presets';
import type { Order } from './useOrder';

const Row = styled.div`
    display: grid;
    grid-template-columns: minmax(0, 1.3fr) minmax(0, 0.8fr) minmax(0, 0.9fr);
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

export function OrderPanel({ kind, order, state }: { kind: 'speed' | 'proof'; order: OrderProps; state: Order }) {
    const what = kind === 'proof' ? state.way : (PRESETS.find((one) => one.key === state.preset)?.kind ?? 'speed');
    return (
        <Sheet title="Test settings">
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
                        label: `${slot.name}, ${slot.plain === null ? KINDS[slot.kind] : 'a folder on this computer, not a card'}`,
                        detail: slot.refusal ?? `${slot.chain}; ends at ${slot.pinch}`,
                        disabled: slot.refusal !== null,
                    }))}
                />
                {what === 'files' ? null : (
                    <TextField
                        name="size"
                        label={LABELS[what]}
                        value={state.sizeText}
                        onChange={state.setSize}
                        error={state.errors['size']}
                        placeholder={what === 'speed' ? '1 GB' : 'all there is'}
                        figures
                    />
                )}
                {what === 'screen' ? (
                    <TextField
                        name="points"
                        label="Places"
                        value={state.points}
                        onChange={state.setPoints}
                        error={state.errors['points']}
                        placeholder="256"
                        figures
                    />
                ) : null}
                {what === 'proof' ? (
                    <SelectField
                        name="whole_map"
                        label="Stop early on a fake"
                        value={state.wholeMap ? 'no' : 'yes'}
                        onChange={(key) => {
                            state.setWholeMap(key === 'no');
                        }}
                        error={state.errors['whole_map']}
                        choices={[
                            { key: 'yes', label: 'yes', detail: 'a fake shows in the first hour' },
                            { key: 'no', label: 'no, map the whole card', detail: 'every block, fake or not' },
                        ]}
                    />
                ) : null}
                {order.asksReinserted && what === 'proof' ? (
                    <SelectField
                        name="reinserted"
                        label="Taken out since the last proof"
                        value={state.reinserted ? 'yes' : 'no'}
                        onChange={(key) => {
                            state.setReinserted(key === 'yes');
                        }}
                        error={state.errors['reinserted']}
                        choices={[
                            { key: 'no', label: 'no, it stayed in', detail: 'errors may be the same trouble still' },
                            { key: 'yes', label: 'yes, out and in again', detail: 'the same end twice is its end' },
                        ]}
                    />
                ) : null}
                {what === 'speed' || what === 'files' ? (
                    <TextField
                        name="runs"
                        label={what === 'files' ? 'Rounds' : 'Runs'}
                        value={state.runsText}
                        onChange={state.setRuns}
                        error={state.errors['runs']}
                        placeholder={what === 'files' ? '3' : '5'}
                        figures
                    />
                ) : null}
                {state.slot?.kind === 'stand-in' && order.shelf.length > 0 ? (
                    <div className="whole">
                        <SelectField
                            name="stand_in"
                            label="Simulated card"
                            value={state.simulated}
                            onChange={state.setSimulated}
                            choices={order.shelf.map((entry) => ({ key: entry.key, label: entry.words }))}
                            error={state.errors['stand_in']}
                        />
                    </div>
                ) : null}
                {state.slot?.plain ? (
                    <p className="whole" role="note">
                        <b>{state.slot.name}</b> is {state.slot.plain}
                    </p>
                ) : null}
                {state.asksLost ? (
                    <div className="whole">
                        <TextField
                            name="lost"
                            label={`${order.unsecured ?? ''} of footage is not secured. Bring it home first, or write why it may be lost`}
                            value={state.lost}
                            onChange={state.setLost}
                            error={state.errors['lost'] ?? state.errors['by']}
                            placeholder="not needed any more"
                        />
                        <NameField
                            name="lost-by"
                            label="Your name"
                            value={state.erasing.by}
                            onChange={(by) => {
                                state.setErasing('by', by);
                            }}
                        />
                    </div>
                ) : null}
                {state.slot?.lies ? <EraseFields state={state} lies={state.slot.lies} /> : null}
                {kind === 'speed' ? <MoreFields state={state} kind={what === 'screen' ? 'proof' : what} /> : null}
            </Row>
        </Sheet>
    );
}

const KINDS = { folder: 'folder', raw: 'raw device', 'stand-in': 'stand-in' } as const;

const LABELS = {
    proof: 'Amount to prove',
    screen: 'Test file size',
    sustained: 'Amount to write',
    speed: 'Amount per run',
    files: '',
} as const;
