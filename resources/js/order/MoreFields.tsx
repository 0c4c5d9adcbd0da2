import { Button, Disclosure, DisclosurePanel } from 'react-aria-components';
import styled from 'styled-components';
import { CountField } from '../parts/countAndDay';
import { SelectField, TextField } from '../parts/fields';
import type { More } from './presets';
import type { Order } from './useOrder';

const Look = styled(Disclosure)`
    grid-column: 1 / -1;
    > button {
        border: 0;
        background: transparent;
        padding: 2px 0;
        color: var(--pencil);
        font-size: 12.5px;
        cursor: pointer;
        text-decoration: underline;
        text-underline-offset: 3px;
    }
    .grid {
        display: grid;
        grid-template-columns: repeat(3, minmax(0, 1fr));
        gap: 10px 22px;
        padding-top: 8px;
    }
    @media (max-width: 560px) {
        .grid {
            grid-template-columns: minmax(0, 1fr);
        }
    }
`;

/** What is seldom set: it stands folded away, and open once something of it is wrong. */
export function MoreFields({ state, kind }: { state: Order; kind: 'speed' | 'sustained' | 'files' | 'proof' }) {
    const text = (field: keyof More) => ({
        name: field,
        value: state.more[field],
        onChange: (value: string) => {
            state.setMore(field, value);
        },
        error: state.errors[field],
        figures: true,
    });
    const wrong = ['from', 'block', 'order', 'warm_ups', 'pause', 'files', 'beside'].some(
        (field) => field in state.errors,
    );
    return (
        <Look {...(wrong ? { isExpanded: true } : {})}>
            <Button slot="trigger">
                {kind === 'speed' ? 'Order, block, region, warm-up, pause, another card at once' : 'More'}
            </Button>
            <DisclosurePanel>
                <div className="grid">
                    {kind === 'speed' ? (
                        <>
                            <SelectField
                                name="order"
                                label="Order"
                                value={state.more.order}
                                onChange={(value) => {
                                    state.setMore('order', value);
                                }}
                                error={state.errors['order']}
                                choices={[
                                    { key: 'alternating', label: 'write, read, write, read' },
                                    { key: 'writes-first', label: 'all writes, then all reads' },
                                ]}
                            />
                            <TextField {...text('block')} label="Block" placeholder="automatic" />
                            <TextField {...text('from')} label="Region begins at" placeholder="the start" />
                            <CountField {...text('warm_ups')} label="Warm-ups, not counted" placeholder="0" />
                            <TextField {...text('pause')} label="Pause to cool after each" placeholder="none" />
                        </>
                    ) : null}
                    {kind === 'files' ? (
                        <TextField {...text('files')} label="Files of 128 KiB" placeholder="200" />
                    ) : null}
                    <TextField
                        {...text('beside')}
                        figures={false}
                        label="Another card at the same time"
                        placeholder="none"
                        hint="such a speed is listed apart"
                    />
                </div>
            </DisclosurePanel>
        </Look>
    );
}
