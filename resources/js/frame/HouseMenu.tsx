import { router } from '@inertiajs/react';
import { Button, Menu, MenuItem, MenuTrigger } from 'react-aria-components';
import { PopoverLook } from '../parts/fields';
import type { WhoProps } from '../types/generated/props';

export const HOUSE_PAGES = [
    { href: '/kit', label: 'Kit: readers, cables, hosts, drives, cameras' },
    { href: '/kit/sheet', label: 'What fits where, and how fast' },
    { href: '/compare', label: 'Compare: readers, hosts, cables, cards' },
    { href: '/compare/limits', label: 'Which link was the limit' },
    { href: '/compare/twins', label: 'Twins: one card under two labels' },
    { href: '/prices', label: 'Prices: what such cards cost' },
    { href: '/ledger/buy', label: 'What to buy' },
    { href: '/ledger/worth', label: 'Was it worth it? What readers and drives saved' },
    { href: '/ledger/sellers', label: 'Sellers and lots: whose cards were what' },
    { href: '/ledger/reports', label: 'Report of the house for a period' },
    { href: '/tags', label: 'Print tags' },
    { href: '/handbook', label: 'Handbook: marks, buses, links, units, rules' },
    { href: '/practice', label: 'Practice: judge cards that nobody has' },
    { href: '/opinion', label: 'Second opinion on figures from anywhere' },
    { href: '/books', label: 'Books out: as tables, or for programs' },
    { href: '/rules', label: 'House rules: what verdicts, fits and due days go by' },
    { href: '/activity', label: 'Changes of the books: who, what, when' },
    { href: '/erased', label: 'What was erased, by whom' },
    { href: '/updates', label: 'Updates: which verdicts changed by them' },
    { href: '/benches', label: 'Benches and their slots' },
    { href: '/import', label: 'Cards from a table, or out as one' },
    { href: '/fit/shoot', label: 'Fit: the whole shoot, which card goes where' },
    { href: '/offload', label: 'Offload: plan all cards together' },
] as const;

const FOR_LEADS = [{ href: '/people', label: 'People: who signs in, as what', takes: 'people' }] as const;

/** What belongs to the house and not to one card stands behind this, not on the line. */
export function HouseMenu({ who }: { who: WhoProps }) {
    const pages = [...HOUSE_PAGES, ...FOR_LEADS.filter((page) => who.may.includes(page.takes))];
    return (
        <MenuTrigger>
            <Button aria-label="The house: kit, prices, tags, tables">house ▾</Button>
            <PopoverLook placement="bottom end">
                <Menu
                    aria-label="The house"
                    onAction={(key) => {
                        router.visit(String(key));
                    }}
                >
                    {pages.map((page) => (
                        <MenuItem key={page.href} id={page.href}>
                            {page.label}
                        </MenuItem>
                    ))}
                </Menu>
            </PopoverLook>
        </MenuTrigger>
    );
}
