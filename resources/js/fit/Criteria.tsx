import { router, usePage } from '@inertiajs/react';
import { useState } from 'react';
import styled from 'styled-components';
import { Button } from '../parts/Button';
import { Options } from '../parts/choices';
import { TextField } from '../parts/fields';
import { ServerForm } from '../parts/ServerForm';
import type { CriterionProps } from '../types/generated/props';

const Two = styled.div`
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 14px;
    margin: 10px 0;
`;

/** Which criterion decides, what each lets pass, and with how much to spare. The choice is the house’s. */
export function Criteria({
    criteria,
    decides,
    spare,
    usable,
}: {
    criteria: readonly CriterionProps[];
    decides: string;
    spare?: string;
    usable?: string;
}) {
    const errors = usePage().props.errors as Record<string, string | undefined>;
    const [typed, setTyped] = useState({ spare: spare ?? '', usable: usable ?? '' });
    const keep = (change: Record<string, string>) => {
        router.put(
            '/fit/rules',
            { criterion: decides, spare: spare ?? '1.25', usable: usable ?? '1', ...change },
            { preserveScroll: true, preserveState: true },
        );
    };
    return (
        <>
            <Options
                label="What decides?"
                error={errors['criterion']}
                value={decides}
                options={criteria.map((one) => ({
                    key: one.key,
                    label: `${one.label}: ${one.may} of ${one.of}`,
                    detail: one.detail,
                }))}
                onChange={(criterion) => {
                    keep({ criterion });
                }}
            />
            {spare === undefined ? null : (
                <ServerForm
                    onSubmit={(event) => {
                        event.preventDefault();
                        keep(typed);
                    }}
                >
                    <Two>
                        <TextField
                            name="spare"
                            label="Margin, times"
                            figures
                            value={typed.spare}
                            error={errors['spare']}
                            onChange={(value) => {
                                setTyped({ ...typed, spare: value });
                            }}
                        />
                        <TextField
                            name="usable"
                            label="Usable share"
                            figures
                            value={typed.usable}
                            error={errors['usable']}
                            onChange={(value) => {
                                setTyped({ ...typed, usable: value });
                            }}
                        />
                    </Two>
                    {typed.spare === spare && typed.usable === usable ? null : (
                        <Button type="submit" quiet>
                            Keep these for the house
                        </Button>
                    )}
                </ServerForm>
            )}
        </>
    );
}
