import { router, usePage } from '@inertiajs/react';
import { useState } from 'react';
import styled from 'styled-components';
import { clock } from '../charts/Runbook';
import { useSurfaceKeys } from '../frame/useKeys';
import { Button } from '../parts/Button';
import { SelectField } from '../parts/fields';
import type { HandProps } from '../types/generated/props';

const Look = styled.section`
    border: 1.3px solid var(--rust);
    background: var(--sheet);
    padding: 14px 16px;
    margin: 14px 0;
    display: grid;
    grid-template-columns: 1fr auto;
    gap: 4px 18px;
    align-items: start;
    h2 {
        font-size: clamp(28px, 4.4vw, 54px);
        line-height: 1.02;
        font-weight: 750;
        font-stretch: 76%;
        text-wrap: balance;
    }
    .main button {
        font-size: 22px;
        padding: 12px 22px;
    }
    .waits {
        justify-self: end;
        color: var(--pencil);
    }
    .wrong {
        grid-column: 1 / -1;
        color: var(--rust);
        font-weight: 600;
    }
    .found {
        grid-column: 1 / -1;
        max-width: 260px;
        font-size: 12.5px;
    }
`;

/** The one thing for hands to do now, large, with its key; and after a swap that cannot have happened, why. */
export function NextHand({
    offload,
    hand,
    more,
    person,
}: {
    offload: number;
    hand: HandProps;
    /** How many others wait behind it. */
    more: number;
    person: string;
}) {
    const { errors } = usePage().props;
    const [found, setFound] = useState(hand.tag);
    const [busy, setBusy] = useState(false);
    const say = (less = false) => {
        if (busy) {
            return;
        }
        setBusy(true);
        router.post(
            `/offloads/${offload}/cards/${hand.card}/in`,
            { by: person, ...(hand.choices.length === 0 ? {} : { found }), ...(less ? { less: '1' } : {}) },
            {
                preserveScroll: true,
                preserveState: true,
                onFinish: () => {
                    setBusy(false);
                },
            },
        );
    };
    useSurfaceKeys({
        ' ': () => {
            say();
        },
    });
    const refused = errors['swap'] ?? hand.refused;
    return (
        <Look aria-label="Now, by hand">
            <h2 aria-live="assertive">{hand.words}</h2>
            {/* A swap that is asked for takes the focus: who stands at the cart presses space, whatever was pressed before. */}
            <div className="main">
                <Button
                    data-main=""
                    detail={busy ? 'looking what lies there' : 'space'}
                    autoFocus
                    isDisabled={busy}
                    onPress={() => {
                        say();
                    }}
                >
                    {hand.isSwap ? 'Swapped' : 'It is in'}
                </Button>
            </div>
            <p>
                {hand.detail}
                {more > 0 ? ` Then ${more === 1 ? 'one more' : `${more} more`}.` : ''}
            </p>
            <span className="waits figures">waiting {clock(hand.waits)}</span>
            {refused === null ? null : (
                <p className="wrong" role="alert">
                    {refused}
                </p>
            )}
            {hand.said === null ? null : (
                <Button
                    quiet
                    detail={`${person} says so, and it is written down`}
                    isDisabled={busy}
                    onPress={() => {
                        say(true);
                    }}
                >
                    {hand.said}
                </Button>
            )}
            {hand.choices.length === 0 ? null : (
                <div className="found">
                    <SelectField
                        name="found"
                        label="In the made-up slot lies"
                        value={found}
                        choices={[...hand.choices.map((key) => ({ key, label: key })), { key: '', label: 'nothing' }]}
                        onChange={setFound}
                    />
                </div>
            )}
        </Look>
    );
}
