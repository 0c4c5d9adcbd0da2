import { router } from '@inertiajs/react';
import { useEffect, useRef, useState, type RefObject } from 'react';
import {
    Input,
    ListBox,
    ListBoxItem,
    ListLayout,
    SearchField,
    ToggleButton,
    ToggleButtonGroup,
    Virtualizer,
} from 'react-aria-components';
import styled from 'styled-components';
import { seek } from '../frame/pulse';
import { TallyMarks } from '../parts/TallyMarks';
import { VerdictMark, VerdictShape } from '../parts/VerdictMark';
import type { TagProps } from '../types/generated/props';
import type { Ticking } from './useTicking';

/** Height of a tag in pixels; the list is virtual and must know. */
const ROW = 56;

const Look = styled.aside`
    border-right: 1px solid var(--rule);
    display: flex;
    flex-direction: column;
    min-height: 0;
    .find {
        margin: 14px 14px 8px;
        border-bottom: 1.5px solid var(--ink);
        display: flex;
        align-items: center;
    }
    .find input {
        flex: 1;
        min-width: 0;
        border: 0;
        background: transparent;
        padding: 6px 2px;
        outline-offset: 4px;
    }
    .find input::placeholder {
        color: var(--pencil);
        opacity: 1;
    }
    .find input::-webkit-search-cancel-button {
        display: none;
    }
    .filters {
        padding: 0 14px 10px;
        display: flex;
        gap: 12px;
        border-bottom: 1px solid var(--rule);
    }
    .filters button {
        border: 0;
        border-bottom: 1.5px solid transparent;
        background: transparent;
        padding: 0;
        font-size: 12.5px;
        color: var(--pencil);
        cursor: pointer;
    }
    .filters button[data-selected] {
        color: var(--ink);
        font-weight: 600;
        border-color: var(--ink);
    }
    .tags {
        flex: 1;
        min-height: 0;
        overflow-y: auto;
        outline-offset: -3px;
    }
`;

const Tag = styled(ListBoxItem)`
    position: relative;
    height: 56px;
    padding: 9px 14px 0 18px;
    border-bottom: 1px solid var(--rule);
    cursor: pointer;
    outline-offset: -3px;
    > div {
        display: flex;
        justify-content: space-between;
        align-items: center;
    }
    .code {
        font-family: var(--figures);
        font-stretch: 75%;
        font-weight: 600;
        font-size: 12.5px;
    }
    .tick {
        display: inline-block;
        width: 12px;
        height: 12px;
        margin-right: 8px;
        border: 1.5px solid var(--ink);
        vertical-align: -2px;
    }
    &[data-selected] .tick {
        background: var(--rust);
        border-color: var(--rust);
        box-shadow: inset 0 0 0 2px var(--sheet);
    }
    .line {
        font-stretch: 72%;
        font-size: 12.5px;
        color: var(--pencil);
        margin-top: 2px;
    }
    .line span:first-child {
        overflow: hidden;
        text-overflow: ellipsis;
        white-space: nowrap;
    }
    .line .lot {
        flex: none;
        margin: 0 8px 0 auto;
        padding-left: 8px;
        color: var(--rust);
        display: inline-flex;
        gap: 3px;
        align-items: center;
    }
    .line .laden {
        flex: none;
        margin: 0 8px 0 auto;
        padding-left: 8px;
        color: var(--ochre);
        font-weight: 600;
    }
    .line .laden.home {
        color: var(--tarn);
    }
    .line .laden.out {
        color: var(--pencil);
    }
    .line .count {
        flex: none;
    }
    &[data-selected] {
        background: var(--sheet);
        box-shadow: inset 4px 0 0 var(--rust);
    }
    &[data-hovered] {
        background: var(--faint);
    }
`;

const Empty = styled.p`
    padding: 16px 18px;
    color: var(--pencil);
    font-size: 13px;
`;

/** Brings the open card into view when it changes, without moving what is in view already. */
function useScrollTo(list: RefObject<HTMLDivElement | null>, index: number) {
    useEffect(() => {
        // A frame later: the virtual list knows its own height only after it has been laid out.
        const later = requestAnimationFrame(() => {
            const box = list.current;
            if (box === null || index < 0) {
                return;
            }
            const top = index * ROW;
            if (top < box.scrollTop) {
                box.scrollTo({ top });
            } else if (top + ROW > box.scrollTop + box.clientHeight) {
                box.scrollTo({ top: top + ROW - box.clientHeight });
            }
        });
        return () => {
            cancelAnimationFrame(later);
        };
    }, [list, index]);
}

