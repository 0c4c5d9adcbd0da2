import { Link } from '@inertiajs/react';
import styled from 'styled-components';

const Look = styled.nav`
    display: flex;
    gap: 20px;
    margin-top: 8px;
    font-size: 13.5px;
    flex-wrap: wrap;
    a {
        color: var(--pencil);
        text-decoration: none;
        border-bottom: 2px solid transparent;
        padding-bottom: 2px;
    }
    a[aria-current] {
        color: var(--ink);
        font-weight: 650;
        border-bottom-color: var(--rust);
    }
`;

const PAGES = [
    { href: '/compare', label: 'Side by side' },
    { href: '/compare/limits', label: 'Which link was the limit' },
    { href: '/compare/twins', label: 'Twins' },
] as const;

/** The three ways to hold runs against each other. */
export function Tabs({ here }: { here: (typeof PAGES)[number]['href'] }) {
    return (
        <Look aria-label="Ways to compare">
            {PAGES.map((page) => (
                <Link
                    key={page.href}
                    href={page.href}
                    {...(page.href === here ? { 'aria-current': 'page' as const } : {})}
                >
                    {page.label}
                </Link>
            ))}
        </Look>
    );
}
