/** Outlines that several drawings share; in units of the drawing, about five to a millimetre for SD. */

/** An SD card, seen from its back: the cut corner is at the left. */
export function SdBack({ x, y }: { x: number; y: number }) {
    return (
        <path
            d={`M${x + 22} ${y}H${x + 114}q6 0 6 6V${y + 154}q0 6 -6 6H${x + 6}q-6 0 -6 -6V${y + 24}z`}
            className="card"
        />
    );
}

/** A microSD card, seen from its back. */
export function MicroBack({ x, y }: { x: number; y: number }) {
    return (
        <path
            d={`M${x + 8} ${y}H${x + 84}q6 0 6 6V${y + 36}l8 10v22l-8 8V${y + 134}q0 6 -6 6H${x + 8}q-6 0 -6 -6V${y + 6}q0 -6 6 -6z`}
            className="card"
        />
    );
}

/** A row of contacts: `count` fingers from `x` on. */
export function Contacts({
    x,
    y,
    count,
    step,
    height,
    className = 'contact',
}: {
    x: number;
    y: number;
    count: number;
    step: number;
    height: number;
    className?: string;
}) {
    return (
        <g className={className}>
            {Array.from({ length: count }, (_, i) => (
                <rect key={i} x={x + i * step} y={y} width={step * 0.62} height={height} />
            ))}
        </g>
    );
}

/** What to look at, ringed. */
export function Ring({ cx, cy, rx, ry = rx }: { cx: number; cy: number; rx: number; ry?: number }) {
    return <ellipse cx={cx} cy={cy} rx={rx} ry={ry} className="ring" />;
}

export function Words({
    x,
    y,
    children,
    anchor = 'middle',
}: {
    x: number;
    y: number;
    children: string;
    anchor?: string;
}) {
    return (
        <text x={x} y={y} textAnchor={anchor as 'middle'}>
            {children}
        </text>
    );
}
