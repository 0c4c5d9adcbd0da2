import { megabytes } from '../format';
import { useWidth } from '../parts/useWidth';
import type { LinkProps, RouteProps } from '../types/generated/props';

const HEIGHT = 158;
const MIDDLE = 74;

/** How many times wider than the pinch a link is drawn at the most: what is wider still tells nothing more. */
const WIDEST = 4;

/** Half the height of the band at a rate. */
function half(rate: number, most: number): number {
    return 34 * Math.min(1, rate / most);
}

/** One route from card to drive: the width of the band is what each link gives, the pinch is where it narrows. */
export function ReachMap({ route }: { route: RouteProps }) {
    const [ref, width] = useWidth<HTMLDivElement>(660);
    const rates = route.links.map((link) => link.rate);
    const most = Math.min(Math.max(...rates), WIDEST * Math.min(...rates));
    const step = width / route.links.length;
    const links = route.links.map((link) => `${link.name}, ${megabytes(link.rate)} MB/s`).join('; ');
    const words = `From card to drive: ${links}. The pinch is ${route.pinch}.`;

    return (
        <div ref={ref}>
            <svg width={width} height={HEIGHT} role="img" aria-label={words}>
                <path d={band(route.links, step, most)} fill="var(--tarn)" opacity=".5" />
                {route.links.map((link, i) => (
                    <Stop key={link.name} link={link} from={i * step} step={step} half={half(link.rate, most)} />
                ))}
            </svg>
        </div>
    );
}

function band(links: readonly LinkProps[], step: number, most: number): string {
    const bend = step * 0.16;
    const edge = (sign: 1 | -1) =>
        links.map((link, i) => ({ from: i * step, to: (i + 1) * step, y: MIDDLE + sign * half(link.rate, most) }));
    const upper = edge(-1);
    const lower = edge(1).reverse();
    let d = `M${upper[0]?.from ?? 0} ${upper[0]?.y ?? 0}`;
    upper.forEach((piece, i) => {
        const next = upper[i + 1];
        d += `H${next === undefined ? piece.to : piece.to - bend}`;
        d += next === undefined ? '' : `C${piece.to} ${piece.y} ${piece.to} ${next.y} ${piece.to + bend} ${next.y}`;
    });
    lower.forEach((piece, i) => {
        const next = lower[i + 1];
        d += i === 0 ? `V${piece.y}` : '';
        d += `H${next === undefined ? piece.from : piece.from + bend}`;
        d +=
            next === undefined
                ? ''
                : `C${piece.from} ${piece.y} ${piece.from} ${next.y} ${piece.from - bend} ${next.y}`;
    });
    return `${d}Z`;
}

function Stop({ link, from, step, half: h }: { link: LinkProps; from: number; step: number; half: number }) {
    const at = from + step / 2;
    const y = HEIGHT - 34;
    return (
        <g>
            <text
                className="figure"
                x={at}
                y={MIDDLE + 4}
                textAnchor="middle"
                fontWeight="700"
                style={{ fontSize: 12 }}
            >
                {megabytes(link.rate)}
            </text>
            {link.pinch ? (
                <g fill="var(--rust)">
                    <path d={`M${at} ${MIDDLE - h - 3}l7-10h-14zM${at} ${MIDDLE + h + 3}l7 10h-14z`} />
                    <text
                        x={at}
                        y={MIDDLE - h - 19}
                        textAnchor="middle"
                        fontWeight="700"
                        style={{ fill: 'var(--rust)' }}
                    >
                        pinch
                    </text>
                </g>
            ) : null}
            <Lines text={link.name} at={at} y={y} room={step - 8} strong={link.pinch} />
        </g>
    );
}

/** A name over two or three short lines, cut at spaces. */
function Lines({ text, at, y, room, strong }: { text: string; at: number; y: number; room: number; strong: boolean }) {
    const most = Math.max(8, Math.floor(room / 6.2));
    const lines: string[] = [''];
    for (const word of text.split(' ')) {
        const last = lines.at(-1) ?? '';
        if (last !== '' && last.length + word.length + 1 > most) {
            lines.push(word);
        } else {
            lines[lines.length - 1] = last === '' ? word : `${last} ${word}`;
        }
    }
    return (
        <text
            x={at}
            y={y}
            textAnchor="middle"
            fontWeight={strong ? 700 : 500}
            style={strong ? { fill: 'var(--rust)' } : {}}
        >
            {lines.map((line, i) => (
                <tspan key={i} x={at} dy={i === 0 ? 0 : 14}>
                    {line}
                </tspan>
            ))}
        </text>
    );
}
