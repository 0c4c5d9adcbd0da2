import { megabytes } from '../format';
import { useWidth } from '../parts/useWidth';
import type { FlowProps, RestsOnProps } from '../types/generated/props';

const ROW = 46;
const TOP = 16;

/** The widest band. Pixels. */
const WIDEST = 26;

/** A letter of a name, about. Pixels. */
const LETTER = 6.3;

interface Stop {
    name: string;
    detail: string;
    y: number;
}

/** Stops of a column, spread over its height. */
function column(names: readonly [string, string][], height: number): Map<string, Stop> {
    const step = (height - TOP) / Math.max(1, names.length);
    return new Map(names.map(([name, detail], i) => [name, { name, detail, y: TOP + (i + 0.5) * step }]));
}

function once(entries: readonly [string, string][]): [string, string][] {
    return [...new Map(entries)];
}

/** From cards over readers and hosts to drives: a band is as wide as it is fast. */
export function PlanMap({
    flows,
    pinch,
    rests,
}: {
    flows: readonly FlowProps[];
    pinch: string;
    /** Rates that it rests on: the origin of each is one hover away. */
    rests: readonly RestsOnProps[];
}) {
    const [ref, width] = useWidth<HTMLDivElement>(660);
    const of = (kind: string) => flows.filter((flow) => flow.kind === kind);
    const [cards, readers, drives] = [of('card'), of('reader'), of('drive')];
    const height = TOP + ROW * Math.max(cards.length, readers.length, drives.length);
    const most = Math.max(...flows.map((flow) => flow.rate), 1);
    const isNarrow = width < 480;
    const at = isNarrow ? [62, width * 0.36, width * 0.61, width - 44] : [92, width * 0.38, width * 0.64, width - 66];
    // Half as wide as the boxes of readers and hosts.
    const [reader, host] = isNarrow ? [18, 27] : [26, 46];
    const stops = [
        column(
            cards.map((flow) => [flow.from, flow.detail]),
            height,
        ),
        column(
            readers.map((flow) => [flow.from, '']),
            height,
        ),
        column(once(readers.map((flow) => [flow.to, ''])), height),
        column(
            drives.map((flow) => [flow.to, flow.detail]),
            height,
        ),
    ] as const;
    const words = flows.map((flow) => `${flow.from} to ${flow.to} ${megabytes(flow.rate)} MB/s`).join('; ');
    const origin = (thing: string) =>
        rests
            .filter((one) => one.thing === thing)
            .map((one) => `${one.name} ${one.rate}, ${one.origin}: ${one.how}`)
            .join('\n');
    const y = (place: 0 | 1 | 2 | 3, name: string) => stops[place].get(name)?.y ?? TOP;
    return (
        <div ref={ref}>
            <svg width={width} height={height + 6} role="img" aria-label={`Reach map: ${words}. Pinch: ${pinch}.`}>
                {cards.map((flow) => (
                    <Band
                        key={flow.from}
                        from={[at[0] ?? 0, y(0, flow.from)]}
                        to={[(at[1] ?? 0) - reader, y(1, flow.to)]}
                        wide={(WIDEST * flow.rate) / most}
                        fill="var(--tarn)"
                        rate={isNarrow ? '' : megabytes(flow.rate)}
                        isPinch={flow.isPinch}
                        origin={origin(flow.from)}
                    />
                ))}
                {readers.map((flow) => (
                    <Band
                        key={flow.from}
                        from={[(at[1] ?? 0) + reader, y(1, flow.from)]}
                        to={[(at[2] ?? 0) - host, y(2, flow.to)]}
                        wide={(WIDEST * flow.rate) / most}
                        fill="var(--tarn)"
                        rate=""
                        isPinch={flow.isPinch}
                        origin={origin(flow.from)}
                    />
                ))}
                {drives.map((flow) => (
                    <Band
                        key={flow.to}
                        from={[(at[2] ?? 0) + host, y(2, flow.from)]}
                        to={[at[3] ?? 0, y(3, flow.to)]}
                        wide={(WIDEST * flow.rate) / most}
                        fill="var(--pencil)"
                        rate={isNarrow ? '' : megabytes(flow.rate)}
                        isPinch={flow.isPinch}
                        origin={origin(flow.to)}
                        atEnd
                    />
                ))}
                {[...stops[0].values()].map((stop) => (
                    <Words key={stop.name} stop={stop} x={0} anchor="start" />
                ))}
                {[...stops[1].values()].map((stop) => (
                    <Box key={stop.name} stop={stop} x={at[1] ?? 0} half={reader} />
                ))}
                {[...stops[2].values()].map((stop) => (
                    <Box key={stop.name} stop={stop} x={at[2] ?? 0} half={host} />
                ))}
                {[...stops[3].values()].map((stop) => (
                    <Words key={stop.name} stop={stop} x={(at[3] ?? 0) + 6} anchor="start" />
                ))}
            </svg>
        </div>
    );
}

