import { useForm } from '@inertiajs/react';
import styled from 'styled-components';
import { Button } from '../parts/Button';
import { SelectField, TextField } from '../parts/fields';
import { formField } from '../parts/formField';
import { NameField } from '../parts/NameField';
import { VerdictMark } from '../parts/VerdictMark';
import type { MarginProps, OverruleProps } from '../types/generated/props';

const KINDS = ['Sound', 'Slow', 'Shaky', 'Sham', 'Unproven'] as const;

const Standing = styled.div`
    border: 1.5px solid var(--ink);
    padding: 9px 11px;
    font-size: 13px;
    small {
        display: block;
        color: var(--pencil);
        font-size: 12px;
    }
`;

const Ask = styled.details`
    font-size: 12.5px;
    summary {
        color: var(--pencil);
        cursor: pointer;
        text-decoration: underline;
        text-underline-offset: 2px;
    }
    form {
        display: grid;
        gap: 10px;
        padding: 8px 0;
    }
`;

/** What a person says of the card instead. What was derived stays above it. */
export function Overruled({ overrule }: { overrule: OverruleProps }) {
    return (
        <Standing role="note" aria-label="Overruled">
            Overruled: <VerdictMark kind={overrule.verdict} />
            <p>{overrule.reason}</p>
            <small>
                {overrule.by}, {overrule.on}
            </small>
        </Standing>
    );
}

/** A verdict is never typed; somebody who knows better says so in writing, and it can be taken back. */
export function OverruleAsk({ margin }: { margin: MarginProps }) {
    const form = useForm({ verdict: '', reason: '', by: margin.person });
    const field = formField(form, 'overrule-');
    const stands = margin.overrule !== null;
    return (
        <Ask>
            <summary>{stands ? 'Withdraw the override' : 'Overrule this verdict'}</summary>
            <form
                noValidate
                onSubmit={(event) => {
                    event.preventDefault();
                    form.post(`/cards/${margin.tag}/overrule${stands ? '/withdraw' : ''}`, { preserveScroll: true });
                }}
            >
                {stands ? null : (
                    <SelectField
                        name="overrule-verdict"
                        label="Your verdict"
                        value={form.data.verdict}
                        onChange={(value) => {
                            form.setData('verdict', value);
                        }}
                        choices={KINDS.map((kind) => ({ key: kind, label: kind }))}
                        error={form.errors.verdict}
                    />
                )}
                <TextField
                    {...field('reason')}
                    label={stands ? 'Reason for withdrawing it' : 'Reason for overruling'}
                />
                {stands ? null : <NameField {...field('by')} label="Overruled by" />}
                <Button type="submit" quiet isDisabled={form.processing}>
                    {stands ? 'Use the derived verdict' : 'Overrule'}
                </Button>
            </form>
        </Ask>
    );
}
