import { router, useForm } from '@inertiajs/react';
import { useState } from 'react';
import { Button } from '../parts/Button';
import { TextField } from '../parts/fields';
import { formField } from '../parts/formField';
import { NameField } from '../parts/NameField';
import { ServerForm } from '../parts/ServerForm';
import type { RetiredProps } from '../types/generated/props';

/** Takes a card out of service, with a reason, or back. */
export function Retire({
    tag,
    retired,
    mayRetire,
    person,
    proposed,
}: {
    tag: string;
    retired: RetiredProps | null;
    mayRetire: boolean;
    person: string;
    /** The reason that a rule of the house gives; empty where none does. */
    proposed: string;
}) {
    const [open, setOpen] = useState(false);
    const form = useForm({ why: proposed, by: person });
    const field = formField(form);
    if (retired !== null) {
        return (
            <div>
                <p>
                    <b>Out of service</b> since {retired.on}: {retired.why}. <small>{retired.by}</small>
                </p>
                <Button
                    quiet
                    onPress={() => {
                        router.post(`/cards/${tag}/back`, {}, { preserveScroll: true });
                    }}
                    detail="it may be planned with again"
                >
                    Take it back
                </Button>
            </div>
        );
    }
    if (!open) {
        return (
            <Button
                quiet
                onPress={() => {
                    setOpen(true);
                }}
                detail={mayRetire ? 'it keeps its history, leaves every plan' : 'bring its footage home first'}
            >
                Retire this card
            </Button>
        );
    }
    return (
        <ServerForm
            onSubmit={(event) => {
                event.preventDefault();
                form.post(`/cards/${tag}/retire`, {
                    preserveScroll: true,
                    onSuccess: () => {
                        setOpen(false);
                        form.reset('why');
                    },
                });
            }}
        >
            <TextField {...field('why')} label="Why it goes out of service" placeholder="worn, fell twice" autoFocus />
            <NameField {...field('by')} name="retire-by" label="Your name" />
            <div style={{ marginTop: 10 }}>
                <Button type="submit">Retire {tag}</Button>
            </div>
        </ServerForm>
    );
}
