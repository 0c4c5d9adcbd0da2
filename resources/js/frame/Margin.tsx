import { Link } from '@inertiajs/react';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import { buttonLook } from '../parts/Button';
import { NoteShape, VerdictShape, verdictColour } from '../parts/VerdictMark';
import { OverruleAsk, Overruled } from './OverruleAsk';
import type { CautionProps, MarginProps, ReasonProps } from '../types/generated/props';

const Look = styled.aside`
    border-left: 1.5px solid var(--rust);
    padding: 18px;
    display: flex;
    flex-direction: column;
    gap: 14px;
    min-height: 0;
    overflow-y: auto;
    h2 {
        display: flex;
        align-items: center;
        gap: 12px;
        font-size: 30px;
        font-weight: 800;
        font-stretch: 72%;
        line-height: 1;
    }
`;

const Why = styled.ul`
    list-style: none;
    li {
        position: relative;
        padding: 8px 0 8px 24px;
        border-top: 1px solid var(--rule);
        font-size: 13.2px;
    }
    li svg {
        position: absolute;
        left: 1px;
        top: 11px;
    }
    b {
        font-weight: 650;
    }
    small {
        display: block;
        color: var(--pencil);
        font-size: 12px;
        margin-top: 1px;
    }
`;

const CautionLook = styled.p`
    border: 1.3px solid var(--ochre);
    padding: 9px 11px;
    font-size: 12.6px;
    b {
        color: var(--ochre);
        font-weight: 700;
    }
`;

const StepLink = styled(Link)<{ $quiet?: boolean }>`
    ${buttonLook}
`;

const Done = styled.p`
    border-top: 1.5px solid var(--ink);
    padding-top: 9px;
    font-weight: 650;
    font-stretch: 84%;
    small {
        display: block;
        color: var(--pencil);
        font-weight: 400;
        font-size: 12px;
    }
`;

export function Reasons({ reasons }: { reasons: readonly ReasonProps[] }) {
    return (
        <Why>
            {reasons.map((reason, i) => (
                <li key={i}>
                    {reason.bearing === null ? <NoteShape /> : <VerdictShape kind={reason.bearing} />}
                    <b>{reason.lead}</b> {reason.rest}
                    <small>
                        {reason.evidence}
                        {reason.look === null ? null : (
                            <>
                                {' · '}
                                <Link href={`/handbook#${reason.look}`} style={{ color: 'inherit' }}>
                                    handbook
                                </Link>
                            </>
                        )}
                    </small>
                </li>
            ))}
        </Why>
    );
}

export function Caution({ caution }: { caution: CautionProps }) {
    return (
        <CautionLook>
            <b>{caution.lead}</b> {caution.rest}
        </CautionLook>
    );
}

export function MarginLook({ children }: { children: ReactNode }) {
    // It scrolls by itself where a verdict has many reasons, so the keyboard must reach it.
    return (
        <Look aria-label="Why, and what next" tabIndex={0}>
            {children}
        </Look>
    );
}

/** Why the verdict is what it is, cautions, and the next step as a button. `here` is the page that is open. */
export function Margin({ margin, here }: { margin: MarginProps; here: string }) {
    const { next } = margin;
    return (
        <MarginLook>
            <h2 style={{ color: verdictColour[margin.verdict] }} data-verdict={margin.verdict}>
                <VerdictShape kind={margin.verdict} size={26} />
                {margin.verdict}
            </h2>
            {margin.overrule === null ? null : <Overruled overrule={margin.overrule} />}
            <Reasons reasons={margin.reasons} />
            {margin.cautions.map((caution) => (
                <Caution key={caution.lead} caution={caution} />
            ))}
            {next.href === null ? (
                <Done>
                    {next.words}.<small>{next.detail}</small>
                </Done>
            ) : next.href === here ? null : (
                <StepLink href={next.href} $quiet data-next="">
                    {next.words}
                    <small>{next.detail}</small>
                </StepLink>
            )}
            <OverruleAsk key={margin.tag + (margin.overrule?.on ?? '')} margin={margin} />
        </MarginLook>
    );
}