/** Every card as a tag. It stays put while everything else changes. */
export function Tray({
    tags,
    isWhole,
    counts,
    selected,
    stage,
    ticking,
}: {
    tags: readonly TagProps[];
    /** Whether these are all there are; what is looked for besides is asked for. */
    isWhole: boolean;
    counts: { cards: number; unproven: number; due: number };
    selected: string | null;
    stage: string;
    ticking: Ticking | null;
}) {
    const [search, setSearch] = useState('');
    const [only, setOnly] = useState('all');
    const words = search.toLowerCase().split(/\s+/).filter(Boolean);
    const shown = tags.filter(
        (tag) =>
            (only !== 'unproven' || tag.verdict === 'Unproven') &&
            (only !== 'due' || tag.due) &&
            (only !== 'ticked' || ticking === null || ticking.ticked.includes(tag.tag)) &&
            words.every((word) => `${tag.tag} ${tag.line} ${tag.verdict}`.toLowerCase().includes(word)),
    );
    const list = useRef<HTMLDivElement>(null);
    useScrollTo(
        list,
        shown.findIndex((tag) => tag.tag === selected),
    );
    const ticked = ticking?.ticked.join(' ') ?? '';
    useEffect(() => {
        seek({
            find: search.trim(),
            only: only === 'ticked' ? 'all' : only,
            tags: ticked === '' ? [] : ticked.split(' '),
            around: selected,
        });
    }, [search, only, ticked, selected, isWhole]);

    return (
        <Look aria-label="Cards">
            <SearchField value={search} onChange={setSearch} aria-label="Find a card" className="find">
                <Input placeholder="Find a card" id="find-a-card" />
                <kbd>/</kbd>
            </SearchField>
            <ToggleButtonGroup
                aria-label="Which cards"
                className="filters"
                selectedKeys={[only]}
                disallowEmptySelection
                onSelectionChange={(keys) => {
                    setOnly(String([...keys][0] ?? 'all'));
                }}
            >
                <ToggleButton id="all">All {counts.cards}</ToggleButton>
                <ToggleButton id="unproven">Unproven {counts.unproven}</ToggleButton>
                {counts.due === 0 && only !== 'due' ? null : <ToggleButton id="due">Due {counts.due}</ToggleButton>}
                {ticking === null ? null : <ToggleButton id="ticked">Ticked {ticking.ticked.length}</ToggleButton>}
            </ToggleButtonGroup>
            {shown.length === 0 ? (
                <Empty>
                    {counts.cards === 0
                        ? 'No cards yet. Press n to add the first.'
                        : `No card matches “${search}”. Try its tag, size or verdict.`}
                </Empty>
            ) : (
                <Virtualizer layout={ListLayout} layoutOptions={{ rowSize: ROW }}>
                    <ListBox
                        ref={list}
                        aria-label={ticking === null ? 'Cards' : 'Cards of the plan'}
                        className="tags"
                        items={shown.map((tag) => ({ ...tag, id: tag.tag }))}
                        selectionMode={ticking === null ? 'single' : 'multiple'}
                        selectionBehavior={ticking === null ? 'replace' : 'toggle'}
                        selectedKeys={ticking === null ? (selected === null ? [] : [selected]) : ticking.ticked}
                        onSelectionChange={(keys) => {
                            if (ticking !== null) {
                                // Those that the search hides stay as they are.
                                const hidden = ticking.ticked.filter((one) => !shown.some((tag) => tag.tag === one));
                                const here = keys === 'all' ? shown.map((tag) => tag.tag) : [...keys].map(String);
                                ticking.onTick([...hidden, ...here]);
                                return;
                            }
                            const key = keys === 'all' ? undefined : [...keys][0];
                            if (key !== undefined && key !== selected) {
                                router.visit(`/${stage}/${String(key)}`, { preserveState: true, preserveScroll: true });
                            }
                        }}
                    >
                        {(tag) => (
                            <Tag
                                id={tag.id}
                                textValue={[
                                    `${tag.tag}, ${tag.line}, ${tag.verdict}`,
                                    ...(tag.overruled === null ? [] : [`overruled: ${tag.overruled}`]),
                                ].join(', ')}
                            >
                                <div>
                                    <span className="code">
                                        {ticking === null ? null : <span className="tick" aria-hidden="true" />}
                                        {tag.tag}
                                    </span>
                                    <span>
                                        <VerdictMark kind={tag.verdict} />
                                        {tag.overruled === null ? null : (
                                            <>
                                                {' → '}
                                                <VerdictMark kind={tag.overruled} />
                                            </>
                                        )}
                                    </span>
                                </div>
                                <div className="line">
                                    <span>{tag.line}</span>
                                    {tag.retired ? <span className="laden out">retired</span> : null}
                                    {tag.due && tag.footage === null ? <span className="laden">due</span> : null}
                                    {tag.footage === null ? null : (
                                        <span className={tag.footage === 'not secured' ? 'laden' : 'laden home'}>
                                            {tag.footage}
                                        </span>
                                    )}
                                    {tag.badLot === null ? null : (
                                        <span className="lot" aria-label={`${tag.badLot} of its lot are Sham`}>
                                            {tag.badLot} <VerdictShape kind="Sham" size={10} />
                                        </span>
                                    )}
                                    <span className="count">
                                        {tag.going ? (
                                            'running'
                                        ) : (
                                            <TallyMarks count={tag.runs} height={11} what="runs" />
                                        )}
                                    </span>
                                </div>
                            </Tag>
                        )}
                    </ListBox>
                </Virtualizer>
            )}
            {isWhole ? null : (
                <Empty>{`${String(shown.length)} are shown here. Type to find any of ${String(counts.cards)}.`}</Empty>
            )}
        </Look>
    );
}
