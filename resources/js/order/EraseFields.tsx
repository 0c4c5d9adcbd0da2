import styled from 'styled-components';
import { TextField } from '../parts/fields';
import { NameField } from '../parts/NameField';
import type { LiesProps } from '../types/generated/props';
import type { Erasing, Order } from './useOrder';

const Look = styled.fieldset`
    grid-column: 1 / -1;
    min-width: 0;
    margin: 4px 0 0;
    padding: 8px 12px 10px;
    border: 1.5px solid var(--rust);
    legend {
        padding: 0 6px;
        font-weight: 680;
        font-stretch: 84%;
        font-size: 13px;
        color: var(--rust);
    }
    p {
        font-size: 12.5px;
        margin-bottom: 6px;
    }
    ul {
        margin: 0 0 8px;
        padding-left: 16px;
        font-size: 12.5px;
        overflow-wrap: anywhere;
    }
    .grid {
        display: grid;
        grid-template-columns: repeat(3, minmax(0, 1fr));
        gap: 10px 22px;
    }
    @media (max-width: 560px) {
        .grid {
            grid-template-columns: minmax(0, 1fr);
        }
    }
`;

/** Erasing a card is asked for twice: by choosing a raw slot, and by typing what is on the card in hand. */
export function EraseFields({ state, lies }: { state: Order; lies: LiesProps }) {
    const field = (name: keyof Erasing) => ({
        name,
        value: state.erasing[name],
        onChange: (value: string) => {
            state.setErasing(name, value);
        },
        error: state.errors[name],
    });
    return (
        <Look>
            <legend>Everything on the card is lost</legend>
            <p>
                The station erases <b>{lies.device}</b>, whatever is on it. Look at the card in your hand and type its
                tag. Footage comes home first; if it is lost already, leave it to people who recover data.
            </p>
            {lies.on.length === 0 ? null : (
                <ul>
                    {lies.on.map((line) => (
                        <li key={line}>{line}</li>
                    ))}
                </ul>
            )}
            <div className="grid">
                <TextField {...field('tag')} label="Tag of the card in the slot" figures />
                <NameField {...field('by')} label="Your name, for the ledger" />
                <TextField
                    {...field('why')}
                    label="Why, if its size is not that of the label"
                    placeholder="not needed"
                />
            </div>
        </Look>
    );
}
