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
        font-size: 21px;
        font-weight: 750;
        font-stretch: 80%;
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
    const say = () => {
        if (busy) {
            return;
        }
        setBusy(true);
        router.post(
            `/offloads/${offload}/cards/${hand.card}/in`,
            { by: person, ...(hand.choices.length === 0 ? {} : { found }) },
            {
                preserveScroll: true,
                preserveState: true,
                onFinish: () => {
                    setBusy(false);
                },
            },
        );
    };
    useSurfaceKeys({ ' ': say });
    return (
        <Look aria-label="Now, by hand">
            <h2 aria-live="assertive">{hand.words}</h2>
            {/* A swap that is asked for takes the focus: who stands at the cart presses space, whatever was pressed before. */}
            <Button data-main="" detail="space" autoFocus isDisabled={busy} onPress={say}>
                {hand.words.includes(' out of ') ? 'Swapped' : 'It is in'}
            </Button>
            <p>
                {hand.detail}
                {more > 0 ? ` Then ${more === 1 ? 'one more' : `${more} more`}.` : ''}
            </p>
            <span className="waits figures">waiting {clock(hand.waits)}</span>
            {errors['swap'] === undefined ? null : (
                <p className="wrong" role="alert">
                    {errors['swap']}
                </p>
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
