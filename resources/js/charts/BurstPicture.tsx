import { useWidth } from '../parts/useWidth';
import type { BodyProps, BurstProps } from '../types/generated/props';
import { clipped } from './axis';

const FULL = 24;
const EMPTY = 96;
const LEFT = 44;

/** How a buffer fills and clears: the newest burst with this card filled, the newest one with another card dashed. */
export function BurstPicture({ body, card }: { body: BodyProps; card: string }) {
    const [box, width] = useWidth<HTMLDivElement>(660);
    const own = body.own[0];
    const other = body.others.find((one) => own === undefined || one.frame === own.frame) ?? body.others[0];
    const shown = [own, other].filter((one): one is BurstProps => one !== undefined);
    const most = Math.max(10, ...shown.map((one) => one.lasts + one.clear)) * 1.12;
    const x = (seconds: number) => LEFT + (seconds / most) * (width - LEFT - 10);
    const step = [1, 2, 5, 10, 20, 30, 60, 120, 300].find((one) => most / one <= (width < 560 ? 4 : 8)) ?? 600;
    const ticks = Array.from({ length: Math.floor(most / step) + 1 }, (_, i) => i * step);
    const line = (one: BurstProps) => `M${x(0)} ${EMPTY}L${x(one.lasts)} ${FULL}L${x(one.lasts + one.clear)} ${EMPTY}`;
    const words = (one: BurstProps) =>
        `${one.card}: slows at ${one.frames} frames, clears in ${one.clear} s, ${one.drain.toFixed(one.drain < 100 ? 1 : 0)} MB/s`;
    return (
        <div ref={box}>
            <svg
                width={width}
                height={EMPTY + 22}
                role="img"
                aria-label={`${shown.map(words).join('; ')}. ${body.says}`}
            >
                <path d={`M${LEFT} ${FULL}H${width}`} stroke="var(--faint)" />
                <path d={`M${LEFT} ${EMPTY}H${width}`} stroke="var(--ink)" strokeWidth="1.2" />
                <text x="0" y={FULL + 4} className="pencil" style={{ fontSize: 11 }}>
                    full
                </text>
                <text x="0" y={EMPTY + 4} className="pencil" style={{ fontSize: 11 }}>
                    empty
                </text>
                {ticks.map((tick) => (
                    <g key={tick}>
                        <path d={`M${x(tick)} ${EMPTY}v4`} stroke="var(--ink)" />
                        <text x={x(tick)} y={EMPTY + 17} textAnchor="middle" className="figure pencil">
                            {tick} s
                        </text>
                    </g>
                ))}
                {own === undefined ? null : (
                    <>
                        <path d={line(own)} fill="var(--tarn)" opacity=".16" />
                        <path d={line(own)} fill="none" stroke="var(--tarn)" strokeWidth="2" />
                    </>
                )}
                {other === undefined ? null : (
                    <path d={line(other)} fill="none" stroke="var(--ink)" strokeWidth="1.4" strokeDasharray="4 3" />
                )}
                {shown.map((one, i) => (
                    <text
                        key={one.id}
                        x={width - 2}
                        y={i === 0 ? 13 : FULL + 16}
                        textAnchor="end"
                        fontWeight={i === 0 && one.card === card ? 650 : 400}
                        style={{ fill: one.card === card ? 'var(--tarn)' : 'var(--ink)' }}
                    >
                        {clipped(words(one), width - (i === 0 ? 40 : x(one.lasts) + 20), 6)}
                    </text>
                ))}
            </svg>
        </div>
    );
}
