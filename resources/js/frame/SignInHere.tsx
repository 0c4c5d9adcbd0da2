import { useState } from 'react';
import { Dialog, Heading } from 'react-aria-components';
import { Button } from '../parts/Button';
import { PasswordField, TextField } from '../parts/fields';
import { ServerForm } from '../parts/ServerForm';
import { Card, Overlay } from './KeySheet';
import { answerSignIn, signInHere, useSignInAsked } from './signedOut';

/** Over the page, when its sitting has come to an end: what was typed stays, and what was sent goes on afterwards. */
export function SignInHere() {
    const asked = useSignInAsked();
    return (
        <Overlay
            isOpen={asked}
            onOpenChange={() => {
                answerSignIn(false);
            }}
        >
            <Card>
                <Dialog>
                    <Door />
                </Dialog>
            </Card>
        </Overlay>
    );
}

function Door() {
    const [name, setName] = useState('');
    const [password, setPassword] = useState('');
    const [wrong, setWrong] = useState<string | null>(null);
    const [busy, setBusy] = useState(false);
    const send = async () => {
        setBusy(true);
        const said = await signInHere(name, password);
        setBusy(false);
        if (said === null) {
            answerSignIn(true);
        } else {
            setPassword('');
            setWrong(said);
        }
    };
    return (
        <ServerForm
            onSubmit={(event) => {
                event.preventDefault();
                void send();
            }}
        >
            <Heading slot="title">Your sitting is over</Heading>
            <p style={{ marginBottom: 14 }}>Sign in, and what you have just done goes on. What you typed stays.</p>
            <div style={{ display: 'grid', gap: 14 }}>
                <TextField
                    name="name"
                    label="Name"
                    value={name}
                    onChange={setName}
                    autoFocus
                    autoComplete="username"
                    error={wrong ?? undefined}
                />
                <PasswordField
                    name="password"
                    label="Password"
                    value={password}
                    onChange={setPassword}
                    autoComplete="current-password"
                />
                <div style={{ display: 'flex', gap: 10 }}>
                    <Button type="submit" isDisabled={busy}>
                        Sign in
                    </Button>
                    <Button
                        quiet
                        onPress={() => {
                            answerSignIn(false);
                        }}
                    >
                        Not now
                    </Button>
                </div>
            </div>
        </ServerForm>
    );
}
