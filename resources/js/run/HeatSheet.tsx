import { useForm } from '@inertiajs/react';
import styled from 'styled-components';
import { Button } from '../parts/Button';
import { TextField } from '../parts/fields';
import { Sheet } from '../parts/Sheet';
import type { RunSheetProps } from '../types/generated/props';

const Ask = styled.form`
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) auto;
    gap: 12px 22px;
    align-items: end;
    padding: 4px 0 8px;
    @media (max-width: 560px) {
        grid-template-columns: minmax(0, 1fr);
    }
`;

/** How warm the card was, read off a thermometer. */
export function HeatSheet({ run }: { run: RunSheetProps }) {
    const form = useForm({ at: '', temperature: '' });
    return (
        <Sheet title="How warm was it?" caption={`as somebody read it off; ${run.heatLimits}`}>
            {run.heat.length === 0 ? null : (
                <p className="figure" style={{ fontSize: 12.5 }}>
                    {run.heat
                        .map((one) => `${one.temperature} ${one.at}${one.by === null ? '' : ` (${one.by})`}`)
                        .join(' · ')}
                </p>
            )}
            <Ask
                noValidate
                onSubmit={(event) => {
                    event.preventDefault();
                    form.post(`/runs/${run.id}/heat`, {
                        preserveScroll: true,
                        onSuccess: () => {
                            form.reset();
                        },
                    });
                }}
            >
                <TextField
                    name="temperature"
                    label="Temperature"
                    figures
                    value={form.data.temperature}
                    onChange={(value) => {
                        form.setData('temperature', value);
                    }}
                    error={form.errors.temperature}
                    placeholder="52 °C"
                />
                <TextField
                    name="at"
                    label="After how much"
                    figures
                    value={form.data.at}
                    onChange={(value) => {
                        form.setData('at', value);
                    }}
                    error={form.errors.at}
                    placeholder="30 GB"
                />
                <Button type="submit" quiet isDisabled={form.processing}>
                    Save the temperature
                </Button>
            </Ask>
        </Sheet>
    );
}
