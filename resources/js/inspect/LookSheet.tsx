import styled from 'styled-components';
import { Sheet } from '../parts/Sheet';
import type { QuestionProps } from '../types/generated/props';
import { Drawing } from './drawings';

const Picture = styled.svg`
    width: 100%;
    height: auto;
    max-height: 270px;
    .card {
        fill: var(--paper);
        stroke: var(--ink);
        stroke-width: 1.6;
    }
    .contact rect {
        fill: var(--faint);
        stroke: var(--ink);
        stroke-width: 1;
    }
    .look rect {
        fill: var(--rust);
        stroke: var(--rust);
    }
    .hole rect {
        fill: var(--ink);
    }
    .tongue,
    .mouth {
        fill: none;
        stroke: var(--ink);
        stroke-width: 1.6;
    }
    .mouth {
        fill: var(--faint);
    }
    .print {
        stroke: var(--ink);
        stroke-width: 3;
    }
    .print.thin {
        stroke-width: 1;
    }
    .mark {
        fill: none;
        stroke: var(--ink);
        stroke-width: 1.6;
    }
    .slider {
        fill: var(--rust);
        stroke: var(--ink);
    }
    .sticker {
        fill: var(--faint);
        stroke: var(--ink);
        stroke-dasharray: 3 2;
    }
    .ring,
    .look-line {
        fill: none;
        stroke: var(--rust);
        stroke-width: 2;
    }
    .lead {
        fill: none;
        stroke: var(--pencil);
        stroke-width: 1;
    }
    @media (max-width: 560px) {
        text {
            font-size: 19px;
        }
    }
    .big {
        font-size: 30px;
        font-weight: 760;
        font-stretch: 80%;
    }
`;

const How = styled.p`
    font-size: 13.5px;
    max-width: 64ch;
    padding: 2px 0 6px;
    small {
        display: block;
        color: var(--pencil);
        font-size: 12px;
    }
`;

/** Where to look, drawn and said. */
export function LookSheet({ question, micro, place }: { question: QuestionProps; micro: boolean; place: string }) {
    return (
        <Sheet title={question.asks} aside={place}>
            <Picture viewBox="0 0 560 250" role="img" aria-label={question.how}>
                <Drawing question={question.key} micro={micro} />
            </Picture>
            <How>
                {question.how}
                <small>{question.source}</small>
            </How>
        </Sheet>
    );
}
