import { RadioButton, RadioField, RadioGroup } from 'react-aria-components';
import styled from 'styled-components';
import { Sheet } from '../parts/Sheet';
import type { ProvingWay } from '../order/useOrder';
import type { ProvingWayProps, ProvingWaysProps } from '../types/generated/props';

const Pair = styled(RadioGroup)`
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 0 22px;
    @media (max-width: 560px) {
        grid-template-columns: minmax(0, 1fr);
    }
    .react-aria-RadioField {
        display: block;
        min-width: 0;
        border-top: 3px solid var(--rule);
        padding: 6px 0 4px;
        cursor: pointer;
    }
    .react-aria-RadioField[data-selected] {
        border-top-color: var(--ink);
    }
    .react-aria-RadioButton {
        display: grid;
        gap: 1px;
        cursor: pointer;
    }
    .react-aria-RadioButton[data-focus-visible] {
        outline: 2px solid var(--ink);
        outline-offset: 3px;
    }
    b {
        font-size: 14px;
        font-stretch: 84%;
    }
    .dot {
        display: inline-block;
        width: 1.1em;
        font-family: var(--figures);
    }
    em {
        font-style: normal;
        font-size: 12px;
        color: var(--tarn);
        font-weight: 620;
        margin-left: 8px;
    }
    .time {
        font-family: var(--figures);
        font-stretch: 75%;
        font-size: 12.5px;
    }
    span {
        font-size: 12.5px;
    }
    .open {
        color: var(--pencil);
    }
`;

const NAMES = { proof: 'Full proof', screen: 'Quick screen' } as const;

/** Both ways of proving a card, with what each takes, proves and leaves open. */
export function ProvingWaysSheet({
    ways,
    way,
    setWay,
}: {
    ways: ProvingWaysProps;
    way: ProvingWay;
    setWay: (way: ProvingWay) => void;
}) {
    return (
        <Sheet title="Full proof or quick screen" caption={ways.reason}>
            <Pair
                aria-label="How to prove it"
                value={way}
                onChange={(key) => {
                    setWay(key as ProvingWay);
                }}
            >
                <Way value="proof" way={ways.proof} chosen={way} recommended={ways.recommended} />
                <Way value="screen" way={ways.screen} chosen={way} recommended={ways.recommended} />
            </Pair>
        </Sheet>
    );
}

function Way({
    value,
    way,
    chosen,
    recommended,
}: {
    value: ProvingWay;
    way: ProvingWayProps;
    chosen: ProvingWay;
    recommended: string;
}) {
    return (
        <RadioField value={value}>
            <RadioButton>
                <div>
                    <span className="dot" aria-hidden="true">
                        {chosen === value ? '●' : '○'}
                    </span>
                    <b>{NAMES[value]}</b>
                    {recommended === value ? <em>Recommended</em> : null}
                </div>
                <span className="time">
                    about {way.expected}, writes {way.writes}
                </span>
                <span>{way.proves}</span>
                <span className="open">Does not prove: {way.leaves}</span>
            </RadioButton>
        </RadioField>
    );
}
