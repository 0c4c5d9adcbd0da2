import type { ReactNode } from 'react';
import { Button as AriaButton, type ButtonProps } from 'react-aria-components';
import styled, { css } from 'styled-components';

/** How a button looks, shared with links that look like one. */
export const buttonLook = css<{ $quiet?: boolean }>`
    display: inline-block;
    font-weight: 650;
    font-size: 14px;
    line-height: 1.25;
    font-stretch: 84%;
    text-align: left;
    text-decoration: none;
    cursor: pointer;
    padding: 9px 15px;
    border-radius: 2px;
    border: 1.3px solid ${(p) => (p.$quiet === true ? 'var(--ink)' : 'var(--rust)')};
    background: ${(p) => (p.$quiet === true ? 'transparent' : 'var(--rust)')};
    color: ${(p) => (p.$quiet === true ? 'var(--ink)' : 'var(--on-rust)')};
    small {
        display: block;
        font-weight: 450;
        font-size: 11.5px;
        color: ${(p) => (p.$quiet === true ? 'var(--pencil)' : 'inherit')};
    }
    &[data-hovered],
    &:hover {
        filter: brightness(1.08);
    }
    &[data-pressed] {
        transform: translateY(1px);
    }
    &[data-disabled] {
        opacity: 0.5;
        cursor: default;
    }
`;

const Look = styled(AriaButton)<{ $quiet?: boolean }>`
    ${buttonLook}
`;

/** A verb and its object, with what it costs underneath. */
export function Button({
    quiet = false,
    detail,
    children,
    ...rest
}: Omit<ButtonProps, 'children'> & { quiet?: boolean; detail?: string | undefined; children: ReactNode }) {
    return (
        <Look {...rest} $quiet={quiet}>
            {children}
            {detail === undefined ? null : <small>{detail}</small>}
        </Look>
    );
}
