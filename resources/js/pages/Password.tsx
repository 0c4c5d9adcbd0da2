import { Head, useForm } from '@inertiajs/react';
import { Button } from '../parts/Button';
import { PasswordField } from '../parts/fields';
import { formField } from '../parts/formField';
import { Door } from './SignIn';
import type { PasswordPage } from '../types/generated/props';

/** One's own password; one that somebody else gave is changed before anything else. */
export default function Password({ name, must, least }: PasswordPage) {
    const form = useForm({ now: '', password: '', again: '' });
    const field = formField(form);
    return (
        <Door>
            <Head title="Password" />
            <form
                noValidate
                onSubmit={(event) => {
                    event.preventDefault();
                    form.put('/password');
                }}
            >
                <h1>{name}’s password</h1>
                <p>
                    {must ? 'It was given to you once. Choose one of your own. ' : ''}
                    {least} characters at the least; a few words in a row are easy to keep.
                </p>
                <PasswordField {...field('now')} label="The one you have now" autoComplete="current-password" />
                <PasswordField {...field('password')} label="The new one" autoComplete="new-password" />
                <PasswordField {...field('again')} label="The new one once more" autoComplete="new-password" />
                <Button type="submit" isDisabled={form.processing}>
                    Change it
                </Button>
                {must ? null : <a href="/intake">Leave it as it is</a>}
            </form>
        </Door>
    );
}
