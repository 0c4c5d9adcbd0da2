import { useForm, usePage } from '@inertiajs/react';
import { Dialog, Heading } from 'react-aria-components';
import { Button } from '../parts/Button';
import { TextField } from '../parts/fields';
import { formField } from '../parts/formField';
import { NameField } from '../parts/NameField';
import { ServerForm } from '../parts/ServerForm';
import type { WhoProps } from '../types/generated/props';
import { Card, Overlay } from './KeySheet';

/** What happened, in one line, from anywhere. */
export function LogIncident({ tag, open, onClose }: { tag: string | null; open: boolean; onClose: () => void }) {
    return (
        <Overlay isOpen={open} onOpenChange={onClose} isDismissable>
            <Card>
                <Dialog>
                    <Heading slot="title">What happened?</Heading>
                    <Line tag={tag} onClose={onClose} />
                </Dialog>
            </Card>
        </Overlay>
    );
}

function Line({ tag, onClose }: { tag: string | null; onClose: () => void }) {
    const { who } = usePage<{ who: WhoProps; [key: string]: unknown }>().props;
    const form = useForm({ line: tag === null ? '' : `${tag} `, by: who.name ?? remembered() });
    const field = formField(form);
    return (
        <ServerForm
            onSubmit={(event) => {
                event.preventDefault();
                localStorage.setItem(STORE, form.data.by);
                form.post('/incidents', { onSuccess: onClose });
            }}
        >
            <TextField
                {...field('line')}
                label="Card, what happened, where or in what"
                placeholder="QS-014 stuck in R3 at the pier"
                autoFocus
            />
            <p style={{ fontSize: 12.5, color: 'var(--pencil)', margin: '4px 0 8px' }}>
                One of: stuck, error in camera, hot, dropped, wet, lost clip, found again. A reader or body that is
                named is kept with it.
            </p>
            <NameField {...field('by')} name="incident-by" label="Your name" />
            <p style={{ fontSize: 12.5, margin: '8px 0' }}>
                Hot metal hurts: let it cool before you handle it. Do not force a stuck card; do not dry a wet one with
                heat.
            </p>
            <Button type="submit" isDisabled={form.processing}>
                Log what happened
            </Button>
        </ServerForm>
    );
}

const STORE = 'incident-by';

function remembered(): string {
    return localStorage.getItem(STORE) ?? '';
}
