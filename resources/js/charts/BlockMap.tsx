import { scaleLinear } from 'd3-scale';
import { useRef, useState, type KeyboardEvent } from 'react';
import { Button } from 'react-aria-components';
import styled from 'styled-components';
import { grouped, size } from '../format';
import { useWidth } from '../parts/useWidth';
import type { BlockClass, CoreProps } from '../types/generated/props';
import { arcsOf, within } from './core';
import { Arc, Laps, PAD, Pegs, RIBBON, Ribbon, Ruler, Textures, Window } from './coreDrawing';
import { around, nextBad, pushed, useZoom, type View } from './zoom';

const KEYS = 'Keys: plus and minus zoom, arrows move, B goes to the next bad place, Home shows all.';

const Frame = styled.div`
    outline-offset: -1px;
    overflow: hidden;
    svg {
        touch-action: pan-y;
    }
`;

const Tools = styled.div`
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 4px 6px;
    font-size: 12px;
    color: var(--pencil);
    .where {
        font-family: var(--figures);
        font-stretch: 75%;
        margin-right: auto;
    }
    button {
        border: 1px solid var(--rule);
        border-radius: 2px;
        background: transparent;
        color: var(--ink);
        padding: 2px 9px;
        font-size: 12px;
        cursor: pointer;
    }
    button[data-disabled] {
        color: var(--pencil);
        cursor: default;
    }
`;

/** A card as one ribbon, like a drilled core: the whole of it, or any stretch. */
export function BlockMap({ core }: { core: CoreProps }) {
    const [ref, width] = useWidth<HTMLDivElement>(660);
    const frame = useRef<HTMLDivElement>(null);
    const whole = Math.max(core.size, core.label);
    const { view, setView, change } = useZoom(whole, frame, PAD);
    const isWhole = view.to - view.from >= whole;
    const arcs = arcsOf(within(core.patches, view));
    const y = core.patches.some((patch) => patch.source !== null) ? 104 : 44;
    const x = scaleLinear()
        .domain([view.from, view.to])
        .range([PAD, width - PAD]);
    // The place one was led to last, as long as it is in view.
    const [met, meet] = useState(-1);
    const bad = nextBad(core.patches, !isWhole && met >= view.from && met <= view.to ? met : view.from - 1);
    const toBad = () => {
        if (bad !== undefined) {
            meet(bad.offset);
            setView(around(bad, whole));
        }
    };
    const press = (event: KeyboardEvent) => {
        const act: Record<string, () => void> = {
            '+': () => {
                change(0.5);
            },
            '-': () => {
                change(2);
            },
            ArrowRight: () => {
                setView(pushed(view, whole, 0.25));
            },
            ArrowLeft: () => {
                setView(pushed(view, whole, -0.25));
            },
            Home: () => {
                setView({ from: 0, to: whole });
            },
            b: toBad,
        };
        const done = act[event.key === '=' ? '+' : event.key];
        if (done !== undefined && !event.ctrlKey && !event.metaKey && !event.altKey) {
            event.preventDefault();
            event.stopPropagation();
            done();
        }
    };

    return (
        <div ref={ref}>
            <Frame
                ref={frame}
                role="application"
                aria-roledescription="zoomable picture"
                aria-label={`Core sample. ${describe(core, view, isWhole)} ${KEYS}`}
                tabIndex={0}
                onKeyDown={press}
            >
                <svg width={width} height={y + RIBBON + 66} role="img" aria-label={core.summary}>
                    <Textures />
                    {arcs.map((arc) => (
                        <Arc key={arc.from} from={x(arc.from)} to={x(arc.to)} y={y - 4} />
                    ))}
                    <Ribbon x={x} y={y} core={core} view={view} />
                    {isWhole ? <Laps x={x} y={y} core={core} /> : <Window core={core} view={view} width={width} />}
                    <Ruler x={x} y={y + RIBBON} view={view} />
                    <Pegs x={x} y={y} core={core} width={width} view={view} />
                </svg>
            </Frame>
            <Tools>
                <span className="where" aria-live="polite">
                    {isWhole ? 'the whole card' : stretch(view)}
                </span>
                <Button
                    aria-label="Zoom in"
                    onPress={() => {
                        change(0.5);
                    }}
                >
                    +
                </Button>
                <Button
                    aria-label="Zoom out"
                    isDisabled={isWhole}
                    onPress={() => {
                        change(2);
                    }}
                >
                    −
                </Button>
                <Button isDisabled={bad === undefined} onPress={toBad}>
                    Next bad place
                </Button>
                <Button
                    isDisabled={isWhole}
                    onPress={() => {
                        setView({ from: 0, to: whole });
                    }}
                >
                    Whole card
                </Button>
            </Tools>
        </div>
    );
}

/** Where a view begins and how long it is; to the byte where it is short. */
function stretch(view: View): string {
    const span = view.to - view.from;
    return span < 1e7
        ? `from byte ${grouped(Math.round(view.from))}, ${size(span, 1)}`
        : `from ${size(view.from, 4)} to ${size(view.to, 4)}`;
}

/** What is in view, in words. */
function describe(core: CoreProps, view: View, isWhole: boolean): string {
    if (isWhole) {
        return core.summary;
    }
    const bytes = new Map<BlockClass, number>();
    for (const patch of within(core.patches, view)) {
        bytes.set(patch.class, (bytes.get(patch.class) ?? 0) + patch.length);
    }
    const parts = [...bytes].map(([what, count]) => `${grouped(Math.round(count))} bytes ${what}`);
    return `${stretch(view)}: ${parts.length === 0 ? 'not looked at' : parts.join(', ')}.`;
}
