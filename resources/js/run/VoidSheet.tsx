import { useForm } from '@inertiajs/react';
import styled from 'styled-components';
import { Button } from '../parts/Button';
import { TextField } from '../parts/fields';
import { formField } from '../parts/formField';
import { NameField } from '../parts/NameField';
import { Sheet } from '../parts/Sheet';
import type { RunSheetProps } from '../types/generated/props';

const Ask = styled.form`
    display: grid;
    grid-template-columns: minmax(0, 2fr) minmax(0, 1fr) auto;
    gap: 12px 22px;
    align-items: end;
    padding: 2px 0 8px;
    @media (max-width: 560px) {
        grid-template-columns: minmax(0, 1fr);
    }
`;

/** A run is never deleted: it is voided with a reason, and can be made to count again with another. */
export function VoidSheet({ run, person }: { run: RunSheetProps; person: string }) {
    const form = useForm({ reason: '', by: person });
    const field = formField(form);
    const isVoid = run.void !== null;
    return (
        <Sheet
            title={isVoid ? 'Voided' : 'Count or void'}
            caption={
                run.void === null
                    ? 'a run stays in the book; voided, it is out of every verdict and comparison'
                    : `${run.void.by}, ${run.void.on}: ${run.void.reason}`
            }
        >
            {run.voids.map((past, i) => (
                <p key={i} style={{ fontSize: 12.5, color: 'var(--pencil)' }}>
                    {`Voided by ${past.by} on ${past.on} (${past.reason}); counts again: ${past.withdrawn ?? ''}`}
                </p>
            ))}
            <Ask
                noValidate
                onSubmit={(event) => {
                    event.preventDefault();
                    form.post(`/runs/${run.id}/${isVoid ? 'count-again' : 'void'}`, {
                        preserveScroll: true,
                        onSuccess: () => {
                            form.setData('reason', '');
                        },
                    });
                }}
            >
                <TextField
                    {...field('reason')}
                    label={isVoid ? 'Reason for counting it again' : 'Reason'}
                    placeholder={isVoid ? '' : 'wrong card in the slot'}
                />
                {isVoid ? <span /> : <NameField {...field('by')} label="Your name" />}
                <Button type="submit" quiet isDisabled={form.processing || run.going}>
                    {isVoid ? 'Count it again' : 'Void this run'}
                </Button>
            </Ask>
        </Sheet>
    );
}