function Band({
    from: [x0, y0],
    to: [x1, y1],
    wide,
    fill,
    rate,
    isPinch,
    origin,
    atEnd = false,
}: {
    from: readonly [number, number];
    to: readonly [number, number];
    wide: number;
    fill: string;
    rate: string;
    /** Whether what is busiest lies here. */
    isPinch: boolean;
    /** Where its rates are from. */
    origin: string;
    /** Whether its speed stands where it ends. */
    atEnd?: boolean;
}) {
    const half = Math.max(0.8, wide / 2);
    const bend = (x0 + x1) / 2;
    const curve = (y: number, x: number, to: number) => `C${bend} ${y} ${bend} ${to} ${x} ${to}`;
    const y = (y0 + y1) / 2;
    return (
        <g>
            {origin === '' ? null : <title>{origin}</title>}
            <path
                d={`M${x0} ${y0 - half}${curve(y0 - half, x1, y1 - half)}V${y1 + half}${curve(y1 + half, x0, y0 + half)}Z`}
                fill={fill}
                opacity=".45"
            />
            {isPinch ? (
                <path d={`M${bend} ${y - half - 2}l-6 -9h12ZM${bend} ${y + half + 2}l-6 9h12Z`} fill="var(--rust)" />
            ) : null}
            {rate === '' ? null : (
                <text
                    className="figure"
                    x={atEnd ? x1 - 6 : x0 + 6}
                    y={(atEnd ? y1 : y0) + 4}
                    textAnchor={atEnd ? 'end' : 'start'}
                    style={{ fontSize: 10.5 }}
                >
                    {rate}
                </text>
            )}
        </g>
    );
}

function Words({ stop, x, anchor }: { stop: Stop; x: number; anchor: 'start' | 'end' }) {
    return (
        <text x={x} y={stop.y - 2} textAnchor={anchor}>
            <tspan fontWeight="700">{stop.name}</tspan>
            <tspan className="pencil" x={x} dy={14} style={{ fontSize: 11 }}>
                {stop.detail}
            </tspan>
        </text>
    );
}

/** A name in a box; over two lines where the box is narrow. */
function Box({ stop, x, half }: { stop: Stop; x: number; half: number }) {
    const words = stop.name.split(' ');
    const isLong = stop.name.length * LETTER > 2 * half - 4 && words.length > 1;
    const lines = isLong ? [words.slice(0, -1).join(' '), words.at(-1) ?? ''] : [stop.name];
    return (
        <g>
            <rect x={x - half} y={stop.y - 15} width={2 * half} height={30} fill="var(--paper)" stroke="var(--ink)" />
            <text
                x={x}
                y={stop.y + (isLong ? -2 : 4)}
                textAnchor="middle"
                fontWeight="600"
                style={{ fontSize: isLong ? 10 : 11.5 }}
            >
                {lines.map((line, i) => (
                    <tspan key={line} x={x} dy={i === 0 ? 0 : 11}>
                        {line}
                    </tspan>
                ))}
            </text>
        </g>
    );
}
