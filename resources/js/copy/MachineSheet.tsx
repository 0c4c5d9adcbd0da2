import { useForm } from '@inertiajs/react';
import styled from 'styled-components';
import { Button } from '../parts/Button';
import { Options } from '../parts/choices';
import { SelectField, TextField } from '../parts/fields';
import { Sheet } from '../parts/Sheet';
import type { ChainChoicesProps, CopySlotProps } from '../types/generated/props';

const Row = styled.form`
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 10px 20px;
    padding-bottom: 6px;
    align-items: start;
    @media (max-width: 560px) {
        grid-template-columns: minmax(0, 1fr);
    }
`;

/** This program copies a real folder, flushes each file, and reads the copy back. */
export function MachineSheet({
    tag,
    slots,
    folders,
    chain,
}: {
    tag: string;
    slots: CopySlotProps[];
    folders: string[];
    chain: ChainChoicesProps;
}) {
    const usual = slots.find((slot) => slot.refusal === null);
    const form = useForm({
        slot: usual === undefined ? '' : String(usual.id),
        source: '',
        into: '',
        verify: 'yes',
        drive: '',
    });
    type Field = keyof typeof form.data;
    const field = (name: Field) => ({
        name,
        value: form.data[name],
        error: form.errors[name],
        onChange: (value: string) => {
            form.setData(name, value);
        },
    });
    return (
        <Sheet
            title="By this program"
            caption="a real folder, each file flushed before the next; nothing is overwritten"
        >
            <Row
                noValidate
                onSubmit={(event) => {
                    event.preventDefault();
                    form.transform((data) => ({ ...data, verify: data.verify === 'yes' }));
                    form.post(`/cards/${tag}/copies`, { preserveScroll: true });
                }}
            >
                <SelectField
                    {...field('slot')}
                    label="Slot"
                    choices={slots.map((slot) => ({
                        key: String(slot.id),
                        label: slot.name,
                        detail: slot.refusal ?? slot.path,
                        disabled: slot.refusal !== null,
                    }))}
                />
                <TextField {...field('source')} label="Folder on the card" placeholder="all of it" figures />
                <TextField
                    {...field('into')}
                    label="Copy into"
                    figures
                    placeholder="/media/drive"
                    hint={`below ${folders.join(', ')}`}
                />
                <Options
                    label="Finished when"
                    value={form.data.verify}
                    onChange={(value) => {
                        form.setData('verify', value);
                    }}
                    options={[
                        { key: 'yes', label: 'copied and read back' },
                        { key: 'no', label: 'copied' },
                    ]}
                />
                <SelectField {...field('drive')} label="Drive" none="not in the kit" choices={chain.drives} />
                <div style={{ alignSelf: 'end' }}>
                    <Button type="submit" quiet isDisabled={form.processing || usual === undefined}>
                        Copy and time it
                    </Button>
                </div>
            </Row>
        </Sheet>
    );
}
