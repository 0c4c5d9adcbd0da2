import { useForm } from '@inertiajs/react';
import { useState } from 'react';
import styled from 'styled-components';
import { Button } from '../parts/Button';
import { TextField } from '../parts/fields';
import { formField } from '../parts/formField';
import { Ruled } from '../parts/Sheet';
import type { SeenProps } from '../types/generated/props';

const Withdraw = styled.form`
    display: flex;
    gap: 12px;
    align-items: flex-end;
    > div {
        flex: 1;
    }
`;

const Plain = styled.button`
    border: 0;
    background: transparent;
    padding: 0;
    cursor: pointer;
    color: var(--pencil);
    text-decoration: underline;
    text-underline-offset: 3px;
`;

/** All that was seen, the newest first. A mistaken answer is withdrawn with a reason and stays in the books. */
export function SeenTable({ seen }: { seen: readonly SeenProps[] }) {
    const [open, setOpen] = useState<number | null>(null);
    const form = useForm({ reason: 'wrong key' });
    const field = formField(form);
    const send = (id: number) => {
        form.post(`/inspections/${id}/withdraw`, {
            preserveScroll: true,
            preserveState: true,
            onSuccess: () => {
                setOpen(null);
            },
        });
    };
    return (
        <Ruled aria-label="What was seen">
            <thead>
                <tr>
                    <th>Question</th>
                    <th>Seen</th>
                    <th>In</th>
                    <th>By</th>
                    <th>When</th>
                    <th>
                        <span className="sr">Withdraw</span>
                    </th>
                </tr>
            </thead>
            <tbody>
                {seen.map((one) => (
                    <tr key={one.id}>
                        {open === one.id ? (
                            <td colSpan={6}>
                                <Withdraw
                                    onSubmit={(event) => {
                                        event.preventDefault();
                                        send(one.id);
                                    }}
                                >
                                    <TextField
                                        {...field('reason')}
                                        label={`Why “${one.answer}” is withdrawn`}
                                        autoFocus
                                    />
                                    <Button type="submit" quiet>
                                        Withdraw this answer
                                    </Button>
                                </Withdraw>
                            </td>
                        ) : (
                            <>
                                <td className={one.withdrawn === null ? '' : 'struck'}>{one.question}</td>
                                <td className={one.withdrawn === null ? '' : 'struck'}>
                                    {one.trouble ? <b>{one.answer}</b> : one.answer}
                                </td>
                                <td>{one.reader ?? ''}</td>
                                <td>{one.by}</td>
                                <td>{one.on}</td>
                                <td>
                                    {one.withdrawn === null ? (
                                        <Plain
                                            type="button"
                                            onClick={() => {
                                                setOpen(one.id);
                                            }}
                                        >
                                            withdraw
                                        </Plain>
                                    ) : (
                                        `withdrawn: ${one.withdrawn}`
                                    )}
                                </td>
                            </>
                        )}
                    </tr>
                ))}
            </tbody>
        </Ruled>
    );
}
