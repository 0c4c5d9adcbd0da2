import { router } from '@inertiajs/react';
import { Autocomplete, Dialog, Input, Menu, MenuItem, SearchField, useFilter, type Key } from 'react-aria-components';
import styled from 'styled-components';
import type { FrameProps, TagProps } from '../types/generated/props';
import { HOUSE_PAGES } from './HouseMenu';
import { Card, Overlay } from './KeySheet';
import { seek } from './pulse';

const Body = styled.div`
    input {
        width: 100%;
        border: 0;
        border-bottom: 1.5px solid var(--ink);
        background: transparent;
        padding: 6px 2px 8px;
        font-size: 16px;
        outline: none;
    }
    [role='menu'] {
        margin-top: 8px;
        max-height: 44vh;
        overflow: auto;
        outline: none;
    }
    [role='menuitem'] {
        padding: 6px 8px;
        cursor: pointer;
        outline: none;
        font-size: 13.5px;
    }
    [role='menuitem'][data-focused] {
        background: var(--faint);
        box-shadow: inset 3px 0 0 var(--rust);
    }
`;

interface Target {
    id: string;
    label: string;
}

/** The command finder: any card, any stage, a new card. */
export function Finder({
    open,
    onClose,
    frame,
    tray,
    stage,
    tag,
}: {
    open: boolean;
    onClose: () => void;
    frame: FrameProps;
    tray: readonly TagProps[];
    stage: string;
    tag: string | null;
}) {
    const { contains } = useFilter({ sensitivity: 'base' });
    const targets: Target[] = [
        { id: '/intake', label: 'Add a card' },
        ...HOUSE_PAGES.map((page) => ({ id: page.href, label: page.label })),
        ...frame.stages.map((entry) => ({
            id: tag === null ? `/${entry.key}` : `/${entry.key}/${tag}`,
            label: tag === null ? `Stage: ${entry.label}` : `${entry.label}: ${tag}`,
        })),
        ...tray.map((card) => ({
            id: `/${stage}/${card.tag}#card`,
            label: `${card.tag}  ${card.line}  ${card.verdict}`,
        })),
    ];
    return (
        <Overlay isOpen={open} onOpenChange={onClose} isDismissable>
            <Card>
                <Dialog aria-label="Find any card or page">
                    <Body>
                        <Autocomplete
                            filter={contains}
                            onInputChange={(find) => {
                                seek({ find: find.trim() });
                            }}
                        >
                            <SearchField aria-label="Card, stage or action" autoFocus>
                                <Input placeholder="A card, a stage, or what to do" />
                            </SearchField>
                            <Menu
                                items={targets}
                                onAction={(key: Key) => {
                                    onClose();
                                    router.visit(String(key).replace('#card', ''));
                                }}
                            >
                                {(item) => <MenuItem id={item.id}>{item.label}</MenuItem>}
                            </Menu>
                        </Autocomplete>
                    </Body>
                </Dialog>
            </Card>
        </Overlay>
    );
}
