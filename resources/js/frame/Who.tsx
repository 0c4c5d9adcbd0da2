import { router } from '@inertiajs/react';
import { Button, Menu, MenuItem, MenuTrigger } from 'react-aria-components';
import styled from 'styled-components';
import { Button as PlainButton } from '../parts/Button';
import { PopoverLook } from '../parts/fields';
import type { WhoProps } from '../types/generated/props';

const Refused = styled.p`
    position: fixed;
    inset: auto 0 0;
    z-index: 20;
    padding: 11px 18px;
    border-top: 2px solid var(--rust);
    background: var(--sheet);
    color: var(--rust);
    font-size: 13.5px;
`;

/** Who is at the page, and the way out. */
export function Who({ who }: { who: WhoProps }) {
    if (who.name === null) {
        return (
            <span title="One person is on the list and only this machine is answered, so nobody signs in.">
                open, nobody signs in
            </span>
        );
    }
    return (
        <MenuTrigger>
            <Button aria-label={`${who.name}, ${who.role}: password, sign out`}>{who.name} ▾</Button>
            <PopoverLook placement="bottom end">
                <Menu
                    aria-label={who.name}
                    onAction={(key) => {
                        if (key === 'out') {
                            router.post('/sign-out');
                        } else {
                            router.visit('/password');
                        }
                    }}
                >
                    <MenuItem id="password">Change the password</MenuItem>
                    <MenuItem id="out">Sign out</MenuItem>
                </Menu>
            </PopoverLook>
        </MenuTrigger>
    );
}

const Told = styled.p`
    position: fixed;
    inset: auto 0 0;
    z-index: 9;
    display: flex;
    gap: 18px;
    align-items: center;
    justify-content: space-between;
    padding: 9px 18px;
    border-top: 2px solid var(--ink);
    background: var(--sheet);
    font-size: 13.5px;
`;

/** At a person's first sitting. */
export function Welcome({ who }: { who: WhoProps }) {
    return who.welcome === null ? null : (
        <Told role="note">
            {who.welcome}
            <PlainButton
                quiet
                onPress={() => {
                    router.post('/welcomed', {}, { preserveState: true, preserveScroll: true });
                }}
            >
                Understood
            </PlainButton>
        </Told>
    );
}

/** What was not done because it takes another role. */
export function NotAllowed({ says }: { says: string | undefined }) {
    return says === undefined ? null : <Refused role="alert">{says}</Refused>;
}
