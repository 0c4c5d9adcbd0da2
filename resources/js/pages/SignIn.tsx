import { Head, useForm } from '@inertiajs/react';
import styled from 'styled-components';
import { Button } from '../parts/Button';
import { PasswordField, TextField } from '../parts/fields';
import { formField } from '../parts/formField';
import type { SignInPage } from '../types/generated/props';

export const Door = styled.main`
    position: fixed;
    inset: 0;
    overflow: auto;
    display: grid;
    align-content: center;
    justify-content: center;
    padding: 24px;
    form {
        width: min(360px, 100%);
        display: grid;
        gap: 18px;
        border-top: 2px solid var(--ink);
        padding-top: 18px;
    }
    h1 {
        font-size: 27px;
        font-weight: 760;
        font-stretch: 76%;
    }
    p {
        font-size: 13.5px;
        color: var(--pencil);
    }
`;

export default function SignIn({ to }: SignInPage) {
    const form = useForm({ name: '', password: '', to });
    const field = formField(form);
    return (
        <Door>
            <Head title="Sign in" />
            <form
                noValidate
                onSubmit={(event) => {
                    event.preventDefault();
                    form.post('/sign-in', {
                        onError: () => {
                            form.setData('password', '');
                        },
                    });
                }}
            >
                <h1>Gritty Tally</h1>
                <TextField {...field('name')} label="Name" autoFocus autoComplete="username" />
                <PasswordField {...field('password')} label="Password" autoComplete="current-password" />
                <Button type="submit" isDisabled={form.processing}>
                    Sign in
                </Button>
                <p>Forgotten? A lead gives you a new one; at the station’s terminal, php artisan tally:lead does.</p>
            </form>
        </Door>
    );
}
